import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import { type GearIndex, gearOf } from '../resolved/rig-network.ts';
import type { Line, Rig } from '../rig/rig.ts';
import { type Drum, drumState, isOverfull, ratedPullOnLayer, reserveM } from '../winch/drum-layers.ts';

interface WinchPulls {
  /** Rated pull on the layer for what the winch can do (the smaller reading), newtons. */
  readonly ratedN: number;
  /** Rated pull on the layer × stall factor (the larger reading), or the limiter's where lower, newtons. */
  readonly greatestN: number;
  readonly stallFactor: number;
  readonly limitedBy?: string;
}

export type DrumReport =
  | ({
      readonly kind: 'known';
      readonly drum: Drum;
      readonly lineOutM: number;
      readonly usableM: number;
      readonly layer: number;
      readonly wrapsLeft: number;
      readonly wrapsWanted: number;
      readonly overfull: boolean | undefined;
    } & WinchPulls)
  /** The rig asks for more rope than there is. */
  | ({ readonly kind: 'too-short'; readonly lineOutM: number; readonly ropeM: number } & WinchPulls)
  /** Drum or rope sizes are missing: the first layer stands for the greatest pull, the layer stays open. */
  | ({ readonly kind: 'sizes-unknown'; readonly lineOutM: number | undefined; readonly missing: readonly string[] } & WinchPulls)
  /** No winch chosen, or its pull is not marked. */
  | { readonly kind: 'no-winch' };

const LINE_KINDS = ['winch-line-synthetic', 'winch-line-steel', 'line-extension'] as const;
type RopeGear = GearOf<(typeof LINE_KINDS)[number]>;

export function isRope(piece: GearFacts | undefined): piece is RopeGear {
  return piece !== undefined && LINE_KINDS.some((kind) => kind === piece.kind);
}

/** First-layer pull of a winch from its marks: the lowest smallest reading for ability, the highest largest for the greatest check. */
function markedPulls(winch: GearFacts): { readonly ability: number; readonly most: number } | undefined {
  if (winch.marks.length === 0) return undefined;
  const readings = winch.marks.map(({ readings: all }) => all.map(({ forceN }) => forceN));
  return { ability: Math.min(...readings.map((all) => Math.min(...all))), most: Math.max(...readings.map((all) => Math.max(...all))) };
}

export interface DrumInput {
  readonly rig: Rig;
  readonly line: Line;
  readonly drive: Extract<Line['drive'], { kind: 'winch' }>;
  readonly gear: GearIndex;
  readonly policy: Policy;
  /** Whole path from fairlead to end, extensions included, metres; undefined where the rig has no balance. */
  readonly pathM: number | undefined;
}

/** State of the drum with the line laid as the rig says. */
export function drumReport({ rig, line, drive, gear, policy, pathM }: DrumInput): DrumReport {
  const winch = gearOf(drive.use, gear);
  const marked = winch && markedPulls(winch);
  if (winch?.kind !== 'winch' || marked === undefined) return { kind: 'no-winch' };
  const stallFactor = winch.attributes.stallFactor ?? policy.winch.stallFactor.value;
  const pulls = (shrink: number): WinchPulls =>
    limited(rig, { ratedN: marked.ability * shrink, greatestN: marked.most * shrink * stallFactor, stallFactor });
  const rope = line.ropes[0] && gearOf(line.ropes[0], gear);
  const sizes = drumSizes(winch, rope);
  if ('missing' in sizes) return { kind: 'sizes-unknown', lineOutM: pathM, missing: sizes.missing, ...pulls(1) };
  if (pathM === undefined) return { kind: 'sizes-unknown', lineOutM: undefined, missing: ['the layout of the line'], ...pulls(1) };
  const lineOutM = Math.max(0, pathM - extensionsM(line, gear));
  const { drum } = sizes;
  const state = drumState(drum, lineOutM);
  if (state === undefined) return { kind: 'too-short', lineOutM, ropeM: drum.ropeLengthM, ...pulls(1) };
  const wrapsWanted =
    winch.attributes.reserveWraps ??
    (rope?.kind === 'winch-line-steel' ? policy.winch.reserveWrapsSteel : policy.winch.reserveWrapsSynthetic).value;
  const flange = winch.attributes.flangeDiameterM;
  return {
    kind: 'known',
    drum,
    lineOutM,
    usableM: drum.ropeLengthM - reserveM(drum, wrapsWanted),
    layer: state.layer,
    wrapsLeft: state.wrapsLeft,
    wrapsWanted,
    overfull: flange === undefined ? undefined : isOverfull(drum, flange),
    ...pulls(ratedPullOnLayer(drum, 1, state.layer)),
  };
}

function limited(rig: Rig, pulls: WinchPulls): WinchPulls {
  const { limiter } = rig;
  return limiter && limiter.pullN < pulls.greatestN ? { ...pulls, greatestN: limiter.pullN, limitedBy: limiter.statedBy } : pulls;
}

function drumSizes(winch: GearOf<'winch'>, rope: GearFacts | undefined): { readonly drum: Drum } | { readonly missing: readonly string[] } {
  const { drumDiameterM, drumWidthM } = winch.attributes;
  const { ropeDiameterM, lengthM } = isRope(rope) ? rope.attributes : {};
  if (drumDiameterM !== undefined && drumWidthM !== undefined && ropeDiameterM !== undefined && lengthM !== undefined)
    return { drum: { coreDiameterM: drumDiameterM, widthM: drumWidthM, ropeDiameterM, ropeLengthM: lengthM } };
  const missing = [
    drumDiameterM === undefined && 'drum core diameter',
    drumWidthM === undefined && 'drum width',
    ropeDiameterM === undefined && 'rope diameter',
    lengthM === undefined && 'rope length',
  ];
  return { missing: missing.filter((entry) => entry !== false) };
}

function extensionsM(line: Line, gear: GearIndex): number {
  return line.ropes.slice(1).reduce((total, use) => {
    const piece = gearOf(use, gear);
    return total + (isRope(piece) ? (piece.attributes.lengthM ?? 0) : 0);
  }, 0);
}
