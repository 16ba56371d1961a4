import type { Rule } from '../../ask/rule.ts';
import { blocksMeet } from './blocks-meet.ts';
import { hookReachesFairlead } from './hook-reaches-fairlead.ts';
import { hookReachesPulley } from './hook-reaches-pulley.ts';
import { lineCrossesObstacle } from './line-crosses-obstacle.ts';
import { lineOverEdge } from './line-over-edge.ts';
import { lineOverLip } from './line-over-lip.ts';
import { lineUnderVehicle } from './line-under-vehicle.ts';
import { loadReachesAnchor } from './load-reaches-anchor.ts';
import { pathNotDrawn } from './path-not-drawn.ts';
import { ropeTooShort } from './rope-too-short.ts';
import { spliceReachesPulley } from './splice-reaches-pulley.ts';

export const routeRules: readonly Rule[] = [
  blocksMeet,
  hookReachesFairlead,
  hookReachesPulley,
  lineCrossesObstacle,
  lineOverEdge,
  lineOverLip,
  lineUnderVehicle,
  loadReachesAnchor,
  pathNotDrawn,
  ropeTooShort,
  spliceReachesPulley,
];
