import { describe, expect, it } from 'vitest';
import { exampleCase } from '../testing/example-case.ts';
import { gaugedPull } from './gauged-pull.ts';
import { judge } from './judge.ts';

const { rig } = exampleCase();
const report = judge(exampleCase());

describe('a pull of which a gauge showed the largest tension', () => {
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const massKg = load?.kind === 'vehicle' ? load.massKg : Number.NaN;

  it('put the tension times the hauling advantage on the load, beside its weight and what was planned', () => {
    const advantage = { ...report.advantage, hauling: 1.8 } as NonNullable<typeof report.advantage>;
    expect(gaugedPull(rig, { ...report, advantage, pullN: 12_000 }, 5000)).toEqual({
      surface: rig.situation.surface,
      depth: rig.situation.depth,
      machine: load?.label,
      forceN: 9000,
      weightN: massKg * 9.80665,
      plannedN: 12_000,
    });
  });
  it('tells nothing where several lines draw, no pull is planned, there is no advantage, or the load is no vehicle', () => {
    const [drive] = report.drives;
    expect(gaugedPull(rig, { ...report, drives: drive ? [drive, drive] : [] }, 5000)).toBeUndefined();
    expect(gaugedPull(rig, { ...report, pullN: 0 }, 5000)).toBeUndefined();
    expect(gaugedPull(rig, { ...report, pullN: undefined }, 5000)).toBeUndefined();
    expect(gaugedPull(rig, { ...report, advantage: undefined }, 5000)).toBeUndefined();
    const tree = rig.bodies.find(({ kind }) => kind === 'tree');
    expect(gaugedPull({ ...rig, load: { ...rig.load, bodyId: tree?.id ?? '' } }, report, 5000)).toBeUndefined();
  });
});
