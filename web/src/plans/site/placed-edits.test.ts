import { applied, type Stand } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import beckFile from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import { caseOfFile } from '../../testing/case-of-file.ts';
import { placedEdits } from './placed-edits.ts';

const { rig } = caseOfFile(beckFile);
const stand = (id: string, more: Partial<Stand> = {}): Stand => ({
  id,
  label: id,
  duty: 'operator',
  isNew: false,
  xM: 1.23456,
  yM: -2,
  why: [],
  ...more,
});

describe('putting everybody where they are to stand', () => {
  it('keeps who they are, takes them out of the cab, and puts them down to the centimetre', () => {
    const before = rig.bodies.find(({ id }) => id === 'isla');
    expect(before).toHaveProperty('inVehicleId');
    const [edit] = placedEdits(rig, [stand('isla')]);
    expect(edit).toMatchObject({ kind: 'put', list: 'bodies', entry: { id: 'isla', label: before?.label, xM: 1.23, yM: -2 } });
    expect(edit).not.toHaveProperty('entry.inVehicleId');
  });
  it('seats who belongs into a cab, adds who is new, and moves nobody who has no safe place', () => {
    expect(placedEdits(rig, [stand('isla', { inVehicleId: 'otter' })])[0]).toMatchObject({ entry: { inVehicleId: 'otter' } });
    expect(placedEdits(rig, [stand('signaller', { isNew: true, duty: 'signaller' })])[0]).toMatchObject({
      entry: { id: 'signaller', kind: 'person', duty: 'signaller', xM: 1.23, yM: -2 },
    });
    expect(placedEdits(rig, [stand('isla', { xM: undefined, yM: undefined })])).toEqual([]);
  });
  it('moves nobody who is there already, by a centimetre', () => {
    const there = applied(rig, placedEdits(rig, [stand('isla')]));
    expect(placedEdits(there, [stand('isla')])).toEqual([]);
    expect(placedEdits(there, [stand('isla', { xM: 1.24 })])).toHaveLength(1);
    expect(placedEdits(there, [stand('isla', { inVehicleId: 'otter' })])).toHaveLength(1);
  });
});
