import { readRigFile, runAt, runUpTakesS } from '@wainrope/core';
import { judgedCase, reportOf, runUpCurves } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import sandFile from '../../../../demo/plans/sand-hollow-stretch-pull.json' with { type: 'json' };
import type { SheetPlan } from '../draft/shown-plans.ts';
import { ranPlan } from './ran-plan.ts';

const file = readRigFile(sandFile);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const subject = file.value.case;
const judged = judgedCase(subject);
const report = reportOf(judged) as SheetPlan['report'];
const found = runUpCurves(judged);
if (!found) throw new Error('no run-up');
const curves = found;
const { rig } = subject;
const lastJudged = { rig, subject, report, pending: false };
const plan: SheetPlan = { ...lastJudged, facts: new Map(), lastJudged };
const [attempt] = curves.attempts;
if (!attempt) throw new Error('no attempt');
const run = attempt;

const drawn = (timeS: number) => ranPlan(plan, curves, runAt(run, timeS));
const bodyOf = (shown: SheetPlan, bodyId: string) => {
  const body = shown.rig.bodies.find(({ id }) => id === bodyId);
  if (!body) throw new Error(`no ${bodyId}`);
  return body;
};
/** How far a body has gone along the line, metres. */
const wayOf = (shown: SheetPlan, bodyId: string): number => {
  const [was, is] = [bodyOf(plan, bodyId), bodyOf(shown, bodyId)];
  return (is.xM - was.xM) * curves.way.xM + (is.yM - was.yM) * curves.way.yM;
};

describe('a run-up on the drawing', () => {
  const stuckId = rig.load.bodyId;
  it('begins with the towing vehicle nearer by its slack, the stuck one where it stands and the line without tension', () => {
    const standing = drawn(-runUpTakesS(run));
    expect(wayOf(standing, curves.towingId)).toBeCloseTo(-(run.slackM ?? 0), 9);
    expect(bodyOf(standing, stuckId)).toEqual(bodyOf(plan, stuckId));
    for (const { plannedN } of standing.report.strands) expect(plannedN).toBe(0);
    expect(standing.isPlayed).toBe(true);
    expect(standing.report.breaks.map(({ lineId, flights }) => [lineId, flights])).toEqual(
      plan.report.breaks.map(({ lineId }) => [lineId, []]),
    );
  });
  it('moves both along the line, each by its own way, and whoever sits in a cab with it', () => {
    const { timeS } = run.planned.at(-1) ?? { timeS: 0 };
    const end = drawn(timeS);
    const { towedM, movedM } = runAt(run, timeS);
    expect(wayOf(end, curves.towingId)).toBeCloseTo(towedM, 9);
    expect(wayOf(end, stuckId)).toBeCloseTo(movedM, 9);
    for (const body of rig.bodies) {
      if (body.kind !== 'person') continue;
      const expected = body.inVehicleId === curves.towingId ? towedM : body.inVehicleId === stuckId ? movedM : 0;
      expect(wayOf(end, body.id)).toBeCloseTo(expected, 9);
    }
  });
  it('has the strand from vehicle to vehicle, with the tension of that instant', () => {
    const most = run.planned.reduce((best, instant) => (instant.tensionN > best.tensionN ? instant : best));
    const shown = drawn(most.timeS);
    const [strand] = shown.report.strands;
    const [before] = plan.report.strands;
    if (!strand || !before) throw new Error('no strand');
    expect(strand.plannedN).toBeCloseTo(most.tensionN, 3);
    const along = (a: typeof strand.from, b: typeof strand.from) => (a.x - b.x) * curves.way.xM + (a.y - b.y) * curves.way.yM;
    expect(along(strand.from, before.from)).toBeCloseTo(most.towedM, 9);
    expect(along(strand.to, before.to)).toBeCloseTo(most.movedM, 9);
    expect(strand).not.toHaveProperty('greatestN');
    // What would fly leaves from where it hangs by then.
    const flights = ({ report: { breaks } }: SheetPlan) => breaks.flatMap((entry) => entry.flights);
    const [flying, planned] = [flights(shown), flights(plan)];
    expect(flying.length).toBeGreaterThan(1);
    const ways = flying.map(({ from }, index) => along(from, planned[index]?.from ?? from));
    expect(Math.max(...ways)).toBeCloseTo(Math.max(most.towedM, most.movedM), 9);
    expect(Math.min(...ways)).toBeCloseTo(Math.min(most.towedM, most.movedM), 9);
    // What pulls on the load is the line's tension too.
    expect(shown.report.loadForce?.alongN).toBeCloseTo(
      ((plan.report.loadForce?.alongN ?? 0) * most.tensionN) / (plan.report.plannedPullN ?? 1),
      3,
    );
  });
});
