import { linePullLimit } from '../../../moment/margins.ts';
import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, itself, ownerName, ownerSubject, wholeRig } from '../../ask/speak.ts';

export const overLinePullLimit = momentRule({
  code: 'over-line-pull-limit',
  severity: 'caution',
  softenable: false,
  why: 'With less friction than counted on, some piece would carry more than its working limit.',
  needs: ['use.piece', 'gear.marks', 'line.way', 'situation'],
  subjects: wholeRig,
  about: itself,
  margin: (moment) => leftBelow(moment.plannedPullN ?? Number.NaN, linePullLimit(moment)?.pullN ?? Number.NaN),
  answer: (moment) => {
    const limit = linePullLimit(moment);
    if (limit === undefined) return undefined;
    const data = { name: ownerName(limit.place), plannedN: moment.plannedPullN ?? 0, pullN: limit.pullN };
    return { ...found(data), subject: ownerSubject(limit.place) };
  },
  title: () => rich`The planned line pull is above the line-pull limit`,
  detail: ({ plannedN, name, pullN }) => rich`Planned ${force(plannedN)}; ${name} keeps within its limit up to ${force(pullN)}.`,
});
