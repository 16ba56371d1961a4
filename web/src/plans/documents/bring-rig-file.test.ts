import { readRig } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import compound from '../../../../demo/cases/compound-by-winch.json' with { type: 'json' };
import type { RegisterPiece } from '../../register/use-register.ts';
import { bringRigFile, openPlaces } from './bring-rig-file.ts';

const piece = (tag: string, kind: string, gearId: string) => ({ gear: { tag, kind, gearId } }) as unknown as RegisterPiece;

describe('a rig file from elsewhere', () => {
  const { tag, id, kind } = compound.case.gear[0] as { readonly id: string; readonly tag?: string; readonly kind: string };
  const known = (tag ?? id).toLowerCase();
  const brought = bringRigFile(JSON.stringify(compound), [piece(known, kind, 'own-1')], [{ vehicleId: 'v-1', name: 'OTTER' }]);
  if (!brought.ok) throw new Error(brought.message);

  it('finds its pieces by their tags and its vehicles by their names, whatever the case', () => {
    expect(JSON.stringify(brought.rig)).toContain('"own-1"');
    expect(brought.rig.bodies.find(({ id: body }) => body === 'otter')).toMatchObject({ vehicleId: 'v-1' });
  });
  it('does not take a piece of another class for it, though the tag is the same', () => {
    const other = bringRigFile(JSON.stringify(compound), [piece(known, 'shovel', 'own-1')], []);
    expect(JSON.stringify(other)).not.toContain('own-1');
  });
  it('leaves open what is not here, says so, and is still a sound rig', () => {
    expect(brought.unknown).toHaveLength(compound.case.gear.length - 1);
    expect(openPlaces(brought.rig)).toBeGreaterThan(5);
    expect(readRig(JSON.parse(JSON.stringify(brought.rig)), new Set(['own-1']))).toMatchObject({ ok: true });
  });
  it.each([
    ['not JSON', 'rope', 'not JSON'],
    ['another format', '{"format":"other"}', 'not understood: format'],
  ])('is refused when it is %s', (_what, text, message) => {
    expect(bringRigFile(text, [], [])).toMatchObject({ ok: false, message: expect.stringContaining(message) });
  });
});
