import { describe, expect, it } from 'vitest';
import { differingFigures, numbersIn, strangeForces } from './same-figures.ts';

describe('one text in three units', () => {
  const said = {
    kN: 'TS-03: 14.4 of 27.2 kN, 3 wraps',
    t: 'TS-03: 1.5 of 2.8 tf, 3 wraps',
    lbf: 'TS-03: 3\u202f240 of 6\u202f110 lbf, 3 wraps',
  };
  it('agrees where each figure is the same within its last digit', () => {
    expect(differingFigures(said)).toEqual([]);
  });
  it.each([
    ['a figure without its thousands', { ...said, lbf: said.lbf.replace('3\u202f240', '3') }, ['14.4 is 3 in lbf']],
    [
      'a figure off by more than its last digit',
      { ...said, lbf: said.lbf.replace('6\u202f110', '6\u202f140') },
      ['27.2 kN is 6\u202f140 lbf in lbf'],
    ],
    ['another count', { ...said, t: said.t.replace('3 wraps', '4 wraps') }, ['3 is 4 in t']],
    ['another kind of figure', { ...said, t: said.t.replace('2.8 tf', '2.8 m') }, ['14.4 is 1.5 in t', '27.2 kN is 2.8 m in t']],
    ['a figure that is missing', { ...said, t: said.t.replace(', 3 wraps', '') }, ['4 figures in kN, 3 in t']],
  ])('differs by %s', (_what, other, found) => {
    expect(differingFigures(other)).toEqual(found);
  });
  it('takes a force in pounds for rounded to the nearest ten, and no more', () => {
    const force = (lbf: string) => differingFigures({ kN: '10.0 kN', t: '1.0 tf', lbf: `${lbf} lbf` });
    expect(force('2\u202f250')).toEqual([]);
    expect(force('2\u202f270')).toEqual(['10.0 kN is 2\u202f270 lbf in lbf']);
  });
});

describe('forces in a text', () => {
  it('are strange where no number of the report is written so', () => {
    expect(strangeForces('14.1 / 7.4 kN over 3 m', [14_096, 7_355])).toEqual([]);
    expect(strangeForces('14.1 / 7.5 kN', [14_096, 7_355])).toEqual(['7.5 kN']);
    expect(strangeForces('14.2 of 7.4 kN', [14_096, 7_355])).toEqual(['14.2']);
  });
  it('are held against every number, however deep it stands', () => {
    expect(numbersIn({ places: [{ wllN: 7355 }, { worst: { plannedN: 14_096 } }], name: 'x', none: null })).toEqual([7355, 14_096]);
  });
});
