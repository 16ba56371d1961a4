import { utilisationAt } from '../../../moment/margins.ts';
import { force, percent, rich } from '../../../quantity/format.ts';
import { exceeds, leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, bracketed, found, stronger } from '../../ask/speak.ts';
import { loadedPlaces, plannedFigures } from './place-figures.ts';

export const nearLimit = momentRule({
  code: 'near-limit',
  severity: 'caution',
  softenable: true,
  unless: ['over-limit'],
  why: 'The pull is an estimate: a piece near its limit leaves little for a wrong guess.',
  needs: ['policy', 'use.piece', 'gear.marks', 'gear.inspection', 'line.way', 'situation'],
  subjects: loadedPlaces,
  about: aboutPlace,
  margin: (moment, place) => {
    const share = utilisationAt(moment, place);
    // A run-up as proposed meets a limit by design; beyond the limit another rule speaks.
    if (moment.runUp?.proposed || moment.rig.policy.schools.check === 'greatest') return Number.POSITIVE_INFINITY;
    return exceeds(share, 1) ? Number.POSITIVE_INFINITY : leftBelow(share, moment.rig.policy.limits.nearLimit.value);
  },
  answer: (moment, place) => found(plannedFigures(moment, place), stronger(place)),
  title: ({ name }) => rich`${name} is near its working limit`,
  detail: ({ plannedN, where, wllN, share }) =>
    rich`Planned ${force(plannedN)}${bracketed(where)} against ${force(wllN)}: ${percent(share)}.`,
});
