import { describe, expect, it } from 'vitest';
import { write } from '../quantity/format.ts';
import { exampleCase } from '../testing/example-case.ts';
import { judge } from './judge.ts';
import { strandSentence } from './report/strand-sentence.ts';

const place = (report: ReturnType<typeof judge>, id: string) => {
  const found = report.places.find((entry) => entry.id === id);
  if (!found) throw new Error(`no place ${id} among ${report.places.map((entry) => entry.id).join(', ')}`);
  return found;
};

describe('judging the doubled-back self-recovery of 2,600 kg to its hubs', () => {
  it('stops on a light tree strap and names it', () => {
    const report = judge(exampleCase({ strap: 'TS-light' }));
    expect(report.verdict).toBe('stop');
    expect(report.weakestPlaceId).toBe('tree-strap:legs');
    expect(report.findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code)).toEqual([
      'over-limit',
      'over-breaking-margin',
    ]);
    const sentence = strandSentence(report, place(report, 'tree-strap:legs'));
    expect(sentence && write(sentence)).toMatch(
      /^Two strands pull on TS-light: 13\.\d kN and 1[12]\.\d kN add up to 25\.\d kN, 13\.\d kN in each of its legs\.$/,
    );
  });

  it('does not stop on a heavier one', () => {
    const report = judge(exampleCase());
    expect(report.findings.map(({ code }) => code)).toEqual(['damper-to-move', 'damper-to-move', 'off-centre-point']);
    expect(report.findings.map(({ severity }) => severity)).toEqual(['note', 'note', 'note']);
    expect(report.verdict).toBe('clear');
  });

  it('plans on one times the weight and gives it to the line by the advantage', () => {
    const report = judge(exampleCase());
    expect(report.pullN).toBeCloseTo(2600 * 9.80665, 6);
    expect(report.advantage?.frictionless).toBeGreaterThan(1.97);
    expect(report.advantage?.frictionless).toBeLessThan(2);
    expect((report.plannedPullN ?? 0) * (report.advantage?.hauling ?? 0)).toBeCloseTo(report.pullN ?? 0, 6);
  });

  it('walks the load path from the drum outward to the tree, then back to the vehicle', () => {
    const order = judge(exampleCase()).places.map(({ id }) => id);
    expect(order).toEqual([
      'winch:drum',
      'winch-line:rope',
      'winch-line:bend:0',
      'winch-line:end',
      'pulley:body',
      'anchor-connector:body',
      'tree-strap:legs',
      'larch:anchor:at-tree',
      'line-end:body',
      'return-connector:body',
      'return-point-piece:body',
    ]);
  });

  it('leaves unanswered questions open and counts them as cautions', () => {
    const report = judge(exampleCase({ answered: false }));
    expect(report.verdict).toBe('watch');
    expect(report.findings.filter(({ undecided }) => undecided).map(({ code }) => code)).toEqual([
      'cut-off-out-of-reach',
      'engine-off',
      'knot-placement',
      'knot-placement',
      'operator-not-placed',
      'strap-twisted',
    ]);
  });

  it('scales every planned load with a chosen pull and leaves the greatest loads alone', () => {
    const plain = exampleCase();
    const doubled = judge({ ...plain, rig: { ...plain.rig, chosenPull: { pullN: 2 * 2600 * 9.80665, person: 'Test', reason: 'twice' } } });
    const single = judge(plain);
    for (const [index, { plannedN, greatestN }] of doubled.places.entries()) {
      expect(plannedN).toBeCloseTo(2 * (single.places[index]?.plannedN ?? 0), 6);
      expect(greatestN).toBeCloseTo(single.places[index]?.greatestN ?? 0, 6);
    }
  });

  it('says until when it is good: the first day on which something falls due', () => {
    expect(judge(exampleCase()).goodUntil).toBe('2027-03-01');
  });

  it('is good to the last day of a first year, and is another on the next', () => {
    const plain = exampleCase();
    const gear = plain.gear.map(({ inspection: _none, ...piece }) => ({
      ...piece,
      firstUsedOn: '2026-02-20',
      overloadsSinceInspection: 0,
    }));
    const young = { ...plain, asOf: '2026-11-01', gear };
    const report = judge(young);
    expect(report.goodUntil).toBe('2027-02-19');
    // Nothing changes up to that day but the day itself.
    expect({ ...judge({ ...young, asOf: '2027-02-19' }), asOf: young.asOf }).toEqual(report);
    expect(judge({ ...young, asOf: '2027-02-20' }).places).not.toEqual(report.places);
  });

  it('is plain data without NaN or infinity', () => {
    for (const layout of ['straight', 'doubled-back'] as const) {
      const report = judge(exampleCase({ layout }));
      expect(JSON.parse(JSON.stringify(report))).toEqual(report);
    }
  });
});
