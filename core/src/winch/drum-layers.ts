/** Drum and rope, all in metres, above 0. */
export interface Drum {
  readonly coreDiameterM: number;
  readonly widthM: number;
  readonly ropeDiameterM: number;
  readonly ropeLengthM: number;
}

/** Turns that lie side by side: floor(b/d), forgiving 1e-9 of rounding. */
export function wrapsPerLayer({ widthM, ropeDiameterM }: Drum): number {
  return Math.floor(widthM / ropeDiameterM + 1e-9);
}

/** Mean diameter of layer n (1 innermost): D_n = d₀ + (2n − 1)·d. */
export function layerDiameterM({ coreDiameterM, ropeDiameterM }: Drum, layer: number): number {
  return coreDiameterM + (2 * layer - 1) * ropeDiameterM;
}

/** Rope on one full layer: w·π·D_n. */
export function ropeOnLayerM(drum: Drum, layer: number): number {
  return wrapsPerLayer(drum) * Math.PI * layerDiameterM(drum, layer);
}

export interface OnDrum {
  /** The lowest layer that holds what is left on the drum; the line leaves from it. */
  readonly layer: number;
  readonly ropeLeftM: number;
  readonly wrapsLeft: number;
}

/** Layers beyond this are no drum that exists; it bounds the search. */
const MOST_LAYERS = 1000;

/** The drum's state with `lineOutM` metres out, 0…rope length. Undefined where the rope is wider than the drum or too little is left. */
export function drumState(drum: Drum, lineOutM: number): OnDrum | undefined {
  const wraps = wrapsPerLayer(drum);
  const ropeLeftM = drum.ropeLengthM - lineOutM;
  if (wraps < 1 || ropeLeftM < 0 || lineOutM < 0) return undefined;
  let below = 0;
  for (let layer = 1; layer <= MOST_LAYERS; layer++) {
    const here = ropeOnLayerM(drum, layer);
    if (ropeLeftM <= below + here * (1 + 1e-12)) {
      const turns = (ropeLeftM - below) / (Math.PI * layerDiameterM(drum, layer));
      return { layer, ropeLeftM, wrapsLeft: (layer - 1) * wraps + turns };
    }
    below += here;
  }
  return undefined;
}

/** A row of a maker's table of pulls: layer 1…, newtons above 0. */
export interface LayerPull {
  readonly layer: number;
  readonly pullN: number;
}

/**
 * Rated pull on layer n, newtons: the maker's row for it, else that of the nearest layer below which has one, scaled by D_k ÷ D_n. The
 * first row is that of layer 1, F₁.
 */
export function tablePullOnLayer(drum: Drum, rows: readonly [LayerPull, ...LayerPull[]], layer: number): number {
  const row = rows.reduce((best, next) => (next.layer <= layer && next.layer > best.layer ? next : best), rows[0]);
  return (row.pullN * layerDiameterM(drum, row.layer)) / layerDiameterM(drum, layer);
}

/** Rope that `wraps` turns keep on the drum: wraps on layer 1, those beyond a full layer on layer 2. Metres. */
export function reserveM(drum: Drum, wraps: number): number {
  const onFirst = Math.min(wraps, wrapsPerLayer(drum));
  return Math.PI * (onFirst * layerDiameterM(drum, 1) + (wraps - onFirst) * layerDiameterM(drum, 2));
}

/** A layer as it is laid while a line is spooled. */
export interface SpoolLayer {
  readonly layer: number;
  /** Turns that fit side by side; on the last those that are left, a part of one with them. */
  readonly turns: number;
  readonly ropeM: number;
  /** Rope that is on the drum once it is full. */
  readonly onDrumM: number;
}

/** The layers of a whole rope from the drum outward; none where the rope is wider than the drum. */
export function spoolLayers(drum: Drum): readonly SpoolLayer[] {
  const full = drumState(drum, 0);
  if (full === undefined) return [];
  let onDrumM = 0;
  return Array.from({ length: full.layer }, (_, index) => {
    const layer = index + 1;
    const ropeM = Math.min(ropeOnLayerM(drum, layer), drum.ropeLengthM - onDrumM);
    onDrumM += ropeM;
    return { layer, turns: ropeM / (Math.PI * layerDiameterM(drum, layer)), ropeM, onDrumM };
  });
}

/** Whether the whole rope needs more layers than (flange − d₀)/(2d) − 1. */
export function isOverfull(drum: Drum, flangeDiameterM: number): boolean {
  const full = drumState(drum, 0);
  if (full === undefined) return true;
  return full.layer > (flangeDiameterM - drum.coreDiameterM) / (2 * drum.ropeDiameterM) - 1 + 1e-9;
}
