import { describe, expect, it } from 'vitest';
import { gearClassNames } from '../gear/classes/gear-classes.ts';
import { type KitPiece, kitReadiness, whyNotFit } from './kit-readiness.ts';
import { terrainLists, terrains } from './terrain-lists.ts';

const strap = (id: string, change: Partial<KitPiece> = {}): KitPiece => ({
  id,
  kind: 'tree-strap',
  state: 'in-use',
  wllN: 30_000,
  inspectedWllN: 30_000,
  due: false,
  away: false,
  ...change,
});

describe('a kit', () => {
  it('is ready when every line is filled', () => {
    expect(kitReadiness([{ kind: 'tree-strap', count: 2 }], [strap('a'), strap('b')], [])).toMatchObject({
      ready: true,
      lines: [{ short: 0 }],
    });
  });
  it('names what is short, why its own do not count, and what elsewhere would do', () => {
    const inside = [
      strap('a', { state: 'quarantined' }),
      strap('b', { due: true }),
      strap('c', { wllN: 10_000 }),
      strap('d', { wllN: undefined }),
    ];
    const elsewhere = [
      strap('strong', { wllN: 90_000 }),
      strap('enough', { wllN: 21_000 }),
      strap('weak', { wllN: 5000 }),
      strap('gone', { away: true }),
    ];
    const { ready, lines } = kitReadiness([{ kind: 'tree-strap', count: 1, leastWllN: 20_000 }], inside, elsewhere);
    expect(ready).toBe(false);
    expect(lines[0]).toMatchObject({
      short: 1,
      notFit: [
        { id: 'a', why: 'quarantined' },
        { id: 'b', why: 'due' },
        { id: 'c', why: 'too-weak' },
        { id: 'd', why: 'unrated' },
      ],
      substitutes: ['enough', 'strong'],
    });
  });
  it('names what only an inspection keeps from filling a line, by what it may carry then', () => {
    const inside = [strap('mine', { due: true, wllN: 15_000, inspectedWllN: 25_000 })];
    const elsewhere = [
      strap('just', { due: true, wllN: 10_000, inspectedWllN: 20_000 }),
      strap('below', { due: true, wllN: 10_000, inspectedWllN: 19_999 }),
      strap('gone', { due: true, away: true }),
      strap('out', { due: true, state: 'quarantined' }),
      strap('other', { due: true, kind: 'chain' }),
    ];
    const [line] = kitReadiness([{ kind: 'tree-strap', count: 1, leastWllN: 20_000 }], inside, elsewhere).lines;
    expect(line).toMatchObject({ short: 1, substitutes: [], afterInspection: ['just', 'mine'] });
    const [filled] = kitReadiness([{ kind: 'tree-strap', count: 1 }], [strap('a')], elsewhere).lines;
    expect(filled?.afterInspection).toEqual([]);
  });
  it('keeps a strong piece for the line that needs it, whichever is written first', () => {
    const wanted = [
      { kind: 'tree-strap' as const, count: 1 },
      { kind: 'tree-strap' as const, count: 1, leastWllN: 50_000 },
    ];
    const { ready, lines } = kitReadiness(wanted, [strap('strong', { wllN: 60_000 }), strap('weak', { wllN: 5000 })], []);
    expect(ready).toBe(true);
    expect(lines.map(({ filledBy }) => filledBy)).toEqual([['weak'], ['strong']]);
  });
  it('counts no piece twice', () => {
    const wanted = [
      { kind: 'tree-strap' as const, count: 1 },
      { kind: 'tree-strap' as const, count: 1 },
    ];
    expect(kitReadiness(wanted, [strap('only')], [])).toMatchObject({ ready: false, lines: [{ short: 0 }, { short: 1 }] });
  });
  it('mentions what is out of use in it though nothing asks for its class', () => {
    expect(kitReadiness([], [strap('a', { state: 'quarantined' }), strap('b')], []).unfitBeside).toEqual([{ id: 'a', why: 'quarantined' }]);
  });
  it.each([
    [{ state: 'retired' }, 'retired'],
    [{ away: true, due: true }, 'away'],
    [{ wllN: 19_999 }, 'too-weak'],
    [{ wllN: 20_000 }, undefined],
  ] as const)('finds %o not fit because %s', (change, why) => {
    expect(whyNotFit(strap('x', change), 20_000)).toBe(why);
  });
});

describe('the terrain lists', () => {
  it.each(terrains)('for %s ask for known classes, each once', (terrain) => {
    const kinds = terrainLists[terrain].map(({ kind }) => kind);
    expect(new Set(kinds).size).toBe(kinds.length);
    for (const kind of kinds) expect(gearClassNames).toContain(kind);
  });
});
