import { exceeds } from '../quantity/tolerance.ts';
import type { WinchSizes } from '../resolved/winch-sizes.ts';
import { type Drum, drumState, ratedPullOnLayer } from '../winch/drum-layers.ts';

interface WinchPulls {
  /** Rated pull on the layer for what the winch can do (the smaller reading), newtons. */
  readonly ratedN: number;
  /** Rated pull on the layer × stall factor (the larger reading), or the limiter's where lower, newtons. */
  readonly greatestN: number;
  readonly stallFactor: number;
  readonly limitedBy?: string;
}

export type DrumState =
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

const NO_WINCH: DrumState = { kind: 'no-winch' };

/** State of a drum with `pathM` metres from fairlead to end, joined ropes included; undefined where the rig has no balance. */
export function drumAt(sizes: WinchSizes, pathM: number | undefined): DrumState {
  if (sizes.kind === 'no-winch') return NO_WINCH;
  const { drum: known } = sizes;
  if (known.kind === 'missing') {
    const lineOutM = pathM === undefined ? undefined : Math.max(0, pathM - known.joinedM);
    if (lineOutM !== undefined && known.ropeM !== undefined && exceeds(lineOutM, known.ropeM) && known.lengthsKnown)
      return { kind: 'too-short', lineOutM, ropeM: known.ropeM, ...pulls(sizes, 1) };
    return { kind: 'sizes-unknown', lineOutM, missing: known.what, ...pulls(sizes, 1) };
  }
  if (pathM === undefined) return { kind: 'sizes-unknown', lineOutM: undefined, missing: ['the layout of the line'], ...pulls(sizes, 1) };
  const lineOutM = Math.max(0, pathM - known.joinedM);
  const { drum } = known;
  const state = drumState(drum, lineOutM);
  if (state === undefined) return { kind: 'too-short', lineOutM, ropeM: drum.ropeLengthM, ...pulls(sizes, 1) };
  return {
    kind: 'known',
    drum,
    lineOutM,
    usableM: known.usableM,
    layer: state.layer,
    wrapsLeft: state.wrapsLeft,
    wrapsWanted: known.wrapsWanted,
    overfull: known.overfull,
    ...pulls(sizes, ratedPullOnLayer(drum, 1, state.layer)),
  };
}

function pulls({ abilityN, mostN, stallFactor, limiter }: Extract<WinchSizes, { kind: 'marked' }>, shrink: number): WinchPulls {
  const greatestN = mostN * shrink * stallFactor;
  const ratedN = abilityN * shrink;
  if (limiter && limiter.pullN < greatestN) return { ratedN, greatestN: limiter.pullN, stallFactor, limitedBy: limiter.statedBy };
  return { ratedN, greatestN, stallFactor };
}
