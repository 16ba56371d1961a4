import type { Role } from '../gear/classes/roles.ts';
import type { Edit } from '../rig/edits.ts';
import { legWords } from '../rig/line-words.ts';
import type { Body, Chain, PieceUse, Rig } from '../rig/rig.ts';
import { withTidying } from '../rig/tidy-rig.ts';
import { mayHold, placeTowards, usesAt } from './route-line.ts';

/** An id that nothing in the rig has yet. */
export function freeIdIn(rig: Rig, wanted: string): string {
  const text = JSON.stringify(rig);
  if (!text.includes(`"${wanted}"`)) return wanted;
  for (let number = 2; ; number++) if (!text.includes(`"${wanted}-${number}"`)) return `${wanted}-${number}`;
}

/** A piece more in a chain, before its last one. */
export function insertPiece(rig: Rig, chainId: string, role: Role): readonly Edit[] {
  const chain = rig.chains.find(({ id }) => id === chainId);
  if (!chain) return [];
  const use: PieceUse = { id: freeIdIn(rig, `${chainId}.more`), role };
  return [{ kind: 'put', list: 'chains', entry: { ...chain, pieces: [...chain.pieces.slice(0, -1), use, ...chain.pieces.slice(-1)] } }];
}

/** An extension in a chain comes with the connector that joins it. */
export function extendChain(rig: Rig, chainId: string): readonly Edit[] {
  const chain = rig.chains.find(({ id }) => id === chainId);
  if (!chain) return [];
  const fresh = (part: string, role: Role): PieceUse => ({ id: freeIdIn(rig, `${chainId}.${part}`), role });
  const pieces = [...chain.pieces.slice(0, -1), fresh('extension', 'extension'), fresh('joining', 'connector'), ...chain.pieces.slice(-1)];
  return [{ kind: 'put', list: 'chains', entry: { ...chain, pieces } }];
}

/** A piece less: out of its chain or off the end of its line. The last of a chain and the first rope of a line stay. */
export function removeUse(rig: Rig, useId: string): readonly Edit[] {
  return withTidying(rig, takeOut(rig, useId));
}

function takeOut(rig: Rig, useId: string): readonly Edit[] {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === useId));
  if (chain && chain.pieces.length > 1 && chain.pieces.at(-1)?.id !== useId)
    return [{ kind: 'put', list: 'chains', entry: { ...chain, pieces: chain.pieces.filter(({ id }) => id !== useId) } }];
  const line = rig.lines.find(({ ropes }) => ropes.slice(1).some(({ id }) => id === useId));
  if (line) return [{ kind: 'put', list: 'lines', entry: { ...line, ropes: line.ropes.filter(({ id }) => id !== useId) } }];
  const back = rig.backAnchors?.find(({ pieces }) => pieces.length > 1 && pieces.some(({ id }) => id === useId));
  if (back) return [{ kind: 'put', list: 'backAnchors', entry: { ...back, pieces: back.pieces.filter(({ id }) => id !== useId) } }];
  return [];
}

/** A length of rope joined to the end of a line. */
export function extendLine(rig: Rig, lineId: string): readonly Edit[] {
  const line = rig.lines.find(({ id }) => id === lineId);
  if (!line) return [];
  const use: PieceUse = { id: freeIdIn(rig, `${lineId}.extension`), role: 'extension' };
  return [{ kind: 'put', list: 'lines', entry: { ...line, ropes: [...line.ropes, use] } }];
}

/** A vehicle tied back to what holds it, by a static strap between connectors, to a point of its own. Nothing where that is a person or an animal, or the vehicle itself. */
export function tieBack(rig: Rig, vehicle: Body, anchor: Body): readonly Edit[] {
  if (vehicle.kind !== 'vehicle' || vehicle.id === anchor.id || !mayHold(anchor)) return [];
  const id = freeIdIn(rig, 'back-anchor');
  const [vehiclePointId, anchorPointId] = [freeIdIn(rig, `${id}-on-${vehicle.id}`), freeIdIn(rig, `${id}-on-${anchor.id}`)];
  const [first = { id: `${id}.0`, role: 'tree-strap' }] = usesAt(id, anchor, 'strap');
  return [
    {
      kind: 'put',
      list: 'points',
      entry: { id: vehiclePointId, bodyId: vehicle.id, label: `back of ${vehicle.label}`, place: placeTowards(vehicle, anchor, 0.5) },
    },
    {
      kind: 'put',
      list: 'points',
      entry: { id: anchorPointId, bodyId: anchor.id, label: anchor.label, place: placeTowards(anchor, vehicle, 0.5) },
    },
    {
      kind: 'put',
      list: 'backAnchors',
      entry: {
        id,
        vehiclePointId,
        anchorPointId,
        pieces: [
          first,
          { id: `${id}.1`, role: 'connector' },
          { id: `${id}.2`, role: 'strap' },
          { id: `${id}.3`, role: 'connector' },
          { id: `${id}.4`, role: 'point' },
        ],
      },
    },
  ];
}

/** The end of a line on a vehicle shared between two points by a fixed bridle of two straps. */
export function addBridle(rig: Rig, chainId: string): readonly Edit[] {
  const chain = rig.chains.find(({ id }) => id === chainId);
  if (chain?.from.kind !== 'point') return [];
  const { pointId } = chain.from;
  const point = rig.points.find(({ id }) => id === pointId);
  const body = rig.bodies.find(({ id }) => id === point?.bodyId);
  if (point?.place.kind !== 'on-vehicle' || body?.kind !== 'vehicle') return [];
  const { place } = point;
  const jointId = freeIdIn(rig, `${chainId}-apex`);
  const other = freeIdIn(rig, `${point.id}-other`);
  const half = Math.max(Math.abs(place.leftM), body.widthM * 0.25);
  const leg = (side: string, from: string): Chain => {
    const id = freeIdIn(rig, `${chainId}-leg-${side}`);
    const roles: readonly Role[] = ['point', 'connector', 'strap'];
    return {
      id,
      from: { kind: 'point', pointId: from },
      to: { kind: 'joint', jointId },
      pieces: roles.map((role, order) => ({ id: `${id}.${order}`, role })),
    };
  };
  return withTidying(rig, [
    { kind: 'put', list: 'joints', entry: { id: jointId, label: 'apex of the bridle' } },
    { kind: 'put', list: 'points', entry: { ...point, place: { ...place, leftM: half } } },
    { kind: 'put', list: 'points', entry: { ...point, id: other, place: { ...place, leftM: -half } } },
    { kind: 'put', list: 'chains', entry: leg('left', point.id) },
    { kind: 'put', list: 'chains', entry: leg('right', other) },
    {
      kind: 'put',
      list: 'chains',
      entry: {
        ...chain,
        from: { kind: 'joint', jointId },
        pieces: [{ id: `${chainId}.join`, role: 'connector' }, ...chain.pieces.slice(-1)],
      },
    },
  ]);
}

/** A lanyard on a piece, to something that stands still. */
export function addLanyard(rig: Rig, useId: string, to: Body): readonly Edit[] {
  if (!mayHold(to)) return [];
  const id = freeIdIn(rig, 'lanyard');
  const pointId = freeIdIn(rig, `${id}-on-${to.id}`);
  return [
    {
      kind: 'put',
      list: 'points',
      entry: { id: pointId, bodyId: to.id, label: `lanyard on ${to.label}`, place: placeTowards(to, undefined, 0.3) },
    },
    { kind: 'put', list: 'lanyards', entry: { id, useId, to: { kind: 'point', pointId } } },
  ];
}

/** Something that a lanyard may be tied to, in words. */
export interface LanyardReach {
  readonly id: string;
  readonly words: string;
  readonly to: NonNullable<Rig['lanyards']>[number]['to'];
}

/** What a lanyard may be tied to: every strand that moves along, by a grip, and every point of the rig. */
export const lanyardReaches = (rig: Rig): readonly LanyardReach[] => [
  ...rig.lines.flatMap(({ id, via }) =>
    Array.from({ length: via.length + 1 }, (_, strand): LanyardReach => {
      return {
        id: `${id}.${strand}`,
        words: `${legWords(rig, { lineId: id, strand })}, by a grip`,
        to: { kind: 'strand', lineId: id, strand },
      };
    }),
  ),
  ...rig.points.map(({ id, label, bodyId }): LanyardReach => {
    const body = rig.bodies.find((entry) => entry.id === bodyId);
    return { id, words: body && body.label !== label ? `${label}, on ${body.label}` : label, to: { kind: 'point', pointId: id } };
  }),
];

/** A body with everything that is fastened to it: lines that end or turn there go too. The load stays. */
export function removeBody(rig: Rig, bodyId: string): readonly Edit[] {
  return rig.load.bodyId === bodyId ? [] : withTidying(rig, takeOff(rig, bodyId));
}

function takeOff(rig: Rig, bodyId: string): readonly Edit[] {
  const points = new Set(rig.points.filter((point) => point.bodyId === bodyId).map(({ id }) => id));
  const chains = new Set(rig.chains.filter(({ from }) => from.kind === 'point' && points.has(from.pointId)).map(({ id }) => id));
  const touches = (line: Rig['lines'][number]) =>
    ('pointId' in line.drive && points.has(line.drive.pointId)) ||
    (line.drive.kind === 'tow' && chains.has(line.drive.chainId)) ||
    (line.drive.kind === 'held' && line.drive.end.kind === 'chain' && chains.has(line.drive.end.chainId)) ||
    line.via.some((bend) => (bend.kind === 'pulley' ? chains.has(bend.chainId) : points.has(bend.pointId))) ||
    (line.to.kind === 'chain' && chains.has(line.to.chainId));
  const gone = rig.lines.filter(touches);
  if (gone.length > 0) return [...clearLines(rig), { kind: 'remove', list: 'bodies', id: bodyId }];
  return [
    ...(rig.backAnchors ?? [])
      .filter((back) => points.has(back.vehiclePointId) || points.has(back.anchorPointId))
      .map(({ id }): Edit => ({ kind: 'remove', list: 'backAnchors', id })),
    ...[...chains].map((id): Edit => ({ kind: 'remove', list: 'chains', id })),
    ...[...points].map((id): Edit => ({ kind: 'remove', list: 'points', id })),
    { kind: 'remove', list: 'bodies', id: bodyId },
  ];
}

/** Takes every line off the site; what stands there stays. */
export function clearLines(rig: Rig): readonly Edit[] {
  const { joints: _joints, grips: _grips, backAnchors: _back, lanyards: _lanyards, sharing: _sharing, ...rest } = rig;
  return [{ kind: 'replace-rig', rig: { ...rest, points: [], chains: [], lines: [], dampers: [], answers: {} } }];
}

/** A line with the chains that only it uses. */
export function removeLine(rig: Rig, lineId: string): readonly Edit[] {
  const line = rig.lines.find(({ id }) => id === lineId);
  if (!line) return [];
  const chainsOf = ({ drive, via, to }: Rig['lines'][number]) => [
    ...via.flatMap((bend) => (bend.kind === 'pulley' ? [bend.chainId] : [])),
    ...(to.kind === 'chain' ? [to.chainId] : []),
    ...(drive.kind === 'tow' ? [drive.chainId] : []),
    ...(drive.kind === 'held' && drive.end.kind === 'chain' ? [drive.end.chainId] : []),
  ];
  const others = new Set(rig.lines.filter((entry) => entry !== line).flatMap(chainsOf));
  const joined = rig.chains.some(({ to, from }) => to !== undefined || from.kind === 'joint');
  // Lines that meet others in the air go together: what is left of them would hold nothing.
  if (joined || rig.lines.length === 1) return clearLines(rig);
  const gone = chainsOf(line).filter((id) => !others.has(id));
  return withTidying(rig, [
    { kind: 'remove', list: 'lines', id: lineId },
    ...gone.map((id): Edit => ({ kind: 'remove', list: 'chains', id })),
  ]);
}
