import { utilisationAt } from '../../../moment/margins.ts';
import { force, percent, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, bracketed, found, stronger } from '../../ask/speak.ts';
import { loadedPlaces, plannedFigures } from './place-figures.ts';

export const overLimit = momentRule({
  code: 'over-limit',
  severity: 'stop',
  softenable: false,
  why: 'A piece must never carry more than its working load limit, which already allows for wear and for how it is used here.',
  needs: ['policy', 'use.piece', 'gear.marks', 'gear.inspection', 'line.way', 'situation', 'load.travel'],
  subjects: loadedPlaces,
  about: aboutPlace,
  margin: (moment, place) =>
    moment.rig.policy.schools.check === 'greatest' ? Number.POSITIVE_INFINITY : leftBelow(utilisationAt(moment, place), 1),
  answer: (moment, place) => found(plannedFigures(moment, place), stronger(place)),
  title: ({ name }) => rich`${name} is over its working limit`,
  detail: ({ plannedN, where, wllN, share }) =>
    rich`Planned ${force(plannedN)}${bracketed(where)} against ${force(wllN)}: ${percent(share)}. Use a stronger piece, or lower the pull.`,
});
