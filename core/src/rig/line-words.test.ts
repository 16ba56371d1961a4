import { describe, expect, it } from 'vitest';
import { layouts } from '../testing/layouts.ts';
import { legCalled, legWords, lineWords } from './line-words.ts';
import type { Rig } from './rig.ts';

function rigOf(file: string): Rig {
  const subject = layouts.find((entry) => entry.file === file)?.build();
  if (subject?.kind !== 'rig') throw new Error(`no layout ${file}`);
  return subject.rig;
}

/** Every leg of a rig, bend by bend, as people say it within a sentence. */
const legsOf = (rig: Rig) =>
  rig.lines.flatMap(({ id, via }) => [...via, undefined].map((_, strand) => legWords(rig, { lineId: id, strand })));

describe('the name of a leg', () => {
  it.each([
    ['single-line-to-an-anchor', ['the line']],
    ['stretch-pull', ['the line']],
    ['double-line-self-recovery', ['the winch leg', 'the return leg']],
    ['triple-line', ['the winch leg', 'leg 2 of the line', 'the anchor leg']],
    ['redirect-round-a-corner', ['the winch leg', 'the load leg']],
    ['double-line-to-a-separate-anchor', ['the winch leg', 'the anchor leg']],
  ])('%s', (file, legs) => {
    expect(legsOf(rigOf(file))).toEqual(legs);
  });
  it('does not change behind a grip: it goes up at each bend alone', () => {
    const rig = rigOf('triple-line');
    const [line] = rig.lines;
    if (!line) throw new Error('no line');
    const gripped: Rig = { ...rig, grips: [{ id: 'g', lineId: line.id, strand: 0, toEndM: 5 }] };
    const called = [0, 1, 2, 3].map((index) => legCalled(gripped, { lineId: line.id, index }));
    expect(called).toEqual(['winch leg', 'winch leg', 'leg 2', 'anchor leg']);
  });
  it('is another for every leg of every layout', () => {
    for (const { file } of layouts) {
      const legs = legsOf(rigOf(file));
      expect([file, new Set(legs).size]).toEqual([file, legs.length]);
    }
  });
});

describe('the name of a line', () => {
  it('tells whose it is where there are several', () => {
    const rig = rigOf('two-winches');
    expect(rig.lines.map(({ id }) => lineWords(rig, id))).toEqual(['Heron’s line', 'Badger’s line']);
    expect(lineWords({ ...rig, lines: rig.lines.slice(0, 1) }, rig.lines[0]?.id ?? '')).toBe('the line');
  });
  it('numbers those that would be called alike', () => {
    const rig = rigOf('single-line-to-an-anchor');
    const [line] = rig.lines;
    if (!line) throw new Error('no line');
    const doubled = { ...rig, lines: [line, { ...line, id: 'another' }] };
    expect(lineWords(doubled, 'another')).toMatch(/^\w.*’s line, no\. 2$/);
    expect(lineWords(doubled, line.id)).toMatch(/’s line, no\. 1$/);
  });
  it('shows no id in any layout', () => {
    for (const { file } of layouts) {
      const rig = rigOf(file);
      const renamed = { ...rig, lines: rig.lines.map((line, no) => ({ ...line, id: `zz-${no}` })) };
      for (const { id } of renamed.lines) expect(lineWords(renamed, id)).not.toContain('zz');
    }
  });
});
