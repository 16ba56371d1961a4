import { breakingRatioAt, stopRatio } from '../../../moment/margins.ts';
import { force, ratio, rich } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, allPlaces, bracketed, found, stronger } from '../../ask/speak.ts';
import { stallFacts } from '../../ask/winch-facts.ts';
import { greatestFigures } from './place-figures.ts';

export const overBreakingMargin = momentRule({
  code: 'over-breaking-margin',
  severity: 'stop',
  softenable: false,
  why: 'Nothing stops the winch from reaching its greatest pull; a piece must not come near breaking when it does.',
  needs: [...stallFacts, 'policy', 'use.piece', 'line.way', 'limiter'],
  subjects: allPlaces,
  about: aboutPlace,
  margin: (moment, place) =>
    moment.rig.policy.schools.check === 'estimate'
      ? Number.POSITIVE_INFINITY
      : leftAbove(breakingRatioAt(moment, place), stopRatio(moment.rig, place)),
  answer: (moment, place) => found(greatestFigures(moment, place), stronger(place)),
  title: ({ name }) => rich`${name} may break at the winch’s greatest pull`,
  detail: ({ greatestN, where, mbsN, ratio: times, stopRatio: least }) =>
    rich`It would carry ${force(greatestN)}${bracketed(where)}; it breaks at ${force(mbsN)}, ${ratio(times)} ×. Asked for: ${ratio(least)} ×.`,
});
