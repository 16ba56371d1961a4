import { figuresOf, judgedCase } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import tiedBack from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import twoWinches from '../../../../demo/plans/gate-two-winches.json' with { type: 'json' };
import { caseOfFile } from '../../testing/case-of-file.ts';
import { whoseWords } from './whose-words.ts';

/** Whose the figures with an end are, over the whole report. */
function whoseOf(file: unknown, end: string): readonly (string | undefined)[] {
  const subject = caseOfFile(file);
  if (subject.kind !== 'rig') throw new Error('not a rig');
  return figuresOf(judgedCase(subject)).flatMap(({ path }) => (path.endsWith(end) ? [whoseWords(path, subject.rig)] : []));
}

describe('whose a figure is', () => {
  it('is said of a back-anchor, also where there is but one line', () => {
    expect(whoseOf(tiedBack, '].energyJ')).toEqual([undefined, 'back-anchor']);
  });
  it('is said of each line where there are two', () => {
    expect(whoseOf(twoWinches, '].energyJ')).toEqual(['Heron’s line', 'Otter’s line']);
  });
  it('is said of each leg, and of nothing else', () => {
    expect(whoseOf(tiedBack, '].plannedN').slice(0, 3)).toEqual([undefined, 'the winch leg', 'the return leg']);
    expect(whoseOf(tiedBack, 'medianN')).toEqual([undefined]);
  });
});
