import { rich } from '../../../quantity/format.ts';
import { holdsBack } from '../../../rig/site-geometry.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const runsByItself = rigRule({
  code: 'runs-by-itself',
  severity: 'caution',
  softenable: false,
  why: 'Downhill the vehicle may run on the line or past it; it must be held, not pulled.',
  needs: ['ground.slope', 'body.heading', 'situation', 'purpose'],
  subjects: wholeRig,
  about: itself,
  answer: ({ effort, rig }) => (effort.kind === 'estimated' && effort.runsByItself && !holdsBack(rig) ? found({}) : undefined),
  title: () => rich`The vehicle may roll by itself`,
  detail: () =>
    rich`By at least one method the slope moves it without any pull. Hold it with brakes, chocks and a safety line before freeing it.`,
});
