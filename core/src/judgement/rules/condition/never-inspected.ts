import { percent, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const neverInspected = rigRule({
  code: 'never-inspected',
  severity: 'caution',
  softenable: true,
  why: 'Nobody has looked at it on record, so it counts as worn.',
  needs: ['use.piece', 'gear.inspection', 'gear.age'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, use) => {
    if (use.limit?.kind !== 'rated' || use.limit.condition.basis !== 'none-old') return undefined;
    return found({ name: pieceName(use.piece), share: use.limit.condition.derate.factor }, chooseAnother(use));
  },
  title: ({ name }) => rich`${name} was never inspected`,
  detail: ({ share }) => rich`Counted at ${percent(share)} of its strength. Inspect it now.`,
});
