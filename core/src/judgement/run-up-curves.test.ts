import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readRigFile } from '../rig/case.ts';
import { judgedCase } from './judge.ts';
import { reportOf } from './report/write-report.ts';
import { runUpCurves } from './run-up-curves.ts';

const demo = (name: string) => {
  const file = readRigFile(JSON.parse(readFileSync(new URL(`../../../demo/plans/${name}.json`, import.meta.url), 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return judgedCase(file.value.case);
};

describe('a run-up over time', () => {
  const judged = demo('sand-hollow-stretch-pull');
  const report = reportOf(judged);
  const curves = runUpCurves(judged);
  const most = (curve: { readonly planned: readonly { readonly tensionN: number }[] } | undefined) =>
    Math.max(...(curve?.planned ?? []).map(({ tensionN }) => tensionN));

  it('rises from slack to no more than the peak that the report tells, for every attempt and the step beyond', () => {
    expect(curves?.attempts).toHaveLength(report.runUp?.attempts.length ?? 0);
    [...(report.runUp?.attempts ?? []), report.runUp?.beyond].forEach((attempt, index) => {
      const curve = curves?.attempts[index] ?? curves?.beyond;
      expect(curve?.speedMPerS).toBe(attempt?.speedMPerS);
      // The report takes the larger of the run and the closed form; the run is sampled every hundredth of a second.
      expect(most(curve)).toBeLessThanOrEqual((attempt?.peakN ?? 0) * (1 + 1e-9));
      expect(most(curve)).toBeGreaterThan((attempt?.peakN ?? 0) * 0.7);
      expect(curve?.planned[0]?.tensionN ?? 1).toBeLessThan((attempt?.peakN ?? 0) * 0.2);
    });
    expect(most(curves?.beyond)).toBeGreaterThan(most(curves?.attempts.at(-1)));
  });
  it('goes from the stuck vehicle to the one that tows, which is ahead of it by what the ropes have stretched', () => {
    const { rig } = judged;
    const [towing, stuck] = [rig.bodies.find(({ body }) => body.id === curves?.towingId)?.body, rig.load.body];
    expect(towing?.id).not.toBe(stuck.id);
    const { way = { xM: 0, yM: 0 } } = curves ?? {};
    expect(Math.hypot(way.xM, way.yM)).toBeCloseTo(1, 12);
    expect(((towing?.xM ?? 0) - stuck.xM) * way.xM + ((towing?.yM ?? 0) - stuck.yM) * way.yM).toBeGreaterThan(5);
    report.runUp?.attempts.forEach((attempt, index) => {
      const run = curves?.attempts[index];
      expect(run?.slackM).toBe(attempt.slackM);
      expect(run?.planned[0]).toEqual({ timeS: 0, tensionN: 0, towedM: 0, movedM: 0 });
      expect(run?.planned.at(-1)?.movedM).toBeCloseTo(attempt.movedM, 6);
      // Where there is tension, the ropes are stretched.
      for (const { tensionN, towedM, movedM } of run?.planned ?? []) if (tensionN > 1) expect(towedM).toBeGreaterThan(movedM);
    });
  });
  it('draws each limit at the tension that brings its place there', () => {
    for (const { placeId, limitN } of curves?.limits ?? []) {
      const place = report.places.find(({ id }) => id === placeId);
      const { plannedN = 0, wllN = 0 } = place ?? {};
      // Load and tension go together: at the peak it carries plannedN.
      expect(((report.plannedPullN ?? 0) / limitN) * wllN).toBeCloseTo(plannedN, 3);
    }
    expect(curves?.limits.length ?? 0).toBeGreaterThan(3);
  });
  it('is nothing for a rig without one', () => {
    expect(runUpCurves(demo('bog-below-tarn-quarry'))).toBeUndefined();
  });
});
