import type { Role } from '../gear/classes/roles.ts';
import type { Edit } from '../rig/edits.ts';
import type { Body, Chain, Line, PieceUse, Rig, RigPoint } from '../rig/rig.ts';
import { withTidying } from '../rig/tidy-rig.ts';
import { ahead } from '../statics/ground.ts';

/** Where a line goes: over a pulley at a body, or to its end there. */
export interface RouteStop {
  readonly bodyId: string;
  readonly at: 'pulley' | 'end';
}

export interface Route {
  readonly lineId: string;
  /** The vehicle whose winch drives it. */
  readonly fromBodyId: string;
  /** The last one is the end. */
  readonly stops: readonly RouteStop[];
}

/** Where a line goes now, as a route; nothing for a line whose chains hang in the air or that no winch drives. */
export function routeOf(rig: Rig, line: Line): Route | undefined {
  if (line.drive.kind !== 'winch' || line.to.kind !== 'chain') return undefined;
  const bodyOf = (pointId: string | undefined) => rig.points.find(({ id }) => id === pointId)?.bodyId;
  const bodyOfChain = (chainId: string) => {
    const from = rig.chains.find(({ id }) => id === chainId)?.from;
    return from?.kind === 'point' ? bodyOf(from.pointId) : undefined;
  };
  const { pointId } = line.drive;
  const stops: { bodyId: string | undefined; at: RouteStop['at'] }[] = [
    ...line.via.map((bend) => ({ bodyId: bend.kind === 'pulley' ? bodyOfChain(bend.chainId) : undefined, at: 'pulley' as const })),
    { bodyId: bodyOfChain(line.to.chainId), at: 'end' as const },
  ];
  const fromBodyId = bodyOf(pointId);
  if (fromBodyId === undefined || stops.some(({ bodyId }) => bodyId === undefined)) return undefined;
  return { lineId: line.id, fromBodyId, stops: stops as RouteStop[] };
}

/** What a line or a strap may be fastened to. */
export function mayHold({ kind }: Pick<Body, 'kind'>): boolean {
  return kind !== 'person' && kind !== 'animal' && kind !== 'crew';
}

/** Why a line cannot begin at a body, or be led to it; nothing where it can. */
export function routeFault(body: Pick<Body, 'kind' | 'label'>, place: 'drive' | 'stop'): string | undefined {
  if (place === 'drive' && body.kind !== 'vehicle') return `A line begins at the vehicle whose winch pulls; ${body.label} is not one.`;
  return mayHold(body) ? undefined : `Nothing is tied to people or animals: ${body.label} cannot hold a line.`;
}

/**
 * Runs a winch line over bodies: a point, a chain and its places of pieces at each. What the line had at the same body for the
 * same purpose stays, pieces and all; what nothing holds any more goes. Nothing where `routeFault` speaks against a body.
 */
export function routeEdits(rig: Rig, route: Route): readonly Edit[] {
  const laid = new Laid(rig, route);
  return laid.edits();
}

class Laid {
  private readonly points: RigPoint[] = [];
  private readonly chains: Chain[] = [];
  private readonly reused = new Set<string>();
  private readonly old: Line | undefined;
  private readonly ids: Set<string>;

  constructor(
    private readonly rig: Rig,
    private readonly route: Route,
  ) {
    this.old = rig.lines.find(({ id }) => id === route.lineId);
    this.ids = new Set([...rig.points, ...rig.chains].map(({ id }) => id));
  }

  edits(): readonly Edit[] {
    const { rig, route } = this;
    const from = this.body(route.fromBodyId);
    const bodies = route.stops.map(({ bodyId }) => this.body(bodyId));
    if (!from || routeFault(from, 'drive') || bodies.length === 0) return [];
    if (bodies.some((body) => body === undefined || routeFault(body, 'stop'))) return [];
    const drive = this.drive(from, route.stops[0]?.bodyId);
    let before = from;
    const ends = route.stops.map(({ bodyId, at }) => {
      const body = this.body(bodyId) ?? from;
      const chain = this.chainAt(body, at, before);
      before = body;
      return chain.id;
    });
    const line: Line = {
      id: route.lineId,
      drive,
      ropes: this.old?.drive.kind === 'winch' ? this.old.ropes : [{ id: `${route.lineId}-rope`, role: 'winch-line' }],
      via: ends.slice(0, -1).map((chainId) => ({ kind: 'pulley', chainId })),
      to: { kind: 'chain', chainId: ends.at(-1) ?? '' },
    };
    const lines = this.old ? rig.lines.map((entry) => (entry === this.old ? line : entry)) : [...rig.lines, line];
    const chains = [...rig.chains.filter((chain) => !this.dropped(chain)), ...this.chains];
    const points = [...rig.points, ...this.points].filter(({ id }) => pointIsHeld(id, { ...rig, chains, lines }));
    return withTidying(rig, [{ kind: 'lay-lines', points, chains, lines }]);
  }

  private body(id: string): Body | undefined {
    return this.rig.bodies.find((body) => body.id === id);
  }

  private fresh(wanted: string): string {
    let id = wanted;
    for (let number = 2; this.ids.has(id); number++) id = `${wanted}-${number}`;
    this.ids.add(id);
    return id;
  }

  /** The winch that drives the line already, or that of the vehicle it starts from now. */
  private drive(from: Body, towards: string | undefined): Line['drive'] {
    const { old, rig, route } = this;
    const pointId = old?.drive.kind === 'winch' ? old.drive.pointId : undefined;
    if (old && pointId !== undefined && rig.points.find(({ id }) => id === pointId)?.bodyId === from.id) return old.drive;
    const to = towards === undefined ? undefined : this.body(towards);
    const id = this.fresh(`${route.lineId}-fairlead`);
    this.points.push({ id, bodyId: from.id, label: 'fairlead', place: placeTowards(from, to, 0.7) });
    return { kind: 'winch', pointId: id, use: { id: this.fresh(`${route.lineId}-winch`), role: 'winch' } };
  }

  /** The chain that the line has at this body for this purpose, or a new one. */
  private chainAt(body: Body, at: RouteStop['at'], before: Body): Chain {
    const kept = this.rig.chains.find((chain) => !this.reused.has(chain.id) && this.isOwn(chain) && this.serves(chain, body, at));
    if (kept) {
      this.reused.add(kept.id);
      return kept;
    }
    const pointId = this.fresh(`on-${body.id}`);
    this.points.push({ id: pointId, bodyId: body.id, label: pointLabel(body), place: placeTowards(body, before, 0.5) });
    const id = this.fresh(`at-${body.id}`);
    const chain: Chain = { id, from: { kind: 'point', pointId }, pieces: usesAt(id, body, at === 'pulley' ? 'pulley' : 'line-end') };
    this.chains.push(chain);
    return chain;
  }

  private isOwn({ id }: Chain): boolean {
    const { old } = this;
    if (!old) return false;
    return old.via.some((bend) => bend.kind === 'pulley' && bend.chainId === id) || (old.to.kind === 'chain' && old.to.chainId === id);
  }

  private serves({ from, pieces }: Chain, body: Body, at: RouteStop['at']): boolean {
    const bodyId = from.kind === 'point' ? this.rig.points.find(({ id }) => id === from.pointId)?.bodyId : undefined;
    return bodyId === body.id && (pieces.at(-1)?.role === 'pulley') === (at === 'pulley');
  }

  private dropped(chain: Chain): boolean {
    return this.isOwn(chain) && !this.reused.has(chain.id);
  }
}

/** Whether anything of a rig begins or ends at a point. */
function pointIsHeld(pointId: string, { chains, lines, backAnchors = [], lanyards = [] }: Rig): boolean {
  return (
    chains.some(({ from }) => from.kind === 'point' && from.pointId === pointId) ||
    lines.some(
      ({ drive, via }) =>
        ('pointId' in drive && drive.pointId === pointId) || via.some((bend) => bend.kind === 'edge' && bend.pointId === pointId),
    ) ||
    backAnchors.some(({ vehiclePointId, anchorPointId }) => vehiclePointId === pointId || anchorPointId === pointId) ||
    lanyards.some(({ to }) => to.kind === 'point' && to.pointId === pointId)
  );
}

function pointLabel({ kind, label }: Body): string {
  return kind === 'tree' ? `strap on ${label}` : label;
}

/** The pieces from a body outward, by what the body is. */
export function usesAt(chainId: string, { kind }: Pick<Body, 'kind'>, tail: Role): readonly PieceUse[] {
  return [...rolesFrom(kind), 'connector' as const, tail].map((role, order): PieceUse => {
    const id = `${chainId}.${order}`;
    return role === 'tree-strap' ? { id, role, hitch: 'basket' } : { id, role };
  });
}

function rolesFrom(kind: Body['kind']): readonly Role[] {
  switch (kind) {
    case 'tree':
    case 'rock':
    case 'structure':
      return ['tree-strap'];
    case 'vehicle':
      return ['point'];
    case 'ground-anchor':
      return ['anchor'];
    case 'load':
    case 'pickets':
    case 'deadman':
    case 'person':
    case 'animal':
    case 'crew':
      return ['strap'];
    default: {
      const never: never = kind;
      return never;
    }
  }
}

/** Where a new point sits on a body: low on a trunk, on the end of a vehicle that looks at the other body, heights in metres. */
export function placeTowards(body: Body, other: Body | undefined, heightM: number): RigPoint['place'] {
  if (body.kind === 'tree') return { kind: 'on-trunk', heightM: 0.3 };
  if (body.kind !== 'vehicle' && body.kind !== 'load') return { kind: 'at-height', heightM: body.kind === 'ground-anchor' ? 0.1 : 0.4 };
  const forward = ahead(body.headingRad);
  const facing = other ? forward.x * (other.xM - body.xM) + forward.y * (other.yM - body.yM) : 1;
  return { kind: 'on-vehicle', forwardM: (facing >= 0 ? 0.48 : -0.48) * body.lengthM, leftM: 0, heightM };
}
