import { exceeds } from '../quantity/tolerance.ts';
import type { WinchSizes } from '../resolved/winch-sizes.ts';
import { type Drum, drumState, type LayerPull, tablePullOnLayer } from '../winch/drum-layers.ts';

interface WinchPulls {
  /** Rated pull on the layer for what the winch can do (the smaller reading), newtons. */
  readonly ratedN: number;
  /** Rated pull on the layer × stall factor (the larger reading), or the limiter's where lower, newtons. */
  readonly greatestN: number;
  readonly stallFactor: number;
  readonly limitedBy?: string;
  /** The row of the maker's table that the layer's pull is worked from; missing: the mark. */
  readonly byRow?: LayerPull;
  /** The first layer whose written pull is not below that of the layer under it. */
  readonly risesAt?: LayerPull & { readonly belowN: number };
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
    ...pulls(sizes, state.layer, drum),
  };
}

function pulls(
  { abilityN, mostN, stallFactor, limiter, layerPulls }: Extract<WinchSizes, { kind: 'marked' }>,
  layer: number,
  drum?: Drum,
): WinchPulls {
  const on = (firstN: number): number => (drum ? tablePullOnLayer(drum, [{ layer: 1, pullN: firstN }, ...layerPulls], layer) : firstN);
  const [ratedN, greatestN] = [on(abilityN), on(mostN) * stallFactor];
  const byRow = layerPulls.filter((row) => drum !== undefined && row.layer <= layer).at(-1);
  const risesAt = rising(mostN, layerPulls);
  const common = { ratedN, stallFactor, ...(byRow && { byRow }), ...(risesAt && { risesAt }) };
  if (limiter && limiter.pullN < greatestN) return { ...common, greatestN: limiter.pullN, limitedBy: limiter.statedBy };
  return { ...common, greatestN };
}

/** Where a table of pulls does not fall from layer to layer, against the larger reading of the mark. */
function rising(firstN: number, rows: readonly LayerPull[]): WinchPulls['risesAt'] {
  let belowN = firstN;
  for (const row of rows) {
    if (!exceeds(belowN, row.pullN)) return { ...row, belowN };
    belowN = row.pullN;
  }
  return undefined;
}
