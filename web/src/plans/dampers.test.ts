import type { Rig } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import type { RegisterPiece } from '../register/use-register.ts';
import { freeDampers, noDamperWords } from './dampers.ts';

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
});
