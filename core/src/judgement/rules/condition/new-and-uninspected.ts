import { percent, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const newAndUninspected = rigRule({
  code: 'new-and-uninspected',
  severity: 'note',
  softenable: true,
  why: 'New pieces count nearly in full until their first inspection is due.',
  needs: ['use.piece', 'gear.inspection', 'gear.age'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, { piece, limit }) => {
    if (limit?.kind !== 'rated' || limit.condition.basis !== 'none-young') return undefined;
    return found({ name: pieceName(piece), firstUsedOn: piece.firstUsedOn ?? '', share: limit.condition.derate.factor });
  },
  title: ({ name }) => rich`${name} is new and not yet inspected`,
  detail: ({ firstUsedOn, share }) => rich`First used ${firstUsedOn}; counted at ${percent(share)}.`,
});
