import { force, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, found, openPiece, pieceName } from '../../ask/speak.ts';

export const basisUnstated = rigRule({
  code: 'basis-unstated',
  severity: 'caution',
  softenable: true,
  why: 'A bare number may be a working limit or a breaking strength; it is read as breaking strength, the more careful reading.',
  needs: ['use.piece', 'gear.marks'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, { piece, limit }) => {
    if (limit?.kind !== 'rated' || !limit.limit.basisUnstated) return undefined;
    const asWritten = piece.marks.find(({ basis }) => basis === 'unstated')?.asWritten ?? '';
    return found({ name: pieceName(piece), asWritten, mbsN: limit.limit.mbsN }, openPiece(piece, 'State the basis'));
  },
  title: ({ name, asWritten }) => rich`${name}: the mark “${asWritten}” does not say what it means`,
  detail: ({ mbsN }) => rich`Read as breaking strength: ${force(mbsN)}. If the maker’s paper says working load limit, record that.`,
});
