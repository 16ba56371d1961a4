import { describe, expect, it } from 'vitest';
import type { GearFacts } from '../gear/gear-facts.ts';
import { judge } from '../judgement/judge.ts';
import { pieceLimit } from '../rating/piece-limit.ts';
import { usualUse } from '../rating/usual-use.ts';
import type { Case } from '../rig/case.ts';
import type { BagPiece } from '../rigging/candidates.ts';
import { applied } from '../rigging/fill-pieces.ts';
import { layouts } from '../testing/layouts.ts';
import type { LightestBag } from './answers.ts';
import { carriedKg } from './carried.ts';
import { lightestBag } from './lightest-bag.ts';

const build = layouts.find(({ file }) => file === 'compound-by-hand')?.build;
if (!build) throw new Error('no compound by hand');
const subject = build();

const inBag = (facts: GearFacts): BagPiece => ({
  facts,
  limit: pieceLimit(facts, usualUse(facts.kind), { policy: subject.policy, asOf: subject.asOf, wet: false }),
  vehicleId: undefined,
});
const pieceOf = (id: string): GearFacts => {
  const found = subject.gear.find((piece) => piece.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
/** A piece like another but for its id, its weight and, where said, its marked strength. */
function like(id: string, as: string, massKg: number, wll?: number): GearFacts {
  const { attributes, marks, ...rest } = pieceOf(as);
  const weaker = marks.map((mark) => (wll === undefined ? mark : { ...mark, readings: [{ unit: 't', forceN: wll }] }));
  return { ...rest, id, tag: id, marks: weaker, attributes: { ...attributes, massKg } } as GearFacts;
}

function bagFrom(pieces: readonly GearFacts[], from: Case = subject): LightestBag {
  const search = lightestBag(from, pieces.map(inBag));
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}
const idsOf = ({ lightest }: LightestBag) => lightest?.pieces.map(({ gearId }) => gearId);

describe('what a piece weighs in the hand', () => {
  it('is what stands on record, else that of its rope by kind, thickness and length', () => {
    expect(carriedKg(pieceOf('RR-A'), subject.policy)).toBe(0.6);
    // 60 m of synthetic rope of 12 mm at 600 kg/m per square metre: 600 × 0.012² × 60.
    expect(carriedKg(pieceOf('HR-1'), subject.policy)).toBeCloseTo(5.184, 6);
    expect(carriedKg(pieceOf('SS-A'), subject.policy)).toBeUndefined();
  });
});

describe('the lightest bag', () => {
  it('is the one there is where nothing is lighter', () => {
    const { now, edits, without, ...found } = bagFrom(subject.gear);
    expect(without).toEqual([]);
    expect(found.lightest?.massKg).toBeCloseTo(now.massKg, 9);
    expect(edits?.map((edit) => edit.kind)).not.toContain('change-body');
  });
  it('takes a lighter piece that holds, and not a lighter one that does not', () => {
    const light = like('CL-light', 'CL-A', 0.2);
    const weak = like('CL-weak', 'CL-A', 0.1, 400);
    const found = bagFrom([...subject.gear, light, weak]);
    expect(idsOf(found)).toContain('CL-light');
    expect(idsOf(found)).not.toContain('CL-weak');
    expect(found.now.massKg - (found.lightest?.massKg ?? 0)).toBeCloseTo(0.2, 9);
    const after = { ...subject, rig: applied(subject.rig, found.edits ?? []), gear: [...subject.gear, light, weak] };
    expect(judge(after).verdict).toBe(found.lightest?.verdict);
  });
  it('puts no piece in two places', () => {
    const found = bagFrom([...subject.gear, like('CL-light', 'CL-A', 0.2)]);
    const ids = idsOf(found) ?? [];
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('leaves what has no weight on record as it is, and takes nothing without one', () => {
    const found = bagFrom([...subject.gear, like('SS-light', 'SS-A', 0.05)]);
    expect(idsOf(found)).toEqual(expect.arrayContaining(['SS-A', 'SS-B', 'SS-C', 'SS-D']));
  });
  it('exchanges what does not hold for something heavier', () => {
    const weak = subject.gear.map((piece) => (piece.id === 'TS-A' ? like('TS-A', 'TS-A', 1, 400) : piece));
    const found = bagFrom([...weak, like('TS-heavy', 'TS-A', 3, 30_000)], { ...subject, gear: weak });
    expect(idsOf(found)).toContain('TS-heavy');
    expect(found.edits).toEqual([{ kind: 'choose-piece', useId: 'far-block.0', gearId: 'TS-heavy' }]);
  });
  it('names the place for which the register has nothing that holds, or nothing at all, and then finds none', () => {
    const weak = subject.gear.map((piece) => (piece.id === 'TS-A' ? like('TS-A', 'TS-A', 1, 400) : piece));
    const none = bagFrom(weak, { ...subject, gear: weak });
    expect([none.lightest, none.without]).toEqual([undefined, ['far-block.0']]);
    const bare = applied(subject.rig, [{ kind: 'choose-piece', useId: 'far-block.0', gearId: undefined }]);
    const others = subject.gear.filter(({ kind }) => kind !== 'tree-strap');
    const nothing = bagFrom(others, { ...subject, rig: bare });
    expect([nothing.lightest, nothing.without]).toEqual([undefined, ['far-block.0']]);
  });
  it('is shared out to everybody who is there, the heaviest piece first, and says what has no weight', () => {
    const { now } = bagFrom(subject.gear);
    expect(now.carriers.length).toBeLessThanOrEqual(6);
    expect(now.carriers.flatMap(({ pieces }) => pieces)).toHaveLength(now.pieces.length);
    expect(now.carriers[0]?.massKg).toBeCloseTo(5.184, 6);
    expect(now.carriers.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(now.massKg, 9);
    expect(now.unweighed).toEqual(expect.arrayContaining(['SS-A', 'TS-A']));
    // What is bolted to the vehicle is in nobody’s bag.
    expect(now.pieces.map(({ gearId }) => gearId)).not.toContain('VP-A');
  });
});
