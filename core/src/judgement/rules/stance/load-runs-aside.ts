import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { asideOf } from '../../../release/runs-aside.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const loadRunsAside = momentRule({
  code: 'load-runs-aside',
  severity: 'stop',
  softenable: false,
  why: 'A load drawn across a slope slides off downhill, over whoever stands there.',
  needs: ['ground.slope', 'body.mass', 'body.heading', 'load.path', 'load.task', 'load.travel', 'situation', 'vehicle.stance', 'line.way'],
  subjects: ({ load, rig }) => (rig.purpose === 'respool' ? [] : [load.body]),
  about: aboutBody,
  margin: (moment) => {
    const aside = asideOf(moment);
    if (aside === undefined) return Number.POSITIVE_INFINITY;
    // A line that holds it against the fall of the ground holds it.
    return Math.max(leftBelow(aside.weightN, aside.holdsN), leftBelow(aside.withRopesN, aside.holdsN));
  },
  answer: (moment, { label }) => {
    const aside = asideOf(moment);
    return aside && found({ label, pushN: aside.withRopesN, holdsN: aside.holdsN });
  },
  title: ({ label }) => rich`${label} runs off sideways, down the slope`,
  detail: ({ pushN, holdsN }) =>
    rich`Its weight pushes it sideways with ${force(pushN)}, and ${force(holdsN)} holds it. Hold it from uphill by a second line, or pull it straight up or down.`,
});
