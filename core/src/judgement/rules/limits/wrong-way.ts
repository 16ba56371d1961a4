import { rich } from '../../../quantity/format.ts';
import { type Fix, notFound, type Rule, rigSubject } from '../../rule.ts';

export const wrongWay: Rule = {
  code: 'wrong-way',
  severity: 'stop',
  softenable: false,
  why: 'A line that pulls across or against the way out moves nothing and loads everything.',
  needs: 'the direction of travel and the line’s direction',
  check: ({ rig, advantage, plannedPullN, pullN }) => {
    if (advantage === undefined || pullN === undefined || plannedPullN !== undefined) return [notFound(rigSubject)];
    const travel = rig.load.travel === 'ahead' ? 'astern' : 'ahead';
    const turned: Fix = { kind: 'edits', label: `Go ${travel} instead`, edits: [{ kind: 'change-load', load: { ...rig.load, travel } }] };
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The line does not pull the vehicle on its way`,
        detail: rich`Along the way out it helps with ${Math.max(0, advantage.hauling).toFixed(2)} of its tension. Move the anchor ahead, turn the vehicle, or choose the other direction.`,
        ...(advantage.hauling < 0 && { fixes: [turned] }),
      },
    ];
  },
};
