import type { Rig } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import type { RegisterPiece } from '../register/use-register.ts';
import { freeDampers, hungDampers, noDamperWords } from './dampers.ts';

const damper = (gearId: string, state = 'in-use', kind = 'damper') => ({ gear: { gearId, kind, state } }) as unknown as RegisterPiece;
const hung = (...gearIds: string[]) =>
  ({
    dampers: gearIds.map((gearId, index) => ({ id: `d${index}`, lineId: 'l', strand: index, gearId })),
    chains: [],
    lines: [],
    points: [],
    bodies: [],
  }) as unknown as Rig;

describe('dampers to hang', () => {
  it('are those that may be used and hang nowhere yet', () => {
    const pieces = [damper('a'), damper('b'), damper('c', 'quarantined'), damper('d', 'in-use', 'chain')];
    expect(freeDampers(pieces, hung('a'))).toEqual(['b']);
    expect(freeDampers(pieces, hung())).toEqual(['a', 'b']);
  });
  it.each<[string, RegisterPiece[], string]>([
    ['there is none', [damper('x', 'in-use', 'chain'), damper('y', 'retired')], 'There is not a damper in the register.'],
    ['none may be used', [damper('x', 'quarantined')], 'Every damper in the register is in quarantine.'],
    ['all hang already', [damper('x'), damper('y', 'quarantined')], 'Every damper that may be used is in this rig already.'],
  ])('are none where %s, and that is said', (_when, pieces, words) => {
    expect(noDamperWords(pieces)).toContain(words);
  });
  it('are hung on legs that have none, as far as there are any, and it is said when they run out', () => {
    const legs = [0, 1, 2].map((strand) => ({ lineId: 'l', strand }));
    const pieces = ['a', 'b', 'c'].map((gearId) => damper(gearId));
    const two = hungDampers(hung('a'), legs, pieces);
    expect(two.edits.map((edit) => 'entry' in edit && edit.entry)).toEqual([
      { id: 'damper-l-2', lineId: 'l', strand: 1, gearId: 'b' },
      { id: 'damper-l-3', lineId: 'l', strand: 2, gearId: 'c' },
    ]);
    expect(two.lacking).toBeUndefined();
    const one = hungDampers(hung('a'), legs, pieces.slice(0, 2));
    expect(one.edits).toHaveLength(1);
    expect(one.lacking).toContain('Every damper that may be used is in this rig already.');
  });
});
