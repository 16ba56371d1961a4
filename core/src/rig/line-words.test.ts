import { describe, expect, it } from 'vitest';
import { figuresOf } from '../judgement/explain/explain-figure.ts';
import { judgedCase } from '../judgement/judge.ts';
import { layouts } from '../testing/layouts.ts';
import { chainWords, legCalled, legWords, lineWords, pointWords } from './line-words.ts';
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

describe('the name of a point and of what hangs on it', () => {
  it('says whose it is, once, and of a joint its own name', () => {
    const rig = rigOf('double-line-self-recovery');
    const vehicle = rig.bodies.find(({ kind }) => kind === 'vehicle');
    const point = rig.points.find(({ bodyId }) => bodyId === vehicle?.id);
    if (!vehicle || !point) throw new Error('no vehicle with a point');
    const called = (label: string) => ({ ...rig, points: rig.points.map((each) => (each.id === point.id ? { ...each, label } : each)) });
    expect(pointWords(called('Front point, left'), point.id)).toBe(`${vehicle.label}’s front point, left`);
    expect(pointWords(called(`fairlead of ${vehicle.label}`), point.id)).toBe(`fairlead of ${vehicle.label}`);
    expect(pointWords(rig, 'gone')).toBe('a point that is missing');
    const [chain] = rig.chains;
    if (chain?.from.kind !== 'point') throw new Error('no chain on a point');
    expect(chainWords(rig, chain.id)).toBe(pointWords(rig, chain.from.pointId));
    expect(chainWords(rig, 'gone')).toBe('a joint that is missing');
    const joined: Rig = {
      ...rig,
      joints: [{ id: 'ring', label: 'ring in the air' }],
      chains: [{ ...chain, from: { kind: 'joint', jointId: 'ring' } }],
    };
    expect(chainWords(joined, chain.id)).toBe('the ring in the air');
  });
  it('shows no id in any figure of any layout', () => {
    for (const { file, build } of layouts) {
      const subject = build();
      if (subject.kind !== 'rig') continue;
      const ids = [...subject.rig.chains, ...subject.rig.points].map(({ id }) => id).filter((id) => id.includes('-'));
      const words = figuresOf(judgedCase(subject)).map(({ label }) => label);
      expect([file, words.filter((label) => ids.some((id) => label.includes(id)))]).toEqual([file, []]);
    }
  });
});
