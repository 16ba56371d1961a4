import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { judgedCase } from '../judgement/judge.ts';
import { letGoAt } from '../judgement/report/let-go-at.ts';
import { reportOf } from '../judgement/report/write-report.ts';
import { type Case, readRigFile } from '../rig/case.ts';
import type { Body } from '../rig/rig.ts';
import { layouts } from '../testing/layouts.ts';

function demo(name: string): Case {
  const file = readRigFile(JSON.parse(readFileSync(new URL(`../../../demo/plans/${name}.json`, import.meta.url), 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}
function layout(name: string): Case {
  const found = layouts.find(({ file }) => file === name);
  if (!found) throw new Error(`no layout ${name}`);
  return found.build();
}
const bog = demo('bog-below-tarn-quarry');
const judgedBog = judgedCase(bog);
const at = (subjectId: string, travelM = 0, check: 'planned' | 'greatest' = 'greatest') =>
  letGoAt(judgedBog, { subjectId, travelM, check });

const person = (id: string, xM: number, yM: number, more: object = {}): Body =>
  ({ id, kind: 'person', label: id, xM, yM, duty: 'helper', ...more }) as Body;
const withBodies = (subject: Case, ...bodies: readonly Body[]): Case => ({
  ...subject,
  rig: { ...subject.rig, bodies: [...subject.rig.bodies, ...bodies] },
});
/** A place so far along the way of what leaves, and so far to its left. */
function onTheWay(aheadM: number, leftM: number) {
  const [part] = at('tree-strap')?.leaves ?? [];
  if (!part) throw new Error('nothing leaves');
  const size = Math.hypot(part.along.x, part.along.y);
  const [x, y] = [part.along.x / size, part.along.y / size];
  return [part.from.x + aheadM * x - leftM * y, part.from.y + aheadM * y + leftM * x] as const;
}

describe('a strap at the anchor lets go', () => {
  it('throws all that hangs outward of it, with the energy of the line as the report has it', () => {
    const report = reportOf(judgedBog);
    const there = at('tree-strap', report.breaks[0]?.atM);
    expect(there?.energyJ).toBeCloseTo(report.breaks[0]?.energyJ ?? 0, 6);
    expect(there?.leaves).toHaveLength(1);
    expect(there?.leaves[0]?.pieces.map(({ tag, isHard }) => [tag, isHard])).toEqual([
      ['TS-03', false],
      ['SS-01', false],
      ['RR-01', true],
    ]);
    // All the energy in what flies: √(2Em) and √(2E/m).
    const { massKg = 0, momentumNs, speedMPerS } = there?.leaves[0] ?? {};
    expect(massKg).toBeGreaterThan(0.5);
    expect(momentumNs).toBeCloseTo(Math.sqrt(2 * (there?.energyJ ?? 0) * massKg), 6);
    expect(speedMPerS).toBeCloseTo(Math.sqrt((2 * (there?.energyJ ?? 0)) / massKg), 6);
  });
  it('throws less from further out: the ring alone where it is the ring that breaks', () => {
    expect(at('pulley')?.leaves[0]?.pieces.map(({ tag }) => tag)).toEqual(['RR-01']);
    expect(at('anchor-connector')?.leaves[0]?.pieces.map(({ tag }) => tag)).toEqual(['SS-01', 'RR-01']);
  });
  it('throws it towards the vehicle, away from the tree', () => {
    expect(at('tree-strap')?.leaves[0]?.along.x).toBeLessThan(-0.9);
    expect(at('line-end')?.leaves[0]?.along.x).toBeGreaterThan(0.9);
  });
  it('does so under less as planned than at the greatest pull, and under less further on', () => {
    const [planned, greatest, later] = [at('tree-strap', 0, 'planned'), at('tree-strap'), at('tree-strap', 5)];
    expect(planned?.tensionN).toBeCloseTo(reportOf(judgedBog).places.find(({ subject }) => subject.id === 'pulley')?.plannedN ?? 0, 3);
    expect(planned?.energyJ).toBeLessThan(greatest?.energyJ ?? 0);
    expect(later?.atM).toBeCloseTo(5, 1);
    expect(later?.energyJ).toBeLessThan(greatest?.energyJ ?? 0);
  });
  it('tells the bare leg, and not the one that has a damper', () => {
    expect(at('tree-strap')?.undamped).toEqual([{ lineId: 'line', strand: 1 }]);
  });
});

describe('other things that let go', () => {
  it('a rope throws both its ends, each its own way', () => {
    const [one, other] = at('winch-line')?.leaves ?? [];
    expect(one?.along.x).toBeCloseTo(-(other?.along.x ?? 0), 9);
    expect(one?.massKg).toBe(other?.massKg);
  });
  it('a brake throws nothing: the line goes out', () => {
    expect(at('winch')).toMatchObject({ manner: 'brake', leaves: [], undamped: [], lines: ['line'] });
  });
  it('hands throw nothing, and what holds the rope at a grip goes on holding it', () => {
    const held = judgedCase(layout('held-by-a-grip'));
    const line = held.rig.lines[0]?.line.id ?? '';
    expect(letGoAt(held, { subjectId: line, travelM: 0, check: 'planned' })).toMatchObject({
      manner: 'hands',
      leaves: [],
      heldBy: ['PL-A'],
      left: undefined,
    });
    const free = judgedCase(layout('compound-by-hand'));
    expect(letGoAt(free, { subjectId: 'hauled', travelM: 0, check: 'planned' })?.heldBy).toEqual([]);
  });
  it('a back-anchor throws a half each way, without the piece that broke', () => {
    const beck = judgedCase(demo('beck-crossing'));
    const broken = letGoAt(beck, { subjectId: 'back.1', travelM: 0, check: 'greatest' });
    expect(broken?.manner).toBe('back-anchor');
    expect(broken?.leaves.map(({ pieces }) => pieces.map(({ useId }) => useId))).toEqual([['back.0'], ['back.2', 'back.3', 'back.4']]);
    expect(broken?.lines).toEqual([]);
    expect(broken?.leaves[0]?.along.x).toBeCloseTo(-(broken?.leaves[1]?.along.x ?? 0), 9);
  });
  it('a back-anchor takes less as planned without its margin than it is judged for, and each check tells its own', () => {
    const beck = judgedCase(demo('beck-crossing'));
    const asked = (check: 'planned' | 'greatest') => letGoAt(beck, { subjectId: 'back.1', travelM: 0, check })?.tensionN;
    const { plannedN, greatestN } = reportOf(beck).places.find(({ subject }) => subject.id === 'back.1') ?? {};
    expect(asked('planned')).toBeCloseTo(plannedN ?? 0, 6);
    expect(asked('greatest')).toBeCloseTo(greatestN ?? 0, 6);
    expect(plannedN).not.toBeCloseTo(greatestN ?? 0, 0);
  });
  it('a back-anchor says no energy where the length of a strap is not on record, and names the straps whose mass is not', () => {
    const subject = demo('beck-crossing');
    const gear = subject.gear.map((piece) =>
      piece.tag === 'ST-02' ? ({ ...piece, attributes: { ...piece.attributes, lengthM: undefined } } as typeof piece) : piece,
    );
    const broken = letGoAt(judgedCase({ ...subject, gear }), { subjectId: 'back.1', travelM: 0, check: 'greatest' });
    expect(broken?.leaves[0]?.momentumNs).toBeUndefined();
    expect(broken?.leaves[0]?.massUnknownOf).toEqual(['TS-04', 'ST-02']);
  });
  it('a point that tears off flies with a mass that nobody knows, and is not called light', () => {
    const [part] = at('return-point-piece')?.leaves ?? [];
    expect(part?.massKg).toBeUndefined();
    expect(part?.momentumNs).toBeUndefined();
    expect(part?.massUnknownOf).toContain('VP-HRL');
    expect(at('return-connector')?.leaves[0]?.massKg).toBeGreaterThan(0.4);
  });
  it('what is being set upright, or stands on a deck, falls back on level ground too, and only that', () => {
    const upright = judgedCase(layout('righting'));
    const line = upright.rig.lines[0]?.ropes[0]?.use.id ?? '';
    expect(letGoAt(upright, { subjectId: line, travelM: 0, check: 'planned' })?.fallsBack).toBe(true);
    const deck = judgedCase(layout('loading-on-a-deck'));
    expect(letGoAt(deck, { subjectId: deck.rig.lines[0]?.ropes[0]?.use.id ?? '', travelM: 0, check: 'planned' })?.fallsBack).toBe(true);
    expect(at('winch')?.fallsBack).toBe(false);
  });
  it('of two winches one goes on pulling', () => {
    const two = judgedCase(demo('gate-two-winches'));
    expect(letGoAt(two, { subjectId: two.rig.lines[0]?.ropes[0]?.use.id ?? '', travelM: 0, check: 'planned' })?.stillPulling).toBe(1);
    expect(at('winch')?.stillPulling).toBe(0);
  });
  it('a grip that is not chosen, or that hangs on the load itself, holds nothing', () => {
    const subject = layout('held-by-a-grip');
    const line = subject.rig.lines[0]?.id ?? '';
    const heldBy = (other: Case) => letGoAt(judgedCase(other), { subjectId: line, travelM: 0, check: 'planned' })?.heldBy;
    const bare = subject.rig.chains.map((chain) =>
      chain.id === 'holding'
        ? { ...chain, pieces: chain.pieces.map(({ gearId, ...use }) => (gearId === 'PL-A' ? use : { ...use, gearId })) }
        : chain,
    );
    expect(heldBy({ ...subject, rig: { ...subject.rig, chains: bare } as Case['rig'] })).toEqual([]);
    const onLoad = subject.rig.points.map((point) =>
      point.id === 'on-rowan' ? { ...point, bodyId: 'otter', place: { kind: 'on-vehicle', forwardM: 1, leftM: 0.5, heightM: 0.5 } } : point,
    );
    expect(heldBy({ ...subject, rig: { ...subject.rig, points: onLoad } as Case['rig'] }) ?? []).toEqual([]);
  });
  it('one leg of a bridle leaves the line to the other, which takes all of it', () => {
    const subject = layout('fixed-bridle');
    const judged = judgedCase(subject);
    const leg = judged.rig.chains.find(({ chain }) => chain.to?.kind === 'joint');
    const first = leg?.uses[0]?.use.id ?? '';
    const broken = letGoAt(judged, { subjectId: first, travelM: 0, check: 'greatest' });
    expect(broken?.lines).toEqual([]);
    expect(broken?.left?.held).toBe(true);
  });
  it('is nothing of a name that is not there', () => {
    expect(at('nothing-like-it')).toBeUndefined();
  });
});

describe('who stands in the way', () => {
  const inWay = (...bodies: readonly Body[]) =>
    letGoAt(judgedCase(withBodies(bog, ...bodies)), { subjectId: 'tree-strap', travelM: 0, check: 'greatest' })?.inTheWay;
  it('is who stands within the corridor of what flies: 1.5 m to a side, nobody behind it', () => {
    const [near, border, beside] = [onTheWay(4, 1.49), onTheWay(40, 1.4999), onTheWay(60, 1.5001)];
    expect(inWay(person('Near', ...near))).toMatchObject([{ label: 'Near', why: 'flies', sheltered: false, farM: expect.closeTo(4, 6) }]);
    expect(inWay(person('Border', ...border))?.[0]?.why).toBe('flies');
    expect(inWay(person('Beside', ...beside))).toEqual([]);
    expect(inWay(person('Behind', ...onTheWay(-40, 0)))).toEqual([]);
  });
  it('is who stands where the line may whip, beside its way', () => {
    expect(inWay(person('Within', ...onTheWay(4, 5)))?.[0]).toMatchObject({ label: 'Within', why: 'zone' });
  });
  it('tells those behind a shelter after those without one', () => {
    const both = inWay(person('Sheltered', ...onTheWay(2, 0), { shelter: 'the oak' }), person('Open', ...onTheWay(8, 0)));
    expect(both?.map(({ label, sheltered }) => [label, sheltered])).toEqual([
      ['Open', false],
      ['Sheltered', true],
    ]);
  });
  it('is who stands below what rolls, cab or not', () => {
    const slope = layout('lowering-down-a-slope');
    const load = slope.rig.bodies.find(({ id }) => id === slope.rig.load.bodyId);
    const down = slope.rig.ground.uphillRad + Math.PI;
    const below = person('Below', (load?.xM ?? 0) + 12 * Math.sin(down), (load?.yM ?? 0) + 12 * Math.cos(down), { shelter: 'a tree' });
    const steep = { ...slope, rig: { ...slope.rig, ground: { ...slope.rig.ground, slopeRad: 0.4 } } };
    const judged = judgedCase(withBodies(steep, below));
    const broken = letGoAt(judged, { subjectId: 'at-otter.1', travelM: 0, check: 'greatest' });
    expect(broken?.runs[0]?.byN).toBeGreaterThan(0);
    expect(broken?.inTheWay[0]).toMatchObject({ label: 'Below', why: 'runs', sheltered: false });
    expect(broken?.left?.held).toBe(false);
  });
});

describe('what catches it', () => {
  it('is its lanyard, where that is stronger than what it has to take up', () => {
    const caught = judgedCase(layout('lanyard-to-a-fixed-anchor'));
    const [lanyard] = caught.rig.lanyards;
    if (!lanyard) throw new Error('no lanyard');
    const [part] = letGoAt(caught, { subjectId: lanyard.use.use.id, travelM: 0, check: 'greatest' })?.leaves ?? [];
    const [own] = part?.caughtBy ?? [];
    expect(own?.tag).toBe(lanyard.piece?.tag);
    expect(own?.holds).toBe((own?.arrestN ?? 0) <= (own?.breaksN ?? 0));
    expect(own?.arrestN).toBeGreaterThan(0);
  });
});
