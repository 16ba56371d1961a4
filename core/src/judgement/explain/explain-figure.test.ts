import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { evaluate, type Term } from '../../explanation/term.ts';
import { type Case, readRigFile } from '../../rig/case.ts';
import { exampleCase } from '../../testing/example-case.ts';
import { layouts } from '../../testing/layouts.ts';
import { judge, judgedCase } from '../judge.ts';
import { explainFigure, figuresOf } from './explain-figure.ts';

/** What names an entry of a list in a path. */
const NAMES: { readonly [list: string]: (entry: Record<string, unknown>, index: number) => string } = {
  places: ({ id }) => String(id),
  strands: ({ lineId, index }) => `${lineId}.${index}`,
  drives: ({ lineId }) => String(lineId),
  hands: ({ lineId }) => String(lineId),
  breaks: ({ lineId }) => String(lineId),
  zones: ({ lineId }) => String(lineId),
  holds: ({ bodyId }) => String(bodyId),
  pulleys: ({ chainId }) => String(chainId),
  flights: ({ chainId }) => String(chainId),
  pointLoads: ({ pointId }) => String(pointId),
  methods: ({ id }) => String(id),
};
/** Coordinates and vectors are drawn, words and findings are read; factors explain the terms they belong to. */
const DRAWN = [
  'from',
  'to',
  'at',
  'root',
  'centre',
  'corners',
  'apex',
  'a',
  'b',
  'along',
  'forceN',
  'findings',
  'factors',
  'index',
  'swept',
];

function numbersOf(value: unknown, path: string, list: string): readonly (readonly [string, number])[] {
  if (typeof value === 'number') return [[path, value]];
  if (Array.isArray(value))
    return value.flatMap((entry, index) => numbersOf(entry, `${path}[${NAMES[list]?.(entry, index) ?? index}]`, ''));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, entry]) =>
    DRAWN.includes(key) || (list === '' && key === 'strands' && path !== '')
      ? []
      : numbersOf(entry, path === '' ? key : `${path}.${key}`, key),
  );
}

const folder = resolve(import.meta.dirname, '../../../../demo/plans');
const plans = readdirSync(folder).map((name) => [name, () => planCase(resolve(folder, name))] as const);

function planCase(path: string): Case {
  const file = readRigFile(JSON.parse(readFileSync(path, 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}

const cases: readonly (readonly [string, () => Case])[] = [
  ...plans,
  ['the example', () => exampleCase()],
  ['the example with a weak strap', () => exampleCase({ strap: 'TS-light' })],
  ['the example, straight', () => exampleCase({ layout: 'straight' })],
  ...layouts.map(({ file, build }) => [file, build] as const),
];

describe('how it was worked out', () => {
  it.each(cases)('recomputes every figure of the report from its explanation alone: %s', (_name, build) => {
    const subject = build();
    const figures = new Map(figuresOf(judgedCase(subject)).map((entry) => [entry.path, entry]));
    const numbers = numbersOf(judge(subject), '', '');
    expect(numbers.length).toBeGreaterThan(30);
    const wrong: string[] = [];
    for (const [path, value] of numbers) {
      const entry = figures.get(path);
      if (!entry) wrong.push(`${path} is not explained`);
      else {
        const recomputed = evaluate(entry.explain());
        if (!(Math.abs(recomputed - value) <= 1e-9 * Math.max(1, Math.abs(value))))
          wrong.push(`${path}: ${value} is explained as ${recomputed}`);
      }
    }
    expect(wrong).toEqual([]);
  });
  it('names a reason or a source, or breaks down, wherever a load or a limit is explained', () => {
    const bare: string[] = [];
    const walk = (term: Term, path: string) => {
      if (term.label.trim() === '') bare.push(path);
      for (const part of term.how?.of ?? []) walk(part, `${path} / ${term.label}`);
    };
    for (const entry of figuresOf(judgedCase(exampleCase()))) walk(entry.explain(), entry.path);
    expect(bare).toEqual([]);
  });
  it('stands beside joints of which the demo plans decide at least four in five', () => {
    const joints = plans.flatMap(([, build]) => judge(build()).fits);
    expect(joints.length).toBeGreaterThan(20);
    expect(joints.filter(({ fits }) => fits !== undefined).length / joints.length).toBeGreaterThanOrEqual(0.8);
  });
  it('answers nothing for a figure that is not there', () => {
    expect(explainFigure(judgedCase(exampleCase()), 'places[nowhere].plannedN')).toBeUndefined();
    expect(explainFigure(judgedCase(exampleCase()), 'pullN')?.label).toBe('Pull needed');
  });
});
