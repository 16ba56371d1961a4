import { force, rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const runsIfParted = actRule({
  code: 'runs-if-parted',
  severity: 'note',
  softenable: true,
  why: 'On a slope the line is all that holds the load.',
  needs: ['ground.slope', 'vehicle.stance', 'situation', 'line.way', 'body.heading'],
  subjects: wholeRig,
  about: itself,
  answer: ({ rig, release: { left } }) => {
    const alone = left.filter(({ held }) => !held);
    const byN = Math.max(...alone.map((entry) => entry.runsByN));
    return alone.length > 0 ? found({ label: rig.load.body.label, byN }) : undefined;
  },
  title: ({ label }) => rich`${label} runs downhill if the line parts`,
  detail: ({ byN }) =>
    rich`Nothing else holds it against ${force(byN)}. Keep everyone uphill of it, or hold it by a second line or by chocks.`,
});
