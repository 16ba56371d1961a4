import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';
import { type Fix } from '../../ask/told.ts';

export const wrongWay = momentRule({
  code: 'wrong-way',
  severity: 'stop',
  softenable: false,
  why: 'A line that pulls across or against the way out moves nothing and loads everything.',
  needs: ['load.travel', 'body.heading', 'line.way'],
  subjects: wholeRig,
  about: itself,
  margin: ({ advantage, rig, plannedPullN }) => (advantage === undefined || rig.pullN === undefined || plannedPullN !== undefined ? 1 : -1),
  answer: ({ advantage, rig }) => {
    if (advantage === undefined) return undefined;
    const { load } = rig.rig;
    const travel = load.travel === 'ahead' ? 'astern' : 'ahead';
    const turned: Fix = { kind: 'edits', label: `Go ${travel} instead`, edits: [{ kind: 'change-load', load: { ...load, travel } }] };
    return found({ gain: advantage.hauling }, advantage.hauling < 0 ? [turned] : []);
  },
  title: () => rich`The line does not pull the vehicle the way it has to go`,
  detail: ({ gain }) =>
    rich`Along the way out it helps with ${Math.max(0, gain).toFixed(2)} of its tension. Move the anchor ahead, turn the vehicle, or choose the other direction.`,
});
