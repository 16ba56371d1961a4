import { strapBasket } from '../anchors/strap-basket.ts';
import type { AnchorCapacity } from '../anchors/tree-capacity.ts';
import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import { isPulley } from '../gear/pulleys.ts';
import type { Policy } from '../policy/policy.ts';
import { bendFactor, bowAngleFactor, type Derate, eyeFactor, interpolate } from '../rating/derates.ts';
import type { Line, PieceUse, Rig } from '../rig/rig.ts';
import { type ChainPlace, type GearIndex, gearOf, type RigNetwork } from '../rig/rig-network.ts';
import { angleBetween, distance, norm, subtract, type Vec3 } from '../statics/vec3.ts';
import { driveLine, type Owner, type Place, type Solved, type StrandRef } from './assessment.ts';
import { strandForces } from './body-forces.ts';
import { type DrumReport, isRope } from './drum-report.ts';
import type { PieceLimit } from './piece-limit.ts';

interface PlacesInput {
  readonly rig: Rig;
  readonly gear: GearIndex;
  readonly policy: Policy;
  readonly network: RigNetwork;
  readonly solved: Solved;
  readonly drum: DrumReport;
  readonly limits: ReadonlyMap<string, PieceLimit>;
  readonly anchors: ReadonlyMap<string, AnchorCapacity>;
}

type UnitLoads = Place['unitLoads'];

/** All places of a rig in load-path order: the line from its drive, then at each bend and at the end the chain outward to its body. */
export function placesOfRig(input: PlacesInput): readonly Place[] {
  const line = driveLine(input.rig);
  const chainIds = [...line.via.map(({ chainId }) => chainId), line.to.chainId];
  const chainPlaces = chainIds.flatMap((id, index) => {
    const place = input.network.chains.find(({ chain }) => chain.id === id);
    return place ? placesOfChain(input, place, strandsAt(line, index)) : [];
  });
  return [...drumPlace(input, line), ...ropePlaces(input, line), ...chainPlaces];
}

/** The strands that meet at the i-th bend, or the one that ends there. */
function strandsAt(line: Line, index: number): readonly StrandRef[] {
  const here: StrandRef = { line: 0, strand: index };
  return index < line.via.length ? [here, { line: 0, strand: index + 1 }] : [here];
}

function drumPlace({ drum, gear }: PlacesInput, line: Line): readonly Place[] {
  const { use } = line.drive;
  const capacity = drum.kind === 'no-winch' ? undefined : { wllN: drum.ratedN, mbsN: 0 };
  const owner: Owner = { kind: 'use', use, piece: gearOf(use, gear) };
  const where = drum.kind === 'known' ? `drum, layer ${drum.layer}` : 'drum';
  return [
    {
      id: `${use.id}:drum`,
      kind: 'drum',
      owner,
      where,
      unitLoads: { hauling: 1, frictionless: 1 },
      locals: [],
      capacity,
      ownLine: false,
      judged: false,
      strands: [{ line: 0, strand: 0 }],
      share: 1,
    },
  ];
}

interface RopeNode {
  readonly strand: number;
  /** Length of rope from here to the line's end, metres. */
  readonly toEndM: number;
}

function ropePlaces(input: PlacesInput, line: Line): readonly Place[] {
  const { hauling } = input.solved;
  const nodes = input.network.network.ropes[0]?.nodes ?? [];
  const spans = nodes
    .slice(1)
    .map((to, index) => distance(hauling.positions[nodes[index] as number] as Vec3, hauling.positions[to] as Vec3));
  const bends: RopeNode[] = line.via.map((_, index) => ({ strand: index, toEndM: spans.slice(index + 1).reduce((a, b) => a + b, 0) }));
  const uses = ropeSpans(line, input.gear);
  return uses.flatMap(({ use, fromEndM, toEndM }, order) => {
    const mine = bends.filter((bend) => bend.toEndM >= fromEndM && (order === 0 || bend.toEndM < toEndM));
    const strand = order === 0 ? 0 : (mine[0]?.strand ?? spans.length - 1);
    return [
      ropePlace(input, use, {
        kind: 'rope',
        where: order === 0 ? 'at the drum' : 'in its length',
        loads: strandLoads(input, strand),
        locals: [],
        strands: [{ line: 0, strand }],
      }),
      ...mine.map((bend) => bendPlace(input, line, use, bend)),
      endPlace(input, use, spans.length - 1),
    ];
  });
}

/** Which stretch of the path each rope covers, measured back from the line's end. */
function ropeSpans(line: Line, gear: GearIndex): readonly { readonly use: PieceUse; readonly fromEndM: number; readonly toEndM: number }[] {
  let fromEndM = 0;
  const spans = [...line.ropes].reverse().map((use) => {
    const piece = gearOf(use, gear);
    const start = fromEndM;
    fromEndM += isRope(piece) ? (piece.attributes.lengthM ?? 0) : 0;
    return { use, fromEndM: start, toEndM: fromEndM };
  });
  return spans.reverse();
}

function strandLoads({ solved }: PlacesInput, strand: number): UnitLoads {
  return { hauling: solved.hauling.strandTensions[0]?.[strand] ?? 0, frictionless: solved.frictionless.strandTensions[0]?.[strand] ?? 0 };
}

interface RopePlaceParts {
  readonly kind: Place['kind'];
  readonly where: string;
  readonly loads: UnitLoads;
  readonly locals: readonly Derate[];
  readonly strands: readonly StrandRef[];
}

function ropePlace(input: PlacesInput, use: PieceUse, { kind, where, loads, locals, strands }: RopePlaceParts): Place {
  const owner: Owner = { kind: 'use', use, piece: gearOf(use, input.gear) };
  const id = `${use.id}:${kind}${kind === 'bend' ? `:${strands[0]?.strand}` : ''}`;
  return {
    id,
    kind,
    owner,
    where,
    unitLoads: loads,
    locals,
    capacity: capacity(input.limits.get(use.id), locals),
    ownLine: use.role === 'winch-line',
    judged: false,
    strands,
    share: 1,
  };
}

function capacity(limit: PieceLimit | undefined, locals: readonly Derate[]): Place['capacity'] {
  if (limit?.kind !== 'rated') return undefined;
  const local = locals.reduce((total, { factor }) => total * factor, 1);
  return { wllN: limit.wllN * local, mbsN: limit.mbsN * local };
}

function bendPlace(input: PlacesInput, line: Line, use: PieceUse, bend: RopeNode): Place {
  const { policy, gear } = input;
  const chainId = line.via[bend.strand]?.chainId;
  const last = input.rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1);
  const pulley = last && gearOf(last, gear);
  const loads = { hauling: larger(input, bend.strand, 'hauling'), frictionless: larger(input, bend.strand, 'frictionless') };
  const strands = [
    { line: 0, strand: bend.strand },
    { line: 0, strand: bend.strand + 1 },
  ];
  const rope = gearOf(use, gear);
  const ropeDiameterM = isRope(rope) ? rope.attributes.ropeDiameterM : undefined;
  const treadDiameterM = isPulley(pulley) ? pulley.attributes.treadDiameterM : undefined;
  const where = `bend at ${pulley?.tag ?? 'the pulley'}`;
  if (ropeDiameterM === undefined || treadDiameterM === undefined)
    return ropePlace(input, use, { kind: 'bend', where, loads, locals: [], strands });
  const steelWire = rope?.kind === 'winch-line-steel';
  const factor = bendFactor({ treadDiameterM, ropeDiameterM, wrapRad: wrapAt(input, bend.strand), steelWire }, policy);
  const source = (steelWire ? policy.bends.steelWire : policy.bends.fibre).source;
  const locals = [
    { name: `bend, D/d ${(treadDiameterM / ropeDiameterM).toFixed(1)}`, factor, reason: `over ${pulley?.tag ?? 'the pulley'}`, source },
  ];
  return ropePlace(input, use, { kind: 'bend', where, loads, locals, strands });
}

function larger({ solved }: PlacesInput, strand: number, motion: 'hauling' | 'frictionless'): number {
  const tensions = solved[motion].strandTensions[0] ?? [];
  return Math.max(tensions[strand] ?? 0, tensions[strand + 1] ?? 0);
}

/** Angle of wrap at the bend after a strand, hauling, rad. */
export function wrapAt({ network, solved }: Pick<PlacesInput, 'network' | 'solved'>, strand: number): number {
  const nodes = network.network.ropes[0]?.nodes ?? [];
  const [a, b, c] = [strand, strand + 1, strand + 2].map((index) => solved.hauling.positions[nodes[index] ?? -1]);
  return a && b && c ? angleBetween(subtract(b, a), subtract(c, b)) : 0;
}

function endPlace(input: PlacesInput, use: PieceUse, strand: number): Place {
  const piece = gearOf(use, input.gear);
  const end = isRope(piece) ? (piece.attributes.endTermination ?? 'unknown') : 'unknown';
  const fibreKnot =
    isRope(piece) &&
    'material' in piece.attributes &&
    piece.attributes.material === 'hmpe' &&
    ['figure-eight', 'bowline', 'other-knot'].includes(end);
  const row = fibreKnot ? input.policy.hmpeTermination.anyKnot : input.policy.terminations[end];
  const made =
    row.value === 1 ? [] : [{ name: end.replaceAll('-', ' '), factor: row.value, reason: 'how the end is made', source: row.source }];
  const locals = [...made, ...eyeAtEnd(input, use, piece)];
  return ropePlace(input, use, { kind: 'end', where: 'end', loads: strandLoads(input, strand), locals, strands: [{ line: 0, strand }] });
}

/** The line's own eye on the pin that takes it, for the last rope of the line. */
function eyeAtEnd({ rig, gear, policy }: PlacesInput, use: PieceUse, piece: GearFacts | undefined): readonly Derate[] {
  const line = driveLine(rig);
  const last = rig.chains.find(({ id }) => id === line.to.chainId)?.pieces.at(-1);
  const pin = last && pinOf(gearOf(last, gear));
  if (line.ropes.at(-1)?.id !== use.id || !isRope(piece) || piece.attributes.ropeDiameterM === undefined || pin === undefined) return [];
  const factor = eyeFactor(pin, piece.attributes.ropeDiameterM, policy);
  return factor === 1
    ? []
    : [{ name: 'eye on a thin pin', factor, reason: 'the pin is thinner than the rope', source: policy.bends.eyeOnTightPin.source }];
}

function placesOfChain(input: PlacesInput, place: ChainPlace, strands: readonly StrandRef[]): readonly Place[] {
  const loads = {
    hauling: norm(strandForces(input.network, input.solved.hauling)[place.tip] as Vec3),
    frictionless: norm(strandForces(input.network, input.solved.frictionless)[place.tip] as Vec3),
  };
  const outward = [...place.chain.pieces].reverse();
  const pieces = outward.map((use) => chainPiece(input, place, use, { loads, strands }));
  return [...pieces, ...anchorPlace(input, place, { loads, strands })];
}

interface ChainLoad {
  readonly loads: UnitLoads;
  readonly strands: readonly StrandRef[];
}

function chainPiece(input: PlacesInput, { chain }: ChainPlace, use: PieceUse, { loads, strands }: ChainLoad): Place {
  const owner: Owner = { kind: 'use', use, piece: gearOf(use, input.gear) };
  const hitch = hitchOf(input, chain.from.pointId, use);
  const locals = [...hitch.locals, ...connectionLocals(input, chain.pieces, use)];
  const unitLoads = { hauling: loads.hauling * hitch.share, frictionless: loads.frictionless * hitch.share };
  const limit = input.limits.get(use.id);
  const kind = hitch.legs ? 'legs' : 'body';
  if (use.judged)
    return {
      id: `${use.id}:${kind}`,
      kind,
      owner,
      where: '',
      unitLoads,
      locals: [],
      capacity: { wllN: use.judged.workingN, mbsN: use.judged.failingN },
      ownLine: false,
      judged: true,
      strands,
      share: hitch.share,
    };
  const minor = use.axis === 'minor' && owner.piece?.kind === 'carabiner' ? owner.piece.attributes.minorAxisBreakingN : undefined;
  const held = minor === undefined || limit?.kind !== 'rated' ? capacity(limit, locals) : capacity(onMinorAxis(limit, minor), locals);
  return {
    id: `${use.id}:${kind}`,
    kind,
    owner,
    where: hitch.legs ? 'each leg' : '',
    unitLoads,
    locals,
    capacity: held,
    ownLine: false,
    judged: false,
    strands,
    share: hitch.share,
  };
}

function onMinorAxis(limit: Extract<PieceLimit, { kind: 'rated' }>, minorN: number): PieceLimit {
  const share = Math.min(1, minorN / limit.limit.mbsN);
  return { ...limit, wllN: limit.wllN * share, mbsN: limit.mbsN * share };
}

interface Hitch {
  readonly share: number;
  readonly legs: boolean;
  readonly locals: readonly Derate[];
}

function hitchOf({ rig, gear, policy }: PlacesInput, pointId: string, use: PieceUse): Hitch {
  const straight: Hitch = { share: 1, legs: false, locals: [] };
  const body = rig.bodies.find(({ id }) => id === rig.points.find((point) => point.id === pointId)?.bodyId);
  const piece = gearOf(use, gear);
  if (body?.kind !== 'tree' || piece === undefined || use.hitch === undefined || use.hitch === 'in-line') return straight;
  const { chokedFactor } = policy.tree;
  if (use.hitch === 'choke')
    return {
      ...straight,
      locals: [{ name: 'choked', factor: chokedFactor.value, reason: 'the strap bites on itself', source: chokedFactor.source }],
    };
  const lengthM = 'lengthM' in piece.attributes ? piece.attributes.lengthM : undefined;
  const basket = lengthM === undefined ? undefined : strapBasket(lengthM, body.trunkDiameterM);
  return basket ? { share: basket.legShare, legs: true, locals: [] } : straight;
}

/** Factors of how a piece sits on its neighbours: a rope's eye on a thin pin, a shackle pulled off its bow. */
function connectionLocals({ gear, policy }: PlacesInput, pieces: readonly PieceUse[], use: PieceUse): readonly Derate[] {
  const piece = gearOf(use, gear);
  if (piece?.kind === 'steel-shackle' && use.bowAngleRad !== undefined) {
    const factor = bowAngleFactor(use.bowAngleRad);
    if (factor !== undefined && factor < 1)
      return [
        {
          name: 'off the bow axis',
          factor,
          reason: `${Math.round((use.bowAngleRad * 180) / Math.PI)}° off`,
          source: 'common rigging-hardware standard',
        },
      ];
  }
  const index = pieces.indexOf(use);
  if (isStrap(piece))
    return strapLocals(
      piece,
      [pieces[index - 1], pieces[index + 1]].map((other) => other && gearOf(other, gear)),
      policy,
    );
  if (piece?.kind !== 'line-extension' || piece.attributes.ropeDiameterM === undefined) return [];
  const pins = [pieces[index - 1], pieces[index + 1]]
    .map((neighbour) => neighbour && pinOf(gearOf(neighbour, gear)))
    .filter((pin) => pin !== undefined);
  const factor = Math.min(1, ...pins.map((pin) => eyeFactor(pin, piece.attributes.ropeDiameterM as number, policy)));
  return factor === 1
    ? []
    : [{ name: 'eye on a thin pin', factor, reason: 'the pin is thinner than the rope', source: policy.bends.eyeOnTightPin.source }];
}

type Strap = GearOf<'tree-strap'> | GearOf<'static-strap'> | GearOf<'winch-extension-strap'> | GearOf<'bridle'>;

function isStrap(piece: GearFacts | undefined): piece is Strap {
  return (
    piece?.kind === 'tree-strap' || piece?.kind === 'static-strap' || piece?.kind === 'winch-extension-strap' || piece?.kind === 'bridle'
  );
}

/** A strap looped through a strap, and webbing bent over a pin thinner than twice its thickness. */
function strapLocals(strap: Strap, neighbours: readonly (GearFacts | undefined)[], policy: Policy): readonly Derate[] {
  const looped = neighbours.find(isStrap);
  const { strapThroughStrap, bends } = policy;
  if (looped)
    return [
      {
        name: 'strap through strap',
        factor: strapThroughStrap.value,
        reason: `looped with ${looped.tag}`,
        source: strapThroughStrap.source,
      },
    ];
  const { thicknessM } = strap.attributes;
  const pins = neighbours.map(pinOf).filter((pin) => pin !== undefined);
  if (thicknessM === undefined || pins.length === 0) return [];
  const ratio = Math.min(...pins) / thicknessM;
  if (ratio >= 2 * (1 - 1e-9)) return [];
  return [
    {
      name: `webbing on a thin pin, ${ratio.toFixed(1)} × its thickness`,
      factor: interpolate(bends.fibre.points, ratio),
      reason: 'at least twice its thickness is asked for',
      source: bends.fibre.source,
    },
  ];
}

/** Diameter of what an eye sits on, metres. */
export function pinOf(piece: GearFacts | undefined): number | undefined {
  switch (piece?.kind) {
    case 'steel-shackle':
    case 'closed-link':
      return piece.attributes.pinDiameterM;
    case 'soft-shackle':
      return piece.attributes.ropeDiameterM;
    case 'carabiner':
      return piece.attributes.treadDiameterM;
    default:
      return undefined;
  }
}

function anchorPlace({ rig, anchors }: PlacesInput, { chain }: ChainPlace, { loads, strands }: ChainLoad): readonly Place[] {
  const point = rig.points.find(({ id }) => id === chain.from.pointId);
  const body = rig.bodies.find(({ id }) => id === point?.bodyId);
  const anchor = point && anchors.get(point.id);
  if (!body || !anchor) return [];
  const owner: Owner = { kind: 'body', bodyId: body.id, label: body.label };
  return [
    {
      id: `${body.id}:anchor:${chain.id}`,
      kind: 'anchor',
      owner,
      where: 'anchor',
      unitLoads: loads,
      locals: [],
      capacity: { wllN: anchor.workingN, mbsN: anchor.failingN },
      ownLine: false,
      judged: true,
      strands,
      share: 1,
    },
  ];
}
