import { length, rich } from '../../quantity/format.ts';
import { bodyOfChain, loadBody } from '../../rig/places.ts';
import { dot, subtract } from '../../statics/vec3.ts';
import { shownState } from '../drawing-facts.ts';
import { type Answer, notFound, type Rule } from '../rule.ts';

export const loadReachesAnchor: Rule = {
  code: 'load-reaches-anchor',
  severity: 'stop',
  softenable: false,
  why: 'A load drawn into its anchor breaks one of the two.',
  needs: 'how far the load must travel, the layout',
  check: (assessment) => {
    const { rig, network, travel } = assessment;
    const state = shownState(assessment)?.state;
    const load = loadBody(rig);
    if (state === undefined || rig.purpose === 'lower' || rig.purpose === 'hold') return [];
    return network.chains.flatMap(({ chain, root }): readonly Answer[] => {
      const body = bodyOfChain(rig, chain);
      const at = state.positions[root];
      if (body === undefined || body.id === load.id || at === undefined) return [];
      const subject = { kind: 'body', id: body.id } as const;
      const away = subtract(at, { x: load.xM, y: load.yM, z: at.z });
      const ahead = dot(away, travel) - load.lengthM / 2;
      const aside = Math.hypot(away.x - travel.x * dot(away, travel), away.y - travel.y * dot(away, travel));
      if (ahead <= 0 || aside > load.widthM / 2 || ahead >= rig.load.travelM * (1 - 1e-9)) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`${load.label} would run into ${body.label}`,
          detail: rich`It has to move ${length(rig.load.travelM)} and reaches ${body.label} after ${length(ahead)}. Take an anchor further on or to one side.`,
        },
      ];
    });
  },
};
