import { breakingRatioAt, nearRatio, stopRatio } from '../../../moment/margins.ts';
import { force, ratio, rich } from '../../../quantity/format.ts';
import { fallsShort, leftAbove } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, allPlaces, bracketed, found, stronger } from '../../ask/speak.ts';
import { stallFacts } from '../../ask/winch-facts.ts';
import { greatestFigures } from './place-figures.ts';

export const nearBreaking = momentRule({
  code: 'near-breaking',
  severity: 'caution',
  softenable: true,
  unless: ['over-breaking-margin'],
  why: 'At the winch’s greatest pull this piece keeps less in hand than it should.',
  needs: [...stallFacts, 'policy', 'use.piece', 'line.way', 'limiter'],
  subjects: allPlaces,
  about: aboutPlace,
  margin: (moment, place) => {
    if (moment.rig.policy.schools.check === 'estimate') return Number.POSITIVE_INFINITY;
    const times = breakingRatioAt(moment, place);
    // Below the margin another rule speaks.
    return fallsShort(times, stopRatio(moment.rig, place)) ? Number.POSITIVE_INFINITY : leftAbove(times, nearRatio(moment.rig, place));
  },
  answer: (moment, place) => found(greatestFigures(moment, place), stronger(place)),
  title: ({ name }) => rich`${name} is close to breaking at the winch’s greatest pull`,
  detail: ({ greatestN, where, mbsN, ratio: times, nearRatio: from }) =>
    rich`It would carry ${force(greatestN)}${bracketed(where)} and breaks at ${force(mbsN)}: ${ratio(times)} ×. Comfortable from ${ratio(from)} ×.`,
});
