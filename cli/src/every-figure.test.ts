import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { ReaderUnits } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { differingFigures } from '../../core/src/testing/same-figures.ts';
import type { Answer, Options } from './answer.ts';
import { check } from './check.ts';
import { estimate } from './estimate.ts';
import { explainFigureOf } from './explain.ts';
import { shock, simulate } from './simulate.ts';

const FOLDER = resolve(import.meta.dirname, '../../demo/plans');
const plans = readdirSync(FOLDER).map((name) => [name, readFileSync(resolve(FOLDER, name), 'utf8')] as const);

/** What is printed in each unit. */
function printed(run: (options: Options) => Answer): { readonly [U in ReaderUnits]: string } {
  const inUnits = (units: ReaderUnits) => run({ json: false, units }).out;
  return { kN: inUnits('kN'), t: inUnits('t'), lbf: inUnits('lbf') };
}

describe.each(plans)('every figure printed of %s is the same in every unit', (_name, text) => {
  it.each([
    ['the check', check],
    ['the pull', simulate],
    ['the estimate', estimate],
    ['the list of figures', (own: string, options: Options) => explainFigureOf(own, undefined, options)],
  ] as const)('in %s', (_what, command) => {
    const said = printed((options) => command(text, options));
    expect(said.lbf.length).toBeGreaterThan(50);
    expect(differingFigures(said)).toEqual([]);
  });
});

it('every figure printed of the attempts of a run-up is the same in every unit', () => {
  const said = plans.map(([, text]) => printed((options) => shock(text, options))).filter(({ kN }) => kN !== '');
  expect(said.length).toBeGreaterThan(0);
  expect(said.flatMap(differingFigures)).toEqual([]);
});
