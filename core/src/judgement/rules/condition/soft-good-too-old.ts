import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const softGoodTooOld = rigRule({
  code: 'soft-good-too-old',
  severity: 'fix',
  softenable: true,
  why: 'Fibre loses strength with years and light in ways that do not show.',
  needs: ['use.piece', 'gear.age', 'day', 'policy'],
  subjects: chosenUses,
  about: aboutUse,
  answer: ({ policy, asOf }, use) => {
    const limit = use.comesOfAge;
    if (limit === undefined || limit >= asOf) return undefined;
    return found({ name: pieceName(use.piece), years: policy.care.softGoodsYears.value, limit }, chooseAnother(use));
  },
  title: ({ name }) => rich`${name} is past its age limit`,
  detail: ({ years, limit }) => rich`Soft goods go out of use after ${String(years)} years; this one reached that on ${limit}.`,
});
