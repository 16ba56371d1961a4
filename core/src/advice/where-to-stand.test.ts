import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { judge, judgedCase } from '../judgement/judge.ts';
import { write } from '../quantity/format.ts';
import { zoneRoomM } from '../release/zones-of-rig.ts';
import { type Case, readRigFile } from '../rig/case.ts';
import type { Edit } from '../rig/edits.ts';
import type { Body } from '../rig/rig.ts';
import { applied } from '../rigging/fill-pieces.ts';
import { layouts } from '../testing/layouts.ts';
import type { Stand } from './answers.ts';
import { isInside, whereToStand } from './where-to-stand.ts';

const folder = new URL('../../../demo/plans/', import.meta.url);
function plan(name: string): Case {
  const file = readRigFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}
const person = (id: string, duty: string): Body => ({ id, kind: 'person', label: id, xM: 0, yM: 0, duty }) as Body;
const withBodies = (subject: Case, ...bodies: readonly Body[]): Case => ({
  ...subject,
  rig: { ...subject.rig, bodies: [...subject.rig.bodies, ...bodies] },
});
const crewOf = (subject: Case): Case =>
  withBodies(
    subject,
    person('w', 'drum-watcher'),
    person('d', 'driver'),
    person('h1', 'helper'),
    person('h2', 'helper'),
    person('b', 'bystander'),
  );

/** The rig with everybody where they were told to stand. */
function placed(subject: Case, stands: readonly Stand[]): Case {
  const edits = stands.flatMap(({ id, label, duty, xM, yM, inVehicleId }): readonly Edit[] =>
    xM === undefined || yM === undefined
      ? []
      : [{ kind: 'put', list: 'bodies', entry: { id, kind: 'person', label, duty, xM, yM, ...(inVehicleId && { inVehicleId }) } }],
  );
  return { ...subject, rig: applied(subject.rig, edits) };
}

const OF_PEOPLE = [
  'operator-in-zone',
  'person-in-zone',
  'operator-below-slide',
  'in-the-loads-way',
  'operator-out-of-reach',
  'below-what-runs',
];

const cases: readonly (readonly [string, () => Case])[] = [
  ...readdirSync(folder).map((name) => [name, () => plan(name)] as const),
  ...layouts.map(({ file, build }) => [file, build] as const),
];

describe('where everybody stands', () => {
  it.each(cases)('is judged safe on foot: %s', (_name, build) => {
    const subject = crewOf(build());
    const stands = whereToStand(judgedCase(subject));
    const onFoot = stands.filter(({ xM, inVehicleId }) => xM !== undefined && inVehicleId === undefined).map(({ id }) => id);
    expect(stands.length).toBeGreaterThan(5);
    const { findings } = judge(placed(subject, stands));
    const against = findings.filter(
      ({ code, undecided, subject: { id } }) => OF_PEOPLE.includes(code) && !undecided && onFoot.includes(id),
    );
    expect(against.map(({ id }) => id)).toEqual([]);
  });
  it('gives everybody a place of their own, and a sentence why', () => {
    const stands = whereToStand(judgedCase(crewOf(plan('bog-below-tarn-quarry.json'))));
    const onFoot = stands.filter(({ inVehicleId }) => inVehicleId === undefined);
    expect(onFoot.every(({ xM }) => xM !== undefined)).toBe(true);
    for (const [index, one] of onFoot.entries())
      for (const other of onFoot.slice(index + 1))
        expect(Math.hypot((one.xM ?? 0) - (other.xM ?? 0), (one.yM ?? 0) - (other.yM ?? 0))).toBeGreaterThanOrEqual(1.5);
    expect(stands.map(({ why }) => write(why)).every((words) => words.endsWith('.'))).toBe(true);
  });
  it('adds an operator and a signaller where nobody is one, and nobody where there are', () => {
    const bare = plan('bog-below-tarn-quarry.json');
    const alone = { ...bare, rig: { ...bare.rig, bodies: bare.rig.bodies.filter(({ kind }) => kind !== 'person') } };
    expect(whereToStand(judgedCase(alone)).map(({ duty, isNew }) => [duty, isNew])).toEqual([
      ['operator', true],
      ['signaller', true],
    ]);
    const both = withBodies(alone, person('o', 'operator'), person('s', 'signaller'));
    expect(whereToStand(judgedCase(both)).map(({ id, isNew }) => [id, isNew])).toEqual([
      ['o', false],
      ['s', false],
    ]);
  });
  it('puts the operator into the cab where no remote reaches outside, within its reach where one does', () => {
    const subject = plan('bog-below-tarn-quarry.json');
    const remote = (attributes: object): Case => ({
      ...subject,
      gear: subject.gear.map((piece) =>
        piece.kind === 'winch' ? ({ ...piece, attributes: { ...piece.attributes, ...attributes } } as typeof piece) : piece,
      ),
    });
    const operator = (of: Case) => whereToStand(judgedCase(of)).find(({ duty }) => duty === 'operator');
    const short = operator(remote({ control: 'lead', leadLengthM: 3 }));
    expect(short?.inVehicleId).toBe('vehicle');
    expect(write(short?.why ?? [])).toContain('In the cab');
    // Who sits in the cab has no side of the rope.
    const signaller = whereToStand(judgedCase(remote({ control: 'lead', leadLengthM: 3 }))).find(({ duty }) => duty === 'signaller');
    expect(write(signaller?.why ?? [])).toMatch(/^To one side, outside the line/);
    const long = operator(remote({ control: 'lead', leadLengthM: 60 }));
    expect(long?.inVehicleId).toBeUndefined();
    const cab = subject.rig.bodies.find(({ id }) => id === 'vehicle');
    expect(Math.hypot((long?.xM ?? 0) - (cab?.xM ?? 0), (long?.yM ?? 0) - (cab?.yM ?? 0))).toBeLessThanOrEqual(60);
  });
  it.each([0, Math.PI / 2, Math.PI, -Math.PI / 2])(
    'puts the signaller on the operator’s side of the rope, the slope going up to %d',
    (uphillRad) => {
      const bog = plan('bog-below-tarn-quarry.json');
      const subject: Case = {
        ...bog,
        rig: { ...bog.rig, ground: { slopeRad: 0.1, uphillRad }, bodies: bog.rig.bodies.filter(({ kind }) => kind !== 'person') },
        gear: bog.gear.map((piece) =>
          piece.kind === 'winch'
            ? ({ ...piece, attributes: { ...piece.attributes, control: 'lead', leadLengthM: 60 } } as typeof piece)
            : piece,
        ),
      };
      const judged = judgedCase(subject);
      const stands = whereToStand(judged);
      const [operator, signaller] = ['operator', 'signaller'].map((duty) => stands.find((stand) => stand.duty === duty));
      const { body } = judged.rig.load;
      const end = judged.rig.points
        .map((_, index) => judged.start.positions[index])
        .reduce((most, at) =>
          at && (!most || Math.hypot(at.x - body.xM, at.y - body.yM) > Math.hypot(most.x - body.xM, most.y - body.yM)) ? at : most,
        );
      const side = (stand: Stand | undefined) =>
        Math.sign(((end?.x ?? 0) - body.xM) * ((stand?.yM ?? 0) - body.yM) - ((end?.y ?? 0) - body.yM) * ((stand?.xM ?? 0) - body.xM));
      expect(operator?.inVehicleId).toBeUndefined();
      expect(side(signaller)).toBe(side(operator));
      expect(write(signaller?.why ?? [])).toContain('On the operator’s side of the rope');
    },
  );
  it('puts them uphill where there is a slope', () => {
    const subject = plan('bog-below-tarn-quarry.json');
    const on = (uphillRad: number): Case => ({ ...subject, rig: { ...subject.rig, ground: { slopeRad: 0.15, uphillRad } } });
    const north = whereToStand(judgedCase(on(0))).find(({ duty }) => duty === 'signaller');
    const south = whereToStand(judgedCase(on(Math.PI))).find(({ duty }) => duty === 'signaller');
    expect(north?.yM).toBeGreaterThan(south?.yM ?? 0);
  });
  it('puts a guard of the road on the track, past the line', () => {
    const subject = plan('bog-below-tarn-quarry.json');
    const track = {
      id: 't',
      kind: 'track' as const,
      label: 'the quarry track',
      points: [
        { xM: 6, yM: 0 },
        { xM: 6, yM: 120 },
      ],
    };
    const guarded = withBodies(
      { ...subject, rig: { ...subject.rig, features: [...(subject.rig.features ?? []), track] } },
      person('g', 'road-guard'),
    );
    const judged = judgedCase(guarded);
    const guard = whereToStand(judged).find(({ duty }) => duty === 'road-guard');
    expect(guard?.xM).toBeCloseTo(6, 6);
    expect(zoneRoomM(judged.start, { xM: guard?.xM ?? 0, yM: guard?.yM ?? 0 })).toBeGreaterThan(10);
    const ended = { ...track, points: [track.points[0], { xM: 6, yM: (guard?.yM ?? 0) - 3 }] } as typeof track;
    const short = withBodies({ ...subject, rig: { ...subject.rig, features: [ended] } }, person('g', 'road-guard'));
    expect(write(whereToStand(judgedCase(short)).find(({ duty }) => duty === 'road-guard')?.why ?? [])).toContain('do not come out');
    const without = whereToStand(judgedCase(withBodies(subject, person('g', 'road-guard')))).find(({ duty }) => duty === 'road-guard');
    expect(write(without?.why ?? [])).toContain('no track is drawn');
  });
});

describe('inside a line', () => {
  const square = [
    { xM: 0, yM: 0 },
    { xM: 4, yM: 0 },
    { xM: 4, yM: 4 },
    { xM: 0, yM: 4 },
  ];
  it('is what lies within, its border too', () => {
    expect(isInside(square, { xM: 2, yM: 2 })).toBe(true);
    expect(isInside(square, { xM: 4, yM: 2 })).toBe(true);
    expect(isInside(square, { xM: 4.001, yM: 2 })).toBe(false);
  });
});
