import { force, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, found, openPiece, pieceName } from '../../ask/speak.ts';

export const ambiguousTon = rigRule({
  code: 'ambiguous-ton',
  severity: 'caution',
  softenable: true,
  why: 'A bare “ton” may be 907, 1 000 or 1 016 kg; for a strength the smallest counts, for a winch’s greatest pull the largest.',
  needs: ['use.piece', 'gear.marks'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, { piece }) => {
    const mark = piece.marks.find(({ readings }) => readings.length > 1);
    if (mark === undefined) return undefined;
    const [leastN, mostN] = [mark.readings[0]?.forceN ?? 0, mark.readings.at(-1)?.forceN ?? 0];
    return found({ name: pieceName(piece), asWritten: mark.asWritten, leastN, mostN }, openPiece(piece, 'Say which ton'));
  },
  title: ({ name, asWritten }) => rich`${name}: “${asWritten}” does not say which ton`,
  detail: ({ leastN, mostN }) => rich`Between ${force(leastN)} and ${force(mostN)}; the less favourable one is used.`,
});
