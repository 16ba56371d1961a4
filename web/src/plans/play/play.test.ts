import { force, formatFigure, readRigFile, type TimelinePoint, withWords, write } from '@wainrope/core';
import { judgedCase, momentReport, reportOf, timelineOf } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import badgerFile from '../../../../demo/plans/badger-on-peat-track.json' with { type: 'json' };
import bogFile from '../../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import type { ChartLook } from '../../charts/chart-look.ts';
import type { SheetPlan } from '../draft/shown-plans.ts';
import { planAt, reportAt } from './moved-plan.ts';
import { eventsAt, playEvents, steppedTo } from './play-events.ts';
import { playFigure, playTable } from './play-figure.ts';
import { clockWords, instantAt, restsAt, stationAt, wholeOf } from './timeline-at.ts';

/** Two metres with a rest of 60 s at the first. */
const points: readonly TimelinePoint[] = [
  { atM: 0, timeS: 0, linePullN: 1000, heatC: 20 },
  { atM: 1, timeS: 20, linePullN: 2000, heatC: 30 },
  { atM: 1, timeS: 80, linePullN: 2000, heatC: 24, rested: true },
  { atM: 2, timeS: 100, linePullN: 3000, heatC: 34 },
];

describe('an instant of a timeline', () => {
  it('lies between the two that are known, by metres and by time', () => {
    expect(instantAt(points, 'metre', 0.5)).toEqual({ atM: 0.5, timeS: 10, linePullN: 1500, heatC: 25 });
    expect(instantAt(points, 'time', 90)).toEqual({ atM: 1.5, timeS: 90, linePullN: 2500, heatC: 29 });
  });
  it('at the metre of a rest is before it, and in a rest stays where it is', () => {
    expect(instantAt(points, 'metre', 1).timeS).toBe(20);
    expect(instantAt(points, 'time', 50)).toMatchObject({ atM: 1, timeS: 50, heatC: 27 });
    expect([20, 20.1, 80, 80.1].map((at) => restsAt(points, at))).toEqual([false, true, true, false]);
  });
  it('before the first and past the last is the first and the last', () => {
    expect(instantAt(points, 'metre', -1)).toMatchObject({ atM: 0, timeS: 0 });
    expect(instantAt(points, 'time', 1000)).toMatchObject({ atM: 2, timeS: 100 });
    expect(instantAt([], 'metre', 3)).toEqual({ atM: 0 });
    expect([wholeOf(points, 'metre'), wholeOf(points, 'time'), wholeOf([], 'time')]).toEqual([2, 100, 0]);
  });
  it.each([
    [0, '0 s'],
    [59.4, '59 s'],
    [59.6, '1 min 0 s'],
    [130, '2 min 10 s'],
  ])('%d s on a watch is %s', (seconds, words) => {
    expect(clockWords(seconds)).toBe(words);
  });
});

function demo(written: unknown) {
  const file = readRigFile(written);
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  const judged = judgedCase(file.value.case);
  return { subject: file.value.case, judged, report: withWords(reportOf(judged)) };
}

it('has the moment of the nearest metre that was looked at, half-way that of the next, and none where none was', () => {
  expect([-1, 0.49, 0.5, 1.2, 1.5, 9].map((metre) => stationAt([0, 1, 2], metre))).toEqual([0, 0, 1, 1, 2, 2]);
  expect(stationAt([], 1)).toBeUndefined();
});

describe('what happens while a pull is played', () => {
  const { report } = demo(badgerFile);
  const events = playEvents(report);
  it('is told in order, the end at last', () => {
    expect(events.map(({ atM }) => atM)).toEqual([...events.map(({ atM }) => atM)].sort((a, b) => a - b));
    expect(events.at(-1)).toMatchObject({ key: 'end', atM: report.pull.reachedM, severity: undefined });
    expect(events.some(({ words }) => write(words).startsWith('The damper'))).toBe(true);
  });
  it('says where the verdict worsens, once for each step', () => {
    const [first] = report.findings;
    if (!first) throw new Error('no finding');
    const at = (id: string, fromM: number, severity: 'note' | 'caution' | 'stop') => ({ ...first, id, fromM, severity, undecided: false });
    const worse = (findings: (typeof first)[]) =>
      playEvents({ pull: { ...report.pull, events: [] }, findings }).map(({ worsens }) => worsens);
    expect(worse([at('a', 1, 'note'), at('b', 2, 'caution'), at('c', 3, 'caution'), at('d', 4, 'stop')])).toEqual([
      undefined,
      'watch',
      undefined,
      'stop',
      undefined,
    ]);
    // What is a stop from the start on cannot become one.
    expect(worse([at('a', 0, 'stop'), at('d', 4, 'stop')])).toEqual([undefined, undefined]);
  });
  it('is stepped through one metre after the other, back to the start, and no further than the end', () => {
    const three = [1, 1.0004, 2.5].map((atM, index) => ({ key: String(index), atM, words: [] }));
    expect(steppedTo(three, 0, 'next')).toBe(1);
    expect(steppedTo(three, 1, 'next')).toBe(2.5);
    expect(steppedTo(three, 2.5, 'next')).toBeUndefined();
    expect(steppedTo(three, 2.5, 'before')).toBe(1.0004);
    expect(steppedTo(three, 1, 'before')).toBe(0);
    expect(steppedTo(three, 0, 'before')).toBeUndefined();
    expect(eventsAt(three, 1)).toHaveLength(2);
  });
});

describe('the plan at a moment', () => {
  const { subject, judged, report } = demo(bogFile);
  const moment = momentReport(judged, 3);
  it('has its figures and its weakest piece, and keeps verdict and findings', () => {
    const shown = reportAt(report, moment);
    expect(shown).toMatchObject({ verdict: report.verdict, findings: report.findings, plannedPullN: moment.plannedPullN });
    expect(shown.places).toBe(moment.places);
    expect(shown.weakestPlaceId).toBe(moment.highestPlaceId);
    expect(shown.plannedPullN).toBeLessThan(report.plannedPullN ?? 0);
  });
  it('has the load moved and turned, and all else where it was', () => {
    const plan = { rig: subject.rig, subject, report, facts: new Map(), pending: false } as unknown as SheetPlan;
    const shown = planAt(plan, moment);
    const load = subject.rig.load.bodyId;
    const [pose] = moment.moved;
    expect(shown.isPlayed).toBe(true);
    for (const body of shown.rig.bodies) {
      const before = subject.rig.bodies.find(({ id }) => id === body.id);
      if (body.id !== load) expect(body).toBe(before);
      else expect([body.xM, body.yM]).toEqual([pose?.xM, pose?.yM]);
    }
    const turned = planAt(plan, { ...moment, moved: [{ bodyId: load, xM: 1, yM: 2, turnRad: 0.5 }] });
    const heading = (of: SheetPlan) => of.rig.bodies.find((body) => body.id === load && 'headingRad' in body) as { headingRad: number };
    expect(heading(turned).headingRad - heading(plan).headingRad).toBeCloseTo(0.5, 12);
  });
});

describe('the chart of a pull', () => {
  const { judged } = demo(bogFile);
  const timeline = timelineOf(judged);
  const look = new Proxy({}, { get: (_, name) => `#${String(name)}` }) as ChartLook;
  const figure = playFigure({ timeline, events: [], by: 'metre', at: 2, units: 'lbf' }, look);
  it('has every series in the reader’s unit over the same way', () => {
    expect(figure.data.map(({ name }) => name)).toEqual([
      'planned',
      'greatest',
      'rated',
      'working limit',
      'breaking margin',
      'motor',
      'battery',
    ]);
    const [planned] = figure.data as { x: number[]; y: number[] }[];
    expect(planned?.y[0]).toBeCloseTo((timeline.points[0]?.linePullN ?? 0) / 4.4482216152605, 6);
    expect(planned?.x.at(-1)).toBeCloseTo((timeline.points.at(-1)?.atM ?? 0) / 0.3048, 9);
    const cursor = figure.layout.shapes?.filter(({ x0, x1 }) => x0 === x1);
    expect(cursor?.map(({ x0 }) => x0)).toEqual([expect.closeTo(2 / 0.3048, 9)]);
    expect(playFigure({ timeline, events: [], by: 'metre', at: undefined, units: 'kN' }, look).layout.shapes).toHaveLength(2);
  });
  it('leaves out what is not on record', () => {
    const bare = playFigure({ timeline: timelineOf({ ...judged, work: [] }), events: [], by: 'metre', at: 0, units: 'kN' }, look);
    expect(bare.data.map(({ name }) => name)).toEqual(['planned', 'greatest', 'rated', 'working limit', 'breaking margin']);
  });
  it('is the same as a table', () => {
    const { columns, rows } = playTable(timeline, 'kN');
    expect(rows).toHaveLength(timeline.points.length);
    expect(columns.slice(0, 3)).toEqual(['m', 'clock', 'planned, kN']);
    expect(rows[0]?.slice(0, 3)).toEqual(['0.00', '0 s', formatFigure(force(timeline.points[0]?.linePullN ?? 0), 'kN').replace(' kN', '')]);
  });
});
