import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { Case, ReaderUnits } from '@wainrope/core';
import { figuresOf, judgedCase } from '@wainrope/core/judging';
import { act, type ReactNode } from 'react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { differingFigures, numbersIn, strangeForces } from '../../../core/src/testing/same-figures.ts';
import { unspeakable } from '../../../core/src/testing/unspeakable.ts';
import { Explained } from '../explained/Explained.tsx';
import { unitsChosen } from '../settings/settings-slice.ts';
import { store } from '../store.ts';
import { cardOf } from '../testing/card-of.ts';
import { caseOfFile } from '../testing/case-of-file.ts';
import { judge } from '../testing/judged.ts';
import { render } from '../testing/render.tsx';
import { drawingSvg } from './documents/drawing-svg.ts';
import { cardSettings, fieldCard } from './documents/field-card.ts';
import { FindingsPanel } from './findings/FindingsPanel.tsx';
import { LoadPath } from './load-path/LoadPath.tsx';
import { PlannerSentence } from './PlannerHeader.tsx';
import { PullPanel } from './pull/PullPanel.tsx';

const FOLDER = resolve(import.meta.dirname, '../../../demo/plans');
const plans = readdirSync(FOLDER).map((file): readonly [string, Case] => [
  file,
  caseOfFile(JSON.parse(readFileSync(resolve(FOLDER, file), 'utf8'))),
]);
const READERS: readonly ReaderUnits[] = ['kN', 't', 'lbf'];
const nothing = () => undefined;

beforeAll(() => {
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: false,
    media: query,
    addEventListener: nothing,
    removeEventListener: nothing,
  }));
});

/** All that an element says, to those who see it and those who hear it, one thing a line. */
function saidBy(box: Element): string {
  const textsIn = (node: Node): readonly string[] =>
    node.nodeType === Node.TEXT_NODE ? [node.textContent ?? ''] : [...node.childNodes].flatMap(textsIn);
  return [...textsIn(box), ...[...box.querySelectorAll('[aria-label]')].map((each) => each.getAttribute('aria-label') ?? '')].join('\n');
}

async function inEachUnit(element: ReactNode): Promise<{ readonly [U in ReaderUnits]: string }> {
  const box = await render(element);
  const said: [ReaderUnits, string][] = [];
  for (const units of READERS) {
    await act(async () => void store.dispatch(unitsChosen(units)));
    said.push([units, saidBy(box)]);
  }
  await act(async () => void store.dispatch(unitsChosen('kN')));
  return Object.fromEntries(said) as { [U in ReaderUnits]: string };
}

const eachWay = (written: (units: ReaderUnits) => string): { readonly [U in ReaderUnits]: string } => ({
  kN: written('kN'),
  t: written('t'),
  lbf: written('lbf'),
});

/** Every text in a document for printing. */
function textsOf(part: unknown): readonly string[] {
  if (typeof part === 'string') return [part];
  if (Array.isArray(part)) return part.flatMap(textsOf);
  if (typeof part !== 'object' || part === null) return [];
  const { text, stack, columns, ul, ol, table, content } = part as { readonly [key: string]: unknown };
  return [text, stack, columns, ul, ol, content, (table as { readonly body?: unknown } | undefined)?.body].flatMap(textsOf);
}

describe.each(plans)('every figure of %s is the same in every unit', (_file, subject) => {
  const report = judge(subject);
  const known = numbersIn({ report, subject });
  it('on the panels, the load path and in what is read aloud', async () => {
    const said = [
      await inEachUnit(
        <FindingsPanel report={report} apply={nothing} choosePiece={nothing} hangDampers={nothing} show={nothing} fillIn={nothing} />,
      ),
      await inEachUnit(<LoadPath report={report} selectedSubjectId={undefined} select={nothing} order="rigging" setOrder={nothing} />),
      await inEachUnit(<PlannerSentence report={report} />),
      await inEachUnit(<PullPanel rig={subject.rig} subject={subject} report={report} apply={nothing} show={nothing} locked={false} />),
    ];
    expect(said.map(({ lbf }) => /lbf/.test(lbf))).toContain(true);
    expect(said.flatMap(differingFigures)).toEqual([]);
    expect(said.flatMap(({ kN }) => strangeForces(kN, known))).toEqual([]);
  });
  it('on the field card and in the drawing', () => {
    const card = (units: ReaderUnits) => cardOf(subject, report, units);
    const [setting] = cardSettings;
    if (!setting) throw new Error('no way to set a card');
    const said = eachWay((units) => textsOf(fieldCard(card(units), setting)).join('\n'));
    expect(said.lbf).toContain('lbf');
    expect(differingFigures(said)).toEqual([]);
    expect(strangeForces(said.kN, known)).toEqual([]);
    const drawn = eachWay((units) =>
      [...drawingSvg({ ...card(units), rig: subject.rig, size: { width: 1000, height: 800 } }).matchAll(/<text[^>]*>([^<]*)</g)]
        .map(([, text = '']) => text)
        // The bar of the scale is as long as a round length of the reader's unit.
        .filter((text) => !/^\d+( (m|ft))?$/.test(text))
        .join('\n'),
    );
    expect(differingFigures(drawn)).toEqual([]);
    expect(strangeForces(drawn.kN, known)).toEqual([]);
    expect([...unspeakable(said.kN), ...unspeakable(drawn.kN)]).toEqual([]);
  });
  it('in how it was worked out', async () => {
    const terms = figuresOf(judgedCase(subject)).map(({ explain }) => explain());
    const said = await inEachUnit(terms.map((term, index) => <Explained key={String(index)} term={term} />));
    expect(differingFigures(said)).toEqual([]);
  });
});

describe('figures that differ between units', () => {
  it.each([
    ['one that was not converted', 'carries 14.5\u00a0kN', 'carries 14.5\u00a0lbf', 1],
    ['one that lost its unit', 'carries 14.5\u00a0kN', 'carries 3', 1],
    ['one that lost its thousands', 'carries 14.5\u00a0kN', 'carries 3\u00a0lbf', 1],
    ['one that is missing', 'carries 14.5\u00a0kN of 2', 'carries 2', 1],
    ['none', 'carries 14.5\u00a0kN, 2 pulls', 'carries 3\u202f260\u00a0lbf, 2 pulls', 0],
    ['one of two that share a unit', '7.3 of 14.5\u00a0kN', '2\u202f640 of 3\u202f260\u00a0lbf', 1],
    ['none where one unit serves two', '7.3 of 14.5\u00a0kN', '1\u202f640 of 3\u202f260\u00a0lbf', 0],
  ])('%s', (_what, kN, lbf, count) => {
    expect(differingFigures({ kN, t: kN, lbf })).toHaveLength(count);
  });
  it('from the report’s are found', () => {
    const known = numbersIn({ places: [{ plannedN: 14_480, wllN: 7_320 }] });
    expect(strangeForces('carries 14.5\u00a0kN of 7.3\u00a0kN', known)).toEqual([]);
    expect(strangeForces('carries 14.6 / 7.3\u00a0kN', known)).toEqual(['14.6']);
  });
});
