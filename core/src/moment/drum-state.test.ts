import { describe, expect, it } from 'vitest';
import type { GearFacts } from '../gear/gear-facts.ts';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { exampleCase, mark, piece } from '../testing/example-case.ts';

const changed = (id: string, change: (facts: GearFacts) => object): Case => {
  const plain = exampleCase();
  return { ...plain, gear: plain.gear.map((facts) => (facts.id === id ? ({ ...facts, ...change(facts) } as GearFacts) : facts)) };
};
const attributes = (id: string, change: object) => changed(id, (facts) => ({ attributes: { ...facts.attributes, ...change } }));

describe('the drum in a rig', () => {
  const { drum } = judge(exampleCase());
  it('counts what is out and what stays against what is asked for', () => {
    expect(drum).toMatchObject({ layer: 2, wrapsWanted: 10 });
    expect((drum.lineOutM ?? 0) + 10 * Math.PI * 0.074).toBeLessThan(28);
  });
  it('asks for five wraps of steel line, and for the maker’s number where there is one', () => {
    const steel = piece({
      id: 'L-1',
      kind: 'winch-line-steel',
      marks: [mark('MBS 9 t')],
      attributes: { ropeDiameterM: 0.01, lengthM: 28, endTermination: 'thimble-pressed-sleeve' },
    });
    expect(judge(changed('L-1', () => steel)).drum.wrapsWanted).toBe(5);
    expect(judge(attributes('W-1', { reserveWraps: 8 })).drum.wrapsWanted).toBe(8);
  });
  describe('with the maker’s pulls by layer', () => {
    const ratedOf = (change: object) => judge(attributes('W-1', change)).drum;
    it('works by its row for the layer, and by the mark on the first', () => {
      expect(ratedOf({ layer2PullN: 20_000 }).ratedN).toBe(20_000);
      expect(ratedOf({ layer3PullN: 20_000 }).ratedN).toBe(drum.ratedN);
    });
    it('is told of a row that is not below the one before it, and of the first row against the mark', () => {
      const tells = (change: object) => judge(attributes('W-1', change)).findings.some(({ code }) => code === 'layer-table-rises');
      expect(tells({ layer2PullN: 20_000, layer3PullN: 19_999 })).toBe(false);
      expect(tells({ layer2PullN: 20_000, layer3PullN: 20_000 })).toBe(true);
      expect(tells({ layer2PullN: 20_000, layer4PullN: 20_001 })).toBe(true);
      const marked = Math.max(
        ...exampleCase().gear.flatMap(({ kind, marks }) =>
          kind === 'winch' ? marks.flatMap(({ readings }) => readings.map(({ forceN }) => forceN)) : [],
        ),
      );
      expect(tells({ layer2PullN: marked })).toBe(true);
      expect(tells({ layer2PullN: marked - 1 })).toBe(false);
    });
  });
  it('leaves an extension in the line off the drum', () => {
    const plain = exampleCase();
    const extension = piece({
      id: 'LX-1',
      kind: 'line-extension',
      marks: [mark('MBS 12 t')],
      attributes: { ropeDiameterM: 0.012, lengthM: 6, endTermination: 'makers-assembly' },
    });
    const rig = {
      ...plain.rig,
      lines: plain.rig.lines.map((line) => ({
        ...line,
        ropes: [...line.ropes, { id: 'extension', role: 'extension' as const, gearId: 'LX-1' }],
      })),
    };
    const extended = judge({ ...plain, rig, gear: [...plain.gear, extension] });
    expect(extended.drum.lineOutM).toBeCloseTo((drum.lineOutM ?? 0) - 6, 9);
    // The extension lies at the line's end: the ring is still met by the winch line, the end is the extension's own.
    const ids = extended.places.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['winch-line:bend:0', 'extension:rope', 'extension:end']));
    expect(ids).not.toContain('extension:bend:0');
  });
  it('meets the ring with a long extension instead of the winch line', () => {
    const plain = exampleCase();
    const extension = piece({
      id: 'LX-1',
      kind: 'line-extension',
      marks: [mark('MBS 12 t')],
      attributes: { ropeDiameterM: 0.012, lengthM: 15, endTermination: 'makers-assembly' },
    });
    const rig = {
      ...plain.rig,
      lines: plain.rig.lines.map((line) => ({
        ...line,
        ropes: [...line.ropes, { id: 'extension', role: 'extension' as const, gearId: 'LX-1' }],
      })),
    };
    const ids = judge({ ...plain, rig, gear: [...plain.gear, extension] }).places.map(({ id }) => id);
    expect(ids).toContain('extension:bend:0');
    expect(ids).not.toContain('winch-line:bend:0');
  });
  it('takes the first layer for the greatest pull while sizes are missing', () => {
    const report = judge(attributes('W-1', { drumDiameterM: undefined }));
    expect(report.greatestPullN).toBeCloseTo(42_000 * 1.2, 6);
    expect(report.drum.layer).toBeUndefined();
  });
  it('has no greatest pull without a marked winch, and says so', () => {
    const report = judge(changed('W-1', () => ({ marks: [] })));
    expect(report.greatestPullN).toBeUndefined();
    expect(report.verdict).toBe('stop');
    expect(report.findings.map(({ code }) => code)).toContain('unrated');
  });
});
