import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { judgedCase } from '../judgement/judge.ts';
import { momentReport } from '../judgement/report/moment-report.ts';
import { reportOf } from '../judgement/report/write-report.ts';
import { readRigFile } from '../rig/case.ts';
import { layouts } from '../testing/layouts.ts';
import { momentOn } from './moment-on.ts';
import { timelineOf } from './timeline.ts';

function demo(name: string) {
  const file = readRigFile(JSON.parse(readFileSync(new URL(`../../../demo/plans/${name}.json`, import.meta.url), 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return judgedCase(file.value.case);
}

describe('the timeline of a pull', () => {
  const judged = demo('bog-below-tarn-quarry');
  const report = reportOf(judged);
  const { points, motorTag, hottestC } = timelineOf(judged);
  it('goes from first tension to the last metre and takes the minutes that the report tells', () => {
    expect(points[0]).toMatchObject({ atM: 0, timeS: 0, heatC: judged.rig.policy.electric.ambientC.value });
    expect(points.at(-1)?.atM).toBeCloseTo(report.pull.reachedM, 9);
    expect(points.at(-1)?.timeS).toBeCloseTo((report.pull.haulMin ?? 0) * 60, 6);
    for (const [index, point] of points.slice(1).entries()) {
      expect(point.timeS ?? 0).toBeGreaterThanOrEqual(points[index]?.timeS ?? 0);
      expect(point.atM).toBeGreaterThanOrEqual(points[index]?.atM ?? 0);
    }
    expect(motorTag).toBe(judged.rig.winches[0]?.winch?.tag);
  });
  it('names the metres that were looked at, each once and in order, and between two of them shows the moment of the nearer', () => {
    const { stationsM } = timelineOf(judged);
    expect(stationsM[0]).toBe(0);
    expect(stationsM.at(-1)).toBe(judged.last.travelM);
    const gaps = stationsM.slice(1).map((at, index) => at - (stationsM[index] ?? at));
    expect(Math.min(...gaps)).toBeGreaterThan(0);
    const [at = 0, next = 0] = stationsM.slice(3);
    expect(momentReport(judged, at + 0.49 * (next - at)).travelM).toBe(at);
    expect(momentReport(judged, at + 0.51 * (next - at)).travelM).toBe(next);
  });
  it('stands still while the motor rests, at the metre of the event, and cools', () => {
    const rests = points.flatMap((point, index) => (point.rested ? [[points[index - 1], point] as const] : []));
    const events = report.pull.events.filter(({ kind }) => kind === 'rest');
    expect(rests.length).toBe(events.length);
    expect(rests.length).toBeGreaterThan(0);
    rests.forEach(([before, after], index) => {
      expect(after.atM).toBeCloseTo(before?.atM ?? 0, 9);
      expect(after.atM).toBeCloseTo(events[index]?.atM ?? 0, 9);
      expect((after.timeS ?? 0) - (before?.timeS ?? 0)).toBeCloseTo(events[index]?.data.seconds ?? 0, 6);
      expect(after.heatC ?? 0).toBeLessThan(before?.heatC ?? 0);
    });
    const heat = points.map(({ heatC = 0 }) => heatC);
    expect(Math.max(...heat)).toBeCloseTo(report.drives[0]?.work?.hottestC ?? 0, 6);
    expect(Math.max(...heat)).toBeLessThanOrEqual(hottestC);
  });
  it('has its greatest pull, share and lowest charge where the report has them', () => {
    const most = (list: readonly (number | undefined)[]) => Math.max(...list.map((value) => value ?? 0));
    expect(most(points.map(({ linePullN }) => linePullN))).toBeCloseTo(report.pull.plannedN ?? 0, 3);
    expect(most(points.map(({ share }) => share))).toBeCloseTo(most(report.places.map(({ worst }) => worst?.utilisation)), 9);
    expect(Math.min(...points.map(({ chargeShare = 2 }) => chargeShare))).toBeCloseTo(report.drives[0]?.work?.lowestChargeShare ?? 0, 9);
    expect(most(points.map(({ breakingShare }) => breakingShare))).toBeCloseTo(
      most(report.places.map(({ stopRatio, worst }) => (worst?.breakingRatio === undefined ? 0 : stopRatio / worst.breakingRatio))),
      9,
    );
    // What it may pull on its first layer is what is marked on it.
    expect(points[0]?.ratedN).toBeCloseTo(report.drum.ratedN ?? 0, 6);
  });
  it('is thinned where there are more instants than a screen has room for, and keeps its worst', () => {
    const { rig, stations, curves } = judged;
    const repeat = (list: readonly number[]) => Array.from({ length: 10 }, () => list).flat();
    const travelM = Array.from({ length: curves.travelM.length * 10 }, (_, index) => index / 100);
    const long = timelineOf({
      ...judged,
      rig,
      stations,
      work: [],
      curves: { ...curves, travelM, linePullN: repeat(curves.linePullN), highestShare: travelM.map((_, index) => (index === 777 ? 3 : 1)) },
    }).points;
    expect(long.length).toBeLessThan(410);
    expect(long.length).toBeGreaterThan(200);
    expect(long.filter(({ share }) => share === 3)).toHaveLength(1);
    expect(long.at(-1)?.atM).toBe(travelM.at(-1));
  });
  it('counts the drum among what stands highest', () => {
    const badger = demo('badger-on-peat-track');
    const told = reportOf(badger);
    const drum = told.places.find(({ id }) => id === told.weakestPlaceId);
    expect(drum?.kind).toBe('drum');
    expect(Math.max(...timelineOf(badger).points.map(({ share = 0 }) => share))).toBeCloseTo(drum?.worst?.utilisation ?? 0, 9);
  });
  it('has no time where no motor is on record', () => {
    const { points: untimed, motorTag: none } = timelineOf({ ...judged, work: [] });
    expect(none).toBeUndefined();
    expect(untimed.every(({ timeS, heatC }) => timeS === undefined && heatC === undefined)).toBe(true);
    expect(untimed.length).toBeGreaterThan(50);
  });
});

describe('a moment of a judged pull', () => {
  const judged = demo('bog-below-tarn-quarry');
  const report = reportOf(judged);
  it('at its start is the report’s own', () => {
    const start = momentReport(judged, 0);
    expect(start.travelM).toBe(0);
    expect(start.moved).toEqual([]);
    expect(start.strands).toEqual(report.strands);
    expect(start.places.map(({ id, plannedN, wllN }) => ({ id, plannedN, wllN }))).toEqual(
      report.places.map(({ id, plannedN, wllN }) => ({ id, plannedN, wllN })),
    );
  });
  it('at the metre of the weakest has its figures, and calls it the highest', () => {
    const worst = report.places.find(({ id }) => id === report.weakestPlaceId);
    const at = momentReport(judged, report.weakestAtM ?? 0);
    const there = at.places.find(({ id }) => id === report.weakestPlaceId);
    expect(there?.utilisation).toBeCloseTo(worst?.worst?.utilisation ?? 0, 9);
    expect(there?.worst?.plannedN).toBe(there?.plannedN);
    expect(at.highestPlaceId).toBe(report.weakestPlaceId);
  });
  it('tells the greatest load of the same places as the whole act', () => {
    const told = (places: typeof report.places) => places.filter(({ worst }) => worst?.greatestN !== undefined).map(({ id }) => id);
    expect(told(momentReport(judged, 0).places)).toEqual(told(report.places));
    expect(told(report.places).length).toBeLessThan(report.places.length);
  });
  it('calls what has no strength the highest, however little it carries', () => {
    const moment = momentOn(judged, 3);
    const weak = judged.rig.places.find(({ id }) => id !== report.weakestPlaceId && !id.includes('drum'));
    if (!weak) throw new Error('no other place');
    moment.places.wllN[weak.index] = 0;
    expect(momentReport({ ...judged, stations: [moment.at], samples: [moment], start: moment }, 3).highestPlaceId).toBe(weak.id);
  });
  it('has the load as far along its way as it has gone', () => {
    const at = momentReport(judged, 3);
    expect(at.travelM).toBeCloseTo(3, 1);
    const { bodyId } = judged.rig.rig.load;
    const before = judged.rig.rig.bodies.find(({ id }) => id === bodyId);
    const [after] = at.moved.filter((body) => body.bodyId === bodyId);
    const { slopeRad } = judged.rig.rig.ground;
    const goneM = Math.hypot((after?.xM ?? 0) - (before?.xM ?? 0), (after?.yM ?? 0) - (before?.yM ?? 0));
    expect(goneM).toBeLessThanOrEqual(at.travelM + 1e-9);
    expect(goneM).toBeGreaterThan(at.travelM * Math.cos(slopeRad) - 1e-6);
  });
  it('before the first and past the last metre is the first and the last', () => {
    expect(momentReport(judged, -5).travelM).toBe(0);
    expect(momentReport(judged, 500).travelM).toBe(judged.last.travelM);
  });
  it('gives the last moment of every layout as the act had it, ropes set anew on the way included', () => {
    for (const { file, build } of layouts) {
      const act = judgedCase(build());
      const again = momentOn(act, act.last.travelM);
      act.rig.places.forEach(({ index, id }) => {
        const [own, was] = [again.places.plannedN[index] ?? 0, act.last.places.plannedN[index] ?? 0];
        if (!Number.isNaN(was)) expect(Math.abs(own - was), `${file} ${id}`).toBeLessThan(1e-6 * Math.max(1, Math.abs(was)));
      });
      expect(act.stations.length, file).toBe(act.curves.travelM.length);
    }
  });
});
