import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { applyEdit, type Edit } from '../rig/edits.ts';
import type { Rig } from '../rig/rig.ts';
import { layouts } from '../testing/layouts.ts';
import { changeEdge, leadOver, plainEdges, takeOffEdge } from './plain-edges.ts';

const subject = layouts.find(({ file }) => file === 'led-under-the-vehicle')?.build();
if (!subject) throw new Error('no layout');
const heron = subject.rig.bodies.find(({ id }) => id === 'heron');
if (heron?.kind !== 'vehicle') throw new Error('no heron');
const lineOf = (rig: Rig) => {
  const [line] = rig.lines;
  if (!line) throw new Error('no line');
  return line;
};
const done = (rig: Rig, edits: readonly Edit[]) => edits.reduce((now, edit) => applyEdit(now, edit).rig, rig);
const judged = (rig: Rig) => judge({ ...subject, rig });

describe('parts of a vehicle that a line touches', () => {
  const part = { name: 'Front cross-member', forwardM: 1.6, heightM: 0.42, radiusM: 0.006 };
  const led = done(subject.rig, leadOver(subject.rig, lineOf(subject.rig), heron, part));
  it('come after the fairlead’s lip, where they lie and as round as they are', () => {
    expect(plainEdges(led).map(({ point, bend }) => [point.label, bend.radiusM])).toEqual([
      [subject.rig.points.find(({ id }) => id === 'round-fairlead')?.label, 0.04],
      ['Front cross-member', 0.006],
    ]);
    expect(led.points.at(-1)?.place).toEqual({ kind: 'on-vehicle', forwardM: 1.6, leftM: 0, heightM: 0.42 });
    expect(judged(led).strands).toHaveLength(judged(subject.rig).strands.length + 1);
  });
  it('take strength off the rope by their radius, and ask for it where nobody has measured', () => {
    const asks = (rig: Rig) =>
      judged(rig)
        .findings.filter(({ code }) => code === 'tight-bend')
        .map(({ undecided }) => undecided);
    expect(asks(led)).toContain(false);
    const [, edge] = plainEdges(led);
    if (!edge) throw new Error('no edge');
    const { radiusM: _, ...unmeasured } = edge.bend;
    expect(asks(done(led, changeEdge(edge, unmeasured)))).toContain(true);
    // A rope of 11 mm over 200 mm of radius, D/d 36, is bent no more than over a wide pulley.
    expect(asks(done(led, changeEdge(edge, { ...edge.bend, radiusM: 0.2 })))).toEqual(asks(subject.rig));
  });
  it('come off again with their point, and dampers stay on their strands', () => {
    const strands = judged(led).strands.length;
    const damped: Rig = { ...led, dampers: [{ id: 'd', lineId: lineOf(led).id, strand: strands - 1, gearId: 'LD-A' }] };
    const [, edge] = plainEdges(damped);
    if (!edge) throw new Error('no edge');
    const off = done(damped, takeOffEdge(damped, edge));
    expect(off.points).toEqual(subject.rig.points);
    expect(off.lines).toEqual(subject.rig.lines);
    expect(off.dampers).toMatchObject([{ strand: strands - 2 }]);
    const again = done(off, leadOver(off, lineOf(off), heron, part));
    expect(again.dampers).toMatchObject([{ strand: strands - 1 }]);
  });
});
