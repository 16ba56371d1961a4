import { describe, expect, it } from 'vitest';
import { MadeTags } from './made-tags.ts';

const of = (tags: readonly string[], kind = 'steel-shackle') => tags.map((tag) => ({ tag, kind }));

describe('tags that are made', () => {
  it('begin with the prefix of the class and three figures where there are none yet', () => {
    const tags = new MadeTags([], []);
    expect([tags.make('steel-shackle'), tags.make('steel-shackle'), tags.make('tree-strap')]).toEqual(['SH-001', 'SH-002', 'TS-001']);
  });
  it('go on in the team’s own way, behind the largest number', () => {
    const tags = new MadeTags([...of(['Bow 07', 'Bow 11', 'X-1']), ...of(['Bow 99'], 'chain')], []);
    expect([tags.make('steel-shackle'), tags.make('steel-shackle')]).toEqual(['Bow 12', 'Bow 13']);
  });
  it('pass over those of the register and of the file, whatever their case', () => {
    const tags = new MadeTags(of(['SH-001', 'sh-002'], 'chain'), ['sh-003']);
    expect(tags.make('steel-shackle')).toBe('SH-004');
  });
});
