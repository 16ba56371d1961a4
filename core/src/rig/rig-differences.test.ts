import { expect, it } from 'vitest';
import { write } from '../quantity/format.ts';
import { clearLines, tieBack } from '../rigging/rigging.ts';
import { layouts } from '../testing/layouts.ts';
import { applyEdit, type Edit } from './edits.ts';
import type { Rig } from './rig.ts';
import { rigDifferences } from './rig-differences.ts';

const rig = layouts.find(({ file }) => file === 'redirect-plus-double')?.build().rig as Rig;
const changed = (...edits: readonly Edit[]) => edits.reduce((state, edit) => applyEdit(state, edit).rig, rig);
const told = (after: Rig) => rigDifferences(rig, after, (id) => id).map((text) => write(text));

it('says nothing where nothing changed', () => {
  expect(told(rig)).toEqual([]);
});
it.each([
  ['a body moved', changed({ kind: 'move-body', bodyId: 'oak', xM: 4, yM: 15 }), ['Oak moved 2.0 m']],
  ['a piece exchanged', changed({ kind: 'choose-piece', useId: 'at-oak.1', gearId: 'SS-9' }), ['SS-9 in place of SS-C as connector']],
  ['a piece taken out', changed({ kind: 'choose-piece', useId: 'at-oak.1', gearId: undefined }), ['SS-C taken out as connector']],
  ['the slope', changed({ kind: 'change-ground', ground: { slopeRad: 0.2, uphillRad: 0 } }), ['The slope of the ground changed']],
])('tells of %s', (_what, after, words) => {
  expect(told(after)).toEqual(words);
});
it('tells of bodies that came and went, of what they are like, and of lines that run otherwise', () => {
  const [oak] = rig.bodies.filter(({ id }) => id === 'oak');
  const [ash] = rig.bodies.filter(({ id }) => id === 'ash');
  const after = changed(
    { kind: 'remove', list: 'bodies', id: 'oak' },
    { kind: 'put', list: 'bodies', entry: { ...(oak as (typeof rig.bodies)[number]), id: 'rowan', label: 'Rowan' } },
    { kind: 'change-body', body: { ...(ash as (typeof rig.bodies)[number]), trunkDiameterM: 0.2 } as (typeof rig.bodies)[number] },
  );
  expect(told(after)).toEqual(['Oak is gone', 'Ash: trunk diameter changed', 'Rowan was added']);
  expect(told(clearLines(rig).reduce((state, edit) => applyEdit(state, edit).rig, rig))).toEqual(['The lines run otherwise: none is laid']);
  const [heron] = rig.bodies.filter(({ id }) => id === 'heron');
  expect(told(changed(...tieBack(rig, heron as (typeof rig.bodies)[number], ash as (typeof rig.bodies)[number])))).toEqual([
    'What ties a vehicle back changed',
  ]);
});
