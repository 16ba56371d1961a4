import { describe, expect, it } from 'vitest';
import { advantageAt } from '../advice/advantage-at.ts';
import { tagReadings } from '../advice/tag-readings.ts';
import type { Case } from '../rig/case.ts';
import { mark } from '../testing/example-case.ts';
import { layouts } from '../testing/layouts.ts';
import { judge } from './judge.ts';

const caseOf = (file: string): Case => layouts.find((entry) => entry.file === file)?.build() as Case;

describe('honest advantage', () => {
  const subject = caseOf('double-line-self-recovery');
  const { advantage } = judge(subject);

  it('is the ideal one without friction and the real one with all of it', () => {
    expect(advantageAt(subject, 0)?.atLoad).toBeCloseTo(advantage?.frictionless ?? 0, 9);
    expect(advantageAt(subject, 1)?.atLoad).toBeCloseTo(advantage?.hauling ?? 0, 9);
  });
  it('goes by the team’s own school of friction', () => {
    const flat: Case = { ...subject, policy: { ...subject.policy, friction: { ...subject.policy.friction, school: 'flat' } } };
    const [ideal, half, real] = [0, 0.5, 1].map((realness) => advantageAt(flat, realness)?.atLoad ?? 0);
    expect(ideal).toBeCloseTo(judge(flat).advantage?.frictionless ?? 0, 9);
    expect(real).toBeCloseTo(judge(flat).advantage?.hauling ?? 0, 9);
    expect(half).toBeLessThan(ideal ?? 0);
    expect(half).toBeGreaterThan(real ?? 0);
  });
  it('only falls as pulleys become real, and loads the anchor about as much as the load', () => {
    const steps = [0, 0.25, 0.5, 0.75, 1].map((realness) => advantageAt(subject, realness)?.atLoad ?? 0);
    for (const [index, step] of steps.slice(1).entries()) expect(step).toBeLessThan(steps[index] ?? 0);
    const [anchor] = advantageAt(subject, 1)?.atAnchors ?? [];
    expect((anchor?.share ?? 0) / (advantage?.hauling ?? 1)).toBeCloseTo(1, 1);
  });
});

describe('what a tag may mean', () => {
  const marked = (text: string): Case => {
    const subject = caseOf('double-line-self-recovery');
    return { ...subject, gear: subject.gear.map((piece) => (piece.id === 'SS-A' ? { ...piece, marks: [mark(text)] } : piece)) };
  };
  it('sets every ton and either basis side by side, each with its verdict', () => {
    const readings = tagReadings(marked('8 ton'), 'SS-A');
    expect(new Set(readings.map(({ unit }) => unit)).size).toBe(3);
    expect(new Set(readings.map(({ basis }) => basis))).toEqual(new Set(['wll', 'mbs']));
    expect(readings).toHaveLength(6);
    const of = (basis: string) => readings.filter((reading) => reading.basis === basis).map(({ wllN }) => wllN ?? 0);
    expect(Math.min(...of('wll'))).toBeGreaterThan(Math.max(...of('mbs')));
  });
  it('says nothing of marks that are clear', () => {
    expect(tagReadings(marked('WLL 4 t'), 'SS-A')).toEqual([]);
    expect(tagReadings(marked('WLL 4 t'), 'nothing')).toEqual([]);
  });
});
