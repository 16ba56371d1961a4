import { type Body, pointPosition, type Rig } from '@wainrope/core';
import type { Point2 } from '../sheet/layout/place-labels.ts';

export interface Schematic {
  readonly bodies: readonly {
    readonly id: string;
    readonly kind: Body['kind'];
    readonly at: Point2;
    readonly turnDeg: number;
    readonly long: number;
    readonly wide: number;
    readonly isLoad: boolean;
  }[];
  readonly ropes: readonly (readonly Point2[])[];
  /** Straps: of chains in the air, back-anchors. */
  readonly straps: readonly (readonly Point2[])[];
  readonly pulleys: readonly Point2[];
}

/** Corners of a rig’s drawing without solving it: chains are drawn to their bodies, joints in the midst of what they join. */
export function schematicOf(rig: Rig, { width, height }: { readonly width: number; readonly height: number }): Schematic {
  const places = new Map(rig.points.map((point) => [point.id, pointPosition(rig, point)]));
  const joints = jointPlaces(rig, places);
  const chainEnd = (chainId: string): Point2 | undefined => {
    const from = rig.chains.find(({ id }) => id === chainId)?.from;
    if (!from) return undefined;
    return from.kind === 'point' ? places.get(from.pointId) : joints.get(from.jointId);
  };
  const endOf = (end: Rig['lines'][number]['to']) => (end.kind === 'chain' ? chainEnd(end.chainId) : joints.get(end.jointId));
  const ropes = rig.lines.map(({ drive, via, to }) => [
    drive.kind === 'tow' ? chainEnd(drive.chainId) : drive.kind === 'held' ? endOf(drive.end) : places.get(drive.pointId),
    ...via.map((bend) => (bend.kind === 'pulley' ? chainEnd(bend.chainId) : places.get(bend.pointId))),
    endOf(to),
  ]);
  const straps = [
    ...(rig.backAnchors ?? []).map(({ vehiclePointId, anchorPointId }) => [places.get(vehiclePointId), places.get(anchorPointId)]),
    ...rig.chains.flatMap((chain) => (chain.to?.kind === 'joint' ? [[chainEnd(chain.id), joints.get(chain.to.jointId)]] : [])),
  ];
  const fit = fitTo(rig.bodies, { width, height });
  const drawn = (path: readonly (Point2 | undefined)[]) => path.filter((point) => point !== undefined).map(fit.place);
  return {
    bodies: rig.bodies
      .filter(({ kind }) => kind !== 'person' && kind !== 'animal')
      .map((body) => ({
        id: body.id,
        kind: body.kind,
        at: fit.place({ x: body.xM, y: body.yM }),
        turnDeg: 'headingRad' in body ? (body.headingRad * 180) / Math.PI - 90 : 0,
        long: fit.scale * ('lengthM' in body ? body.lengthM : 1),
        wide: fit.scale * ('widthM' in body ? body.widthM : 1),
        isLoad: body.id === rig.load.bodyId,
      })),
    ropes: ropes.map(drawn),
    straps: straps.map(drawn),
    pulleys: drawn(rig.lines.flatMap(({ via }) => via.flatMap((bend) => (bend.kind === 'pulley' ? [chainEnd(bend.chainId)] : [])))),
  };
}

function jointPlaces(rig: Rig, places: ReadonlyMap<string, Point2>): ReadonlyMap<string, Point2> {
  return new Map(
    (rig.joints ?? []).map(({ id }) => {
      const near = [
        ...rig.chains.flatMap(({ from, to }) =>
          to?.kind === 'joint' && to.jointId === id && from.kind === 'point' ? [places.get(from.pointId)] : [],
        ),
        ...rig.lines.flatMap(({ drive, to, via }) => {
          const touches =
            (to.kind === 'joint' && to.jointId === id) || (drive.kind === 'held' && drive.end.kind === 'joint' && drive.end.jointId === id);
          const other = via.map((bend) =>
            bend.kind === 'pulley' ? rig.chains.find((chain) => chain.id === bend.chainId)?.from : undefined,
          );
          return touches ? other.map((from) => (from?.kind === 'point' ? places.get(from.pointId) : undefined)) : [];
        }),
        rig.bodies.filter((body) => body.id === rig.load.bodyId).map((body) => ({ x: body.xM, y: body.yM }))[0],
      ].filter((point) => point !== undefined);
      const mean = (key: 'x' | 'y') => near.reduce((sum, point) => sum + point[key], 0) / Math.max(1, near.length);
      return [id, { x: mean('x'), y: mean('y') }] as const;
    }),
  );
}

/** Room at the rim of a diagram, pixels. */
const RIM = 14;

function fitTo(bodies: readonly Body[], { width, height }: { readonly width: number; readonly height: number }) {
  const [xs, ys] = [bodies.map(({ xM }) => xM), bodies.map(({ yM }) => yM)];
  const [left, right, bottom, top] = [Math.min(...xs) - 2.5, Math.max(...xs) + 2.5, Math.min(...ys) - 2, Math.max(...ys) + 2];
  const scale = Math.min((width - 2 * RIM) / (right - left), (height - 2 * RIM) / (top - bottom));
  const place = ({ x, y }: Point2): Point2 => ({
    x: width / 2 + (x - (left + right) / 2) * scale,
    y: height / 2 - (y - (bottom + top) / 2) * scale,
  });
  return { scale, place };
}
