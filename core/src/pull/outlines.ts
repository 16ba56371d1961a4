import type { Moment } from '../moment/moment.ts';
import { bodyPose } from '../moment/poses.ts';
import type { ResolvedBody } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Body } from '../rig/rig.ts';
import { roundDiameterM } from '../rig/site-geometry.ts';

/** A rectangle on the map: its middle, the half of its length and width, and its heading. */
export interface Outline {
  readonly xM: number;
  readonly yM: number;
  readonly halfLengthM: number;
  readonly halfWidthM: number;
  readonly headingRad: number;
}

/** The load's outline at a moment. */
export function loadOutline({ rig: { load }, pose }: Moment): Outline {
  const { lengthM, widthM, headingRad } = load.body;
  return { xM: pose.xM, yM: pose.yM, halfLengthM: lengthM / 2, halfWidthM: widthM / 2, headingRad: headingRad + pose.turnRad };
}

/** What may stand in a load's way: vehicles, other loads, trees, rocks and structures, anchors in the ground. Not what carries its deck. */
export function obstacles({ bodies, load, drives, rig }: ResolvedRig): readonly ResolvedBody[] {
  return bodies.filter((on) => {
    if (on === load.on) return false;
    if (rig.load.task?.kind === 'deck' && drives.some((drive) => drive.on === on)) return false;
    return radiusOf(on.body) !== undefined;
  });
}

/** An anchor in the ground reaches this far round its place, metres. */
const ANCHOR_RADIUS_M = 0.15;

/** How far a round body reaches round its place, metres; 0 where its outline is a rectangle, undefined where it stands in nobody's way. */
function radiusOf(body: Body): number | undefined {
  switch (body.kind) {
    case 'tree':
    case 'rock':
    case 'structure':
      return (roundDiameterM(body) ?? 2 * ANCHOR_RADIUS_M) / 2;
    case 'ground-anchor':
    case 'pickets':
    case 'deadman':
      return ANCHOR_RADIUS_M;
    case 'vehicle':
    case 'load':
      return 0;
    case 'person':
    case 'animal':
    case 'crew':
      return undefined;
    default: {
      const never: never = body;
      return never;
    }
  }
}

/** Level room between the load's outline and a body, metres; below 0 where they overlap. */
export function clearanceM(outline: Outline, body: Body): number {
  const radius = radiusOf(body) ?? 0;
  if (body.kind !== 'vehicle' && body.kind !== 'load') return fromPointM(outline, body.xM, body.yM) - radius;
  return betweenM(outline, {
    xM: body.xM,
    yM: body.yM,
    halfLengthM: body.lengthM / 2,
    halfWidthM: body.widthM / 2,
    headingRad: body.headingRad,
  });
}

/** Distance of a place from a rectangle; below 0 inside it. */
export function fromPointM({ xM, yM, halfLengthM, halfWidthM, headingRad }: Outline, x: number, y: number): number {
  const [sine, cosine] = [Math.sin(headingRad), Math.cos(headingRad)];
  const forward = Math.abs((x - xM) * sine + (y - yM) * cosine) - halfLengthM;
  const aside = Math.abs((x - xM) * cosine - (y - yM) * sine) - halfWidthM;
  return Math.hypot(Math.max(0, forward), Math.max(0, aside)) + Math.min(0, Math.max(forward, aside));
}

/** The widest gap between two rectangles along any of their sides: above 0 they are apart, below 0 they overlap. */
function betweenM(a: Outline, b: Outline): number {
  let widest = Number.NEGATIVE_INFINITY;
  for (const bearing of [a.headingRad, a.headingRad + Math.PI / 2, b.headingRad, b.headingRad + Math.PI / 2]) {
    const apart = Math.abs((b.xM - a.xM) * Math.sin(bearing) + (b.yM - a.yM) * Math.cos(bearing));
    widest = Math.max(widest, apart - reachM(a, bearing) - reachM(b, bearing));
  }
  return widest;
}

/** How far a rectangle reaches from its middle towards a bearing. */
function reachM({ halfLengthM, halfWidthM, headingRad }: Outline, bearing: number): number {
  const turn = bearing - headingRad;
  return halfLengthM * Math.abs(Math.cos(turn)) + halfWidthM * Math.abs(Math.sin(turn));
}

/** What the load would run over a little further on that it does not touch yet, or would run into deeper. */
export function contactM(moment: Moment, on: ResolvedBody): number {
  const outline = loadOutline(moment);
  const here = bodyPose(moment, on);
  const body = { ...on.body, xM: here.xM, yM: here.yM };
  const gapM = clearanceM(outline, body);
  if (gapM > 0) return gapM;
  // Drawn against each other at rest is no contact; coming nearer is.
  const { along } = moment.pose;
  const deeperM = clearanceM({ ...outline, xM: outline.xM + along.x * STEP_ON_M, yM: outline.yM + along.y * STEP_ON_M }, body);
  return deeperM < gapM - 1e-9 ? gapM - LEAST_M : Number.POSITIVE_INFINITY;
}

const STEP_ON_M = 0.01;
/** Touching is contact: just touching counts as below 0 by this. */
const LEAST_M = 1e-9;
