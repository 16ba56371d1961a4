import { force, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, found, openPiece, pieceName } from '../../ask/speak.ts';

export const settingDecided = rigRule({
  code: 'setting-decided',
  severity: 'note',
  softenable: true,
  why: 'A separator before three digits may mean thousands or decimals; the team’s setting decided.',
  needs: ['use.piece', 'gear.marks'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, { piece }) => {
    const mark = piece.marks.find((entry) => entry.settingDecided);
    if (mark === undefined) return undefined;
    const data = { name: pieceName(piece), asWritten: mark.asWritten, readN: mark.readings[0]?.forceN ?? 0 };
    return found(data, openPiece(piece, 'Check the mark'));
  },
  title: ({ name, asWritten, readN }) => rich`${name}: “${asWritten}” was read as ${force(readN)}`,
  detail: () => rich`Check it against the tag.`,
});
