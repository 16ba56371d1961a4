import type { Assessment } from '../../../moment/assessment.ts';
import { stopAt } from '../../../moment/rig-forces.ts';
import { length, rich } from '../../../quantity/format.ts';
import type { Body } from '../../../rig/rig.ts';
import { bodyOfChain, loadBody } from '../../../rig/site-geometry.ts';
import { dot, subtract, type Vec3 } from '../../../statics/vec3.ts';
import { shownState } from '../../report/drawing-facts.ts';
import { type Answer, notFound, type Rule, winchDrives } from '../../rule.ts';

export const loadReachesAnchor: Rule = {
  code: 'load-reaches-anchor',
  severity: 'stop',
  softenable: false,
  why: 'A load drawn into its anchor breaks one of the two.',
  needs: 'how far the load must travel, the layout',
  check: (assessment) => {
    const { rig, travel } = assessment;
    const load = loadBody(rig);
    if (rig.purpose === 'lower' || rig.purpose === 'hold') return [];
    return holdersOf(assessment).map(({ body, at }): Answer => {
      const subject = { kind: 'body', id: body.id } as const;
      const away = subtract(at, { x: load.xM, y: load.yM, z: at.z });
      const along = dot(away, travel);
      const aheadM = along - load.lengthM / 2;
      const asideM = Math.hypot(away.x - travel.x * along, away.y - travel.y * along);
      if (aheadM <= 0 || asideM > load.widthM / 2 || aheadM >= rig.load.travelM * (1 - 1e-9)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${load.label} would run into ${body.label}`,
        detail: rich`It has to move ${length(rig.load.travelM)} and reaches ${body.label} after ${length(aheadM)}. Take an anchor further on or to one side.`,
      };
    });
  },
};

/** Every body that holds or drives a line, other than the load, and where. */
function holdersOf(assessment: Assessment): readonly { readonly body: Body; readonly at: Vec3 }[] {
  const { rig, network } = assessment;
  const state = shownState(assessment)?.state;
  if (state === undefined) return [];
  const held = [
    ...network.chains.map(({ chain, root }) => ({ body: bodyOfChain(rig, chain), at: state.positions[root] })),
    ...winchDrives(assessment).map(({ body, drive }) => ({ body, at: stopAt(drive.walk, 0, state) })),
  ];
  return held.flatMap(({ body, at }) => (body && at && body.id !== rig.load.bodyId ? [{ body, at }] : []));
}
