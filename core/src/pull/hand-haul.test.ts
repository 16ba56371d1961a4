import { describe, expect, it } from 'vitest';
import { judgedCase, judgedStart } from '../judgement/judge.ts';
import { pullReport } from '../judgement/report/pull-report.ts';
import type { Case } from '../rig/case.ts';
import { layouts } from '../testing/layouts.ts';
import { handHauls } from './hand-haul.ts';

function layout(file: string, change: (rig: Case['rig']) => Case['rig'] = (rig) => rig): Case {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  const subject = found.build();
  return { ...subject, rig: change(subject.rig) };
}

const going = (travelM: number) => (rig: Case['rig']) => ({ ...rig, load: { ...rig.load, travelM } });
const only = (subject: Case) => {
  const [haul, ...more] = handHauls(judgedCase(subject));
  if (!haul || more.length > 0) throw new Error('not one haul by hand');
  return haul;
};

describe('a haul by hand', () => {
  it('takes in three metres of rope for each of a compound from the ground, four with both fixed ends at an anchor, one over a redirect', () => {
    const ropePerM = (file: string) => {
      const { throws } = only(layout(file));
      const [one] = throws;
      return one ? one.ropeM / (one.toM - one.fromM) : undefined;
    };
    // A little less than the advantage, since the ropes stand a little apart.
    expect(ropePerM('compound-by-hand')).toBeCloseTo(3, 1);
    expect(ropePerM('compound-at-a-separate-anchor')).toBeCloseTo(3.95, 1);
    expect(ropePerM('held-by-a-grip')).toBeCloseTo(1, 1);
  });
  it('counts people by what one pulls, up to the next whole one, and shares the pull among those who are there', () => {
    const { people, neededPeople, eachN } = only(layout('compound-by-hand'));
    expect(people).toBe(6);
    expect(neededPeople).toBe(2);
    expect(6 * (eachN ?? 0)).toBeGreaterThan(500);
    expect(6 * (eachN ?? 0)).toBeLessThan(1000);
  });
  it('says that nobody stands at the rope, and then what no one pulls', () => {
    const haul = only(
      layout('compound-by-hand', (rig) => ({
        ...rig,
        bodies: rig.bodies.map((body) => (body.kind === 'crew' ? { ...body, people: 1 } : body)),
      })),
    );
    expect(haul.people).toBe(1);
    expect(haul.eachN).toBeGreaterThan(500);
    expect(haul.neededPeople).toBe(2);
  });
  it('goes in throws where its grips come to the end of their way, each beginning where the one before ended', () => {
    const subject = layout('compound-with-one-rope', going(16));
    const judged = judgedCase(subject);
    const { throws, minutes } = only(subject);
    expect(judged.resets).toBeGreaterThan(0);
    expect(throws).toHaveLength(judged.resets + 1);
    expect(throws[0]?.fromM).toBe(0);
    for (const [index, { fromM }] of throws.entries()) if (index > 0) expect(fromM).toBe(throws[index - 1]?.toM);
    expect(throws.at(-1)?.toM).toBeCloseTo(judged.end.atM, 6);
    const resetsAt = judged.events.filter(({ kind }) => kind === 'grip-moved').map(({ atM }) => atM);
    expect(throws.slice(1).map(({ fromM }) => fromM)).toEqual(resetsAt);
    // At 5 m of rope a minute, and 2 minutes to move the grips back.
    const ropeM = throws.reduce((sum, entry) => sum + entry.ropeM, 0);
    expect(ropeM).toBeGreaterThan(2.9 * judged.end.atM);
    expect(minutes).toBeCloseTo(ropeM / 5 + 2 * judged.resets, 9);
    expect(pullReport(judged).haulMin).toBe(minutes);
  });
  it('has no throws where nobody has said how far', () => {
    const subject = layout('compound-by-hand', ({ load: { travelM: _, ...load }, ...rig }) => ({ ...rig, load }));
    const [haul] = handHauls(judgedStart(subject));
    expect(haul?.throws).toEqual([]);
    expect(haul?.minutes).toBeUndefined();
    expect(haul?.neededPeople).toBe(2);
  });
  it('names the grip that holds the load when hands let go, not one that travels', () => {
    expect(only(layout('held-by-a-grip')).heldBy).toEqual(['holding.2']);
    expect(only(layout('compound-with-one-rope')).heldBy).toEqual([]);
    expect(only(layout('compound-by-hand')).heldBy).toEqual([]);
  });
  it('tells the rope that it needs where most of it is out, and the rope that is there', () => {
    const { neededM, ropeM } = only(layout('held-by-a-grip'));
    // From the hands to the ring at the oak, 3 m before it, and back to the nose: a little over 18 and 14 m.
    expect(neededM).toBeCloseTo(32.2, 1);
    expect(ropeM).toBe(60);
    const unknown = layout('held-by-a-grip');
    const bare = unknown.gear.map((piece) =>
      piece.id === 'HR-1' ? { ...piece, attributes: { ...piece.attributes, lengthM: undefined } } : piece,
    );
    expect(only({ ...unknown, gear: bare as Case['gear'] }).ropeM).toBeUndefined();
  });
  it('is none where a winch drives', () => {
    expect(handHauls(judgedCase(layout('compound-by-winch')))).toEqual([]);
  });
});
