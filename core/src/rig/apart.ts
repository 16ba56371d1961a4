import { ahead } from '../statics/ground.ts';
import type { Body } from './rig.ts';

/** Where a body stands from another: the gap between their outlines, metres, 0 or more, and the bearing in which it lies, rad clockwise from north. */
export interface Apart {
  readonly gapM: number;
  readonly bearingRad: number;
}

/** How far the outline of a body reaches from its middle in a bearing, metres. People, animals and anchors in the ground are points. */
export function outlineReachM(body: Body, bearingRad: number): number {
  switch (body.kind) {
    case 'vehicle':
    case 'load': {
      const off = bearingRad - body.headingRad;
      const [along, across] = [Math.abs(Math.cos(off)), Math.abs(Math.sin(off))];
      return Math.min(body.lengthM / 2 / Math.max(along, TINY), body.widthM / 2 / Math.max(across, TINY));
    }
    case 'tree':
      return body.trunkDiameterM / 2;
    case 'rock':
    case 'structure':
      return (body.diameterM ?? 0) / 2;
    default:
      return 0;
  }
}

/** Keeps a square outline finite along its own sides. */
const TINY = 1e-12;
const HALF_TURN = Math.PI;

/** Where `body` stands from `other`, from outline to outline along the line between their middles; outlines that overlap have no gap. */
export function apartFrom(other: Body, body: Body): Apart {
  const [dx, dy] = [body.xM - other.xM, body.yM - other.yM];
  const bearingRad = Math.atan2(dx, dy);
  const gapM = Math.hypot(dx, dy) - outlineReachM(other, bearingRad) - outlineReachM(body, bearingRad + HALF_TURN);
  return { gapM: Math.max(0, gapM), bearingRad: bearingRad < 0 ? bearingRad + 2 * HALF_TURN : bearingRad };
}

/** The place on the map, to the centimetre, at which `body` stands so from `other`. */
export function placedFrom(other: Body, body: Body, { gapM, bearingRad }: Apart): { readonly xM: number; readonly yM: number } {
  const { x, y } = ahead(bearingRad);
  const farM = gapM + outlineReachM(other, bearingRad) + outlineReachM(body, bearingRad + HALF_TURN);
  const round = (metres: number) => Math.round(metres * 100) / 100;
  return { xM: round(other.xM + x * farM), yM: round(other.yM + y * farM) };
}
