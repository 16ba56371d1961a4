import { describe, expect, it } from 'vitest';
import { read } from '../codec/codec.ts';
import { evaluate, type Term } from '../explanation/term.ts';
import { judge } from '../judgement/judge.ts';
import { strandSentence } from '../judgement/report/strand-sentence.ts';
import { canonicalJson } from '../policy/canonical-json.ts';
import { policyCodec } from '../policy/policy.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { addMonths, daysBetween } from '../quantity/calendar.ts';
import { force, ratio, write } from '../quantity/format.ts';
import { exampleCase } from '../testing/example-case.ts';
import { layoutOf } from './winch-self-recovery.ts';

describe('layouts', () => {
  const straight = judge(exampleCase({ layout: 'straight' }));
  const back = judge(exampleCase());
  it('ask half the line pull when doubled back, and load the anchor about the same', () => {
    const ratioOf = (straight.plannedPullN ?? 0) / (back.plannedPullN ?? 1);
    expect(ratioOf).toBeGreaterThan(1.8);
    expect(ratioOf).toBeLessThan(1.95);
    const anchor = (report: typeof back) => report.places.find(({ kind }) => kind === 'anchor')?.plannedN ?? 0;
    expect(anchor(back) / anchor(straight)).toBeCloseTo(1, 2);
  });
  it('lay plain rigs that can be told apart only by what the line runs over', () => {
    expect([exampleCase({ layout: 'straight' }), exampleCase()].map(({ rig }) => layoutOf(rig))).toEqual(['straight', 'doubled-back']);
    expect(Object.keys(exampleCase().rig)).not.toContain('layout');
  });
  it('put the end of the line in the hitch when it is straight', () => {
    expect(straight.places.map(({ id }) => id)).toEqual([
      'winch:drum',
      'winch-line:rope',
      'winch-line:end',
      'line-end:body',
      'anchor-connector:body',
      'tree-strap:legs',
      'larch:anchor:at-tree',
    ]);
  });
  it('say who pulls on a piece: one strand, or two that add up', () => {
    const sentence = (report: typeof back, id: string) => {
      const place = report.places.find((entry) => entry.id === id);
      const text = place && strandSentence(report, place);
      return text && write(text);
    };
    expect(sentence(straight, 'anchor-connector:body')).toMatch(/^One strand pulls on SS-1 with 25\.\d kN\.$/);
    expect(sentence(straight, 'tree-strap:legs')).toMatch(/^One strand pulls on TS-heavy with 25\.\d kN, 13\.\d kN in each of its legs\.$/);
    expect(sentence(back, 'pulley:body')).toMatch(/^Two strands pull on RR-1: 13\.\d kN and 12\.\d kN add up to 25\.\d kN\.$/);
  });
});

describe('policy', () => {
  it('is data that its own reader takes, and every row names its source', () => {
    expect(read(policyCodec, JSON.parse(JSON.stringify(teamStandard)))).toEqual({ ok: true, value: teamStandard });
    const bare: string[] = [];
    const walk = (value: unknown, path: string) => {
      if (typeof value !== 'object' || value === null) return;
      const row = value as { readonly value?: unknown; readonly source?: unknown; readonly ratio?: unknown };
      if (row.value !== undefined && row.ratio === undefined && !row.source) bare.push(path);
      for (const [key, entry] of Object.entries(value)) walk(entry, `${path}.${key}`);
    };
    walk(teamStandard, 'policy');
    expect(bare).toEqual([]);
  });
  it('writes equal content to equal text, whatever the order of its keys', () => {
    expect(canonicalJson({ b: [1, { d: undefined, c: null }], a: 'x' })).toBe(canonicalJson({ a: 'x', b: [1, { c: null }] }));
    expect(canonicalJson({ a: 1 })).not.toBe(canonicalJson({ a: 2 }));
  });
});

describe('the calendar', () => {
  it('adds months and falls back to a month’s last day', () => {
    expect([addMonths('2026-01-31', 1), addMonths('2024-02-29', 12), addMonths('2026-11-15', 14), addMonths('2026-03-31', -1)]).toEqual([
      '2026-02-28',
      '2025-02-28',
      '2028-01-15',
      '2026-02-28',
    ]);
  });
  it('counts days across years and leap days', () => {
    expect([
      daysBetween('2024-02-28', '2024-03-01'),
      daysBetween('2026-12-31', '2027-01-01'),
      daysBetween('2026-05-02', '2026-05-01'),
    ]).toEqual([2, 1, -1]);
  });
});

describe('explanations', () => {
  const leaf = (si: number): Term => ({ label: 'leaf', figure: force(si) });
  const term = (operation: 'product' | 'quotient' | 'sum' | 'least' | 'greatest' | 'same' | 'vector-sum', ...of: Term[]): Term => ({
    label: operation,
    figure: ratio(0),
    how: { operation, of },
  });
  it.each([
    ['product', 24],
    ['quotient', 2 / 12],
    ['sum', 9],
    ['least', 2],
    ['greatest', 4],
    ['same', 2],
  ] as const)('%s', (operation, expected) => {
    expect(evaluate(term(operation, leaf(2), leaf(3), leaf(4)))).toBeCloseTo(expected, 12);
  });
  it('vector-sum of 3 and 4 at a right angle is 5, and nests', () => {
    expect(evaluate(term('vector-sum', leaf(3), leaf(4), leaf(Math.PI / 2)))).toBeCloseTo(5, 12);
    expect(evaluate(term('product', term('sum', leaf(1), leaf(2)), leaf(5)))).toBe(15);
  });
});
