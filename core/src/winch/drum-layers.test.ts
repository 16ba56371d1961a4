import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Drum,
  drumState,
  isOverfull,
  layerDiameterM,
  reserveM,
  ropeOnLayerM,
  spoolLayers,
  tablePullOnLayer,
  wrapsPerLayer,
} from './drum-layers.ts';

const drum: Drum = { coreDiameterM: 0.064, widthM: 0.224, ropeDiameterM: 0.01, ropeLengthM: 28 };

describe('layers on a drum', () => {
  it('follows the worked example: 22 wraps, D₁ 74 mm, 5.11 m on the first layer', () => {
    expect(wrapsPerLayer(drum)).toBe(22);
    expect(layerDiameterM(drum, 1)).toBeCloseTo(0.074, 12);
    expect(ropeOnLayerM(drum, 1)).toBeCloseTo(22 * Math.PI * 0.074, 12);
    expect(tablePullOnLayer(drum, [{ layer: 1, pullN: 42_000 }], 3)).toBeCloseTo((42_000 * 0.074) / 0.114, 9);
  });
  it('goes by the maker’s own row where there is one, and scales the nearest row below where there is none', () => {
    // D₁…D₅ are 74, 94, 114, 134 and 154 mm.
    const rows = [
      { layer: 1, pullN: 42_000 },
      { layer: 2, pullN: 31_000 },
      { layer: 4, pullN: 20_000 },
    ] as const;
    const on = (layer: number) => tablePullOnLayer(drum, rows, layer);
    expect([on(1), on(2), on(4)]).toEqual([42_000, 31_000, 20_000]);
    expect(on(3)).toBeCloseTo((31_000 * 94) / 114, 6);
    expect(on(5)).toBeCloseTo((20_000 * 134) / 154, 6);
  });
  it('forgives rounding when the wraps fit exactly', () => {
    expect(wrapsPerLayer({ ...drum, widthM: 0.3, ropeDiameterM: 0.1 })).toBe(3);
  });
  it('works on the top layer with nothing out and on the first with nearly all out', () => {
    expect(drumState(drum, 0)?.layer).toBe(4);
    expect(drumState(drum, 27.9)).toMatchObject({ layer: 1 });
    expect(drumState(drum, 28)?.wrapsLeft).toBe(0);
    expect(drumState(drum, 28.001)).toBeUndefined();
  });
  it('counts wraps as an independent walk round the drum does', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 28, noNaN: true }), (out) => {
        let left = 28 - out;
        let wraps = 0;
        for (let turn = 0; left > 1e-12 && turn < 200; turn++) {
          const around = Math.PI * layerDiameterM(drum, Math.floor(turn / 22) + 1);
          const share = Math.min(1, left / around);
          wraps += share;
          left -= share * around;
        }
        expect(drumState(drum, out)?.wrapsLeft).toBeCloseTo(wraps, 9);
      }),
      { seed: 21 },
    );
  });
  it('keeps reserve wraps on the first layer, the rest on the second', () => {
    expect(reserveM(drum, 10)).toBeCloseTo(10 * Math.PI * 0.074, 12);
    expect(reserveM(drum, 25)).toBeCloseTo(Math.PI * (22 * 0.074 + 3 * 0.094), 12);
  });
  it('is over-full when the rope needs the flange’s last layer', () => {
    expect(isOverfull(drum, 0.164)).toBe(false);
    expect(isOverfull(drum, 0.163)).toBe(true);
  });
});

describe('a line that is spooled', () => {
  it('lies layer by layer, the last as far as the rope goes', () => {
    const layers = spoolLayers(drum);
    expect(layers.map(({ layer }) => layer)).toEqual([1, 2, 3, 4]);
    // 22 turns of 74, 94 and 114 mm are 5.115, 6.497 and 7.879 m; what is left of 28 m lies on the fourth.
    expect(layers.slice(0, 3).map(({ turns }) => Math.round(turns * 1e9) / 1e9)).toEqual([22, 22, 22]);
    expect(layers.map(({ ropeM }) => Number(ropeM.toFixed(3)))).toEqual([5.115, 6.497, 7.879, 8.51]);
    expect(layers[3]?.turns).toBeCloseTo(8.51 / (Math.PI * 0.134), 2);
    expect(layers.at(-1)?.onDrumM).toBeCloseTo(28, 12);
  });
  it('that ends with a full layer begins no other', () => {
    const length = ropeOnLayerM(drum, 1) + ropeOnLayerM(drum, 2);
    expect(spoolLayers({ ...drum, ropeLengthM: length })).toHaveLength(2);
    expect(spoolLayers({ ...drum, ropeLengthM: length + 0.01 })).toHaveLength(3);
  });
  it('that is wider than the drum has none', () => expect(spoolLayers({ ...drum, widthM: 0.009 })).toEqual([]));
});
