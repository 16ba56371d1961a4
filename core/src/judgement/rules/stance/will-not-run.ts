import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const willNotRun = rigRule({
  code: 'will-not-run',
  severity: 'caution',
  softenable: false,
  why: 'A line that is paid out to a load that stays where it is goes slack, and the load runs when nobody expects it.',
  needs: ['ground.slope', 'body.heading', 'situation', 'purpose', 'pull.chosen'],
  subjects: wholeRig,
  about: itself,
  answer: ({ rig, legs, load }) =>
    rig.purpose === 'lower' && legs[0]?.pull?.breaksAwayN === 0 ? found({ label: load.body.label }) : undefined,
  title: ({ label }) => rich`${label} will not run by itself`,
  detail: () =>
    rich`By no method does the slope move it, so nothing pulls on the line. Pull it over the edge first with a second line, and plan that pull too.`,
});
