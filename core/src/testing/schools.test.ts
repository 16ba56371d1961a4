import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { policyFaults } from '../judgement/policy-faults.ts';
import { carefulSchools, type Schools } from '../policy/schools.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Case } from '../rig/case.ts';
import type { VehicleBody } from '../rig/rig.ts';
import {
  attributes,
  body,
  type Change,
  changed,
  facts,
  gear,
  layoutCase,
  load,
  marks,
  person,
  policy,
  rig,
  situation,
  swap,
} from './changes.ts';
import { mark, piece } from './example-case.ts';
import { kitGear } from './kit-gear.ts';

const school = (part: Partial<Schools>): Change => policy((before) => ({ schools: { ...before.schools, ...part } }));
const codes = (subject: Case) => judge(subject).findings.map(({ code }) => code);
const steel = kitGear.find(({ id }) => id === 'SH-A') as (typeof kitGear)[number];
const hook = piece({
  id: 'HK-1',
  kind: 'winch-hook',
  marks: [mark('WLL 6 t'), mark('MBS 30 t')],
  attributes: { throatM: 0.04, reachM: 0.12, latch: 'sprung' },
});
const ratchet = (...texts: readonly string[]) =>
  swap('back.2', piece({ id: 'LS-1', kind: 'load-securing-strap', marks: texts.map((text) => mark(text)), attributes: { lengthM: 9 } }));
const allowed: Partial<Schools> = { securingStrapAsLastResort: true };
const none: Change = (subject) => subject;
const weak = marks('CL-A', 'WLL 0.5 t', 'MBS 2 t');

/** Every row of the table of disagreements that a finding shows: without it, with it, and the finding that comes or goes. */
const ROWS: readonly (readonly [
  words: string,
  layout: string,
  change: Change,
  way: Partial<Schools>,
  code: string,
  found: 'comes' | 'goes',
])[] = [
  [
    'the estimate alone leaves the greatest pull unlooked at',
    'single-line-to-a-vehicle',
    weak,
    { check: 'estimate' },
    'over-breaking-margin',
    'goes',
  ],
  ['and says so', 'single-line-to-a-vehicle', weak, { check: 'estimate' }, 'one-check-only', 'comes'],
  [
    'the greatest pull alone leaves the estimate unlooked at',
    'single-line-to-a-vehicle',
    weak,
    { check: 'greatest' },
    'over-limit',
    'goes',
  ],
  [
    'one damper a line is enough',
    'double-line-self-recovery',
    changed(
      gear('D-A'),
      rig(({ dampers }) => ({ dampers: [...dampers, { id: 'd', lineId: 'line', strand: 0, gearId: 'D-A' }] })),
    ),
    { dampers: 'one-a-line' },
    'no-damper',
    'goes',
  ],
  [
    'the operator belongs in the cab',
    'single-line-to-a-vehicle',
    person('Kit', -9, 9),
    { operatorPlace: 'cab' },
    'operator-elsewhere',
    'comes',
  ],
  [
    'the operator belongs outside',
    'single-line-to-a-vehicle',
    person('Kit', 0, 0, { inVehicleId: 'heron' }),
    { operatorPlace: 'outside' },
    'operator-elsewhere',
    'comes',
  ],
  ['the winch does it all', 'single-line-to-a-vehicle', load({ drivesAlong: true }), { wheelsHelp: 'never' }, 'wheels-help', 'comes'],
  [
    'a strap is joined by a steel shackle',
    'single-line-to-an-anchor',
    none,
    { strapJoinedBy: 'steel-shackle' },
    'not-the-teams-way',
    'comes',
  ],
  [
    'a strap is joined by either',
    'single-line-to-an-anchor',
    swap('at-larch.1', steel),
    { strapJoinedBy: 'either' },
    'not-the-teams-way',
    'goes',
  ],
  ['connectors are soft', 'single-line-to-a-vehicle', swap('at-otter.1', steel), { connectors: 'soft' }, 'not-the-teams-way', 'comes'],
  ['connectors are metal', 'single-line-to-a-vehicle', none, { connectors: 'metal' }, 'not-the-teams-way', 'comes'],
  ['a hook will do', 'single-line-to-a-vehicle', swap('at-otter.2', hook), { lineEnd: 'hook-or-closed' }, 'not-the-teams-way', 'goes'],
  [
    'a factory hook is for rolling vehicles',
    'back-anchored-to-a-tree',
    attributes('VP-A', { pointKind: 'factory-hook' }),
    { factoryHook: 'rolling-only' },
    'forbidden-point',
    'comes',
  ],
  ['no chain at all', 'back-anchored-to-vehicles', none, { chain: 'never' }, 'chain-in-line', 'comes'],
  ['rings', 'redirect-round-a-corner', none, { pulley: 'ring' }, 'not-the-teams-way', 'comes'],
  ['blocks', 'double-line-self-recovery', none, { pulley: 'block' }, 'not-the-teams-way', 'comes'],
  [
    'an axle as a last resort is refused no more',
    'single-line-to-a-vehicle',
    attributes('VP-A', { pointKind: 'axle-tube' }),
    { axleAsLastResort: true },
    'forbidden-point',
    'goes',
  ],
  [
    'but is one',
    'single-line-to-a-vehicle',
    attributes('VP-A', { pointKind: 'axle-tube' }),
    { axleAsLastResort: true },
    'last-resort-point',
    'comes',
  ],
  [
    'a ball mount as a last resort likewise',
    'single-line-to-a-vehicle',
    attributes('VP-A', { pointKind: 'tow-ball' }),
    { ballMountAsLastResort: true },
    'forbidden-point',
    'goes',
  ],
  [
    'a strap’s eye on the cross-pin of a receiver too',
    'single-line-to-a-vehicle',
    attributes('VP-A', { pointKind: 'receiver-pin' }),
    { receiverPinAsLastResort: true },
    'forbidden-point',
    'goes',
  ],
  [
    'and that is one',
    'single-line-to-a-vehicle',
    attributes('VP-A', { pointKind: 'receiver-pin' }),
    { receiverPinAsLastResort: true },
    'last-resort-point',
    'comes',
  ],
  ['a load-securing strap is refused', 'back-anchored-to-a-tree', ratchet('WLL 2.5 t'), allowed, 'load-securing-strap', 'goes'],
  [
    'and is a last resort where the team says so',
    'back-anchored-to-a-tree',
    ratchet('WLL 2.5 t'),
    allowed,
    'securing-strap-last-resort',
    'comes',
  ],
];

describe('where practitioners disagree', () => {
  it.each(ROWS)('%s (%s)', (_words, file, change, way, code, found) => {
    const subject = change(layoutCase(file));
    const [before, after] = [codes(subject), codes(school(way)(subject))];
    expect(before.includes(code)).toBe(found === 'goes');
    expect(after.includes(code)).toBe(found === 'comes');
  });
  it('a load-securing strap taken as a last resort goes by its marked working limit, and one without it stays refused', () => {
    const of = (...texts: readonly string[]) =>
      codes(changed(ratchet(...texts), school(allowed))(layoutCase('back-anchored-to-a-tree'))).filter((code) =>
        ['load-securing-strap', 'securing-strap-last-resort', 'over-limit'].includes(code),
      );
    expect(of('WLL 2.5 t')).toEqual(['securing-strap-last-resort']);
    expect(of('WLL 0.5 t')).toEqual(['over-limit', 'securing-strap-last-resort']);
    expect(of('MBS 10 t')).toEqual(['load-securing-strap', 'securing-strap-last-resort']);
    // It lies straight; round a trunk it serves no team.
    const round = changed(ratchet('WLL 2.5 t'), swap('back.0', 'LS-1'), school(allowed))(layoutCase('back-anchored-to-a-tree'));
    expect(codes(round)).toContain('cannot-serve-here');
  });
  it.each(['axle-tube', 'tow-ball', 'receiver-pin'])(
    'no run-up on a point of the kind %s, though the team takes it as a last resort',
    (pointKind) => {
      const way = { axleAsLastResort: true, ballMountAsLastResort: true, receiverPinAsLastResort: true };
      expect(codes(changed(attributes('VP-B', { pointKind }), school(way))(layoutCase('stretch-pull')))).toContain(
        'run-up-on-judged-point',
      );
    },
  );
  it('a whole layer stays on the drum: 224 mm of 11 mm rope are 20 wraps', () => {
    const wraps = (subject: Case) => judge(subject).drum.wrapsWanted;
    expect(wraps(layoutCase('single-line-to-a-vehicle'))).toBe(10);
    expect(wraps(school({ wraps: 'full-layer' })(layoutCase('single-line-to-a-vehicle')))).toBe(20);
    expect(
      wraps(changed(school({ wraps: 'full-layer' }), attributes('W-A', { reserveWraps: 7 }))(layoutCase('single-line-to-a-vehicle'))),
    ).toBe(7);
  });
  it('the estimate planned on is the highest, or the one that the team goes by; stuck to a depth it is that of the depth', () => {
    const pull = (subject: Case) => judge(subject).pullN ?? Number.NaN;
    const own = layoutCase('single-line-to-a-vehicle');
    const methods = judge(own).effort?.methods ?? [];
    const by = (id: string) => 1.25 * (methods.find((entry) => entry.id === id)?.pullN ?? Number.NaN);
    expect(pull(own)).toBeCloseTo(Math.max(by('fractions'), by('physics')), 6);
    expect(pull(school({ estimate: 'physics' })(own))).toBeCloseTo(by('physics'), 6);
    expect(pull(school({ estimate: 'fractions' })(own))).toBeCloseTo(by('fractions'), 6);
    const stuck = situation({ depth: 'hubs' })(own);
    expect(pull(school({ estimate: 'physics' })(stuck))).toBeCloseTo(pull(stuck), 6);
  });
  it('a winch is asked for by the kind of machine: 1.5 × its weight, and 2.5 × up to the mass of a small one', () => {
    // 25 kN of winch: 2.5 × the weight of 1,020 kg.
    const small = (massKg: number, limitKg: number) =>
      codes(
        changed(
          marks('W-A', '25 kN'),
          facts('W-A', { marks: [mark('25 kN', 'stamped', 'rated-pull')] }),
          body('otter', { massKg } as Partial<VehicleBody>),
          policy((before) => ({ winch: { ...before.winch, smallMachineKg: { value: limitKg, source: 'test' } } })),
        )(layoutCase('single-line-to-a-vehicle')),
      ).includes('winch-small');
    expect([small(1010, 1010), small(1030, 1030), small(1030, 1029)]).toEqual([false, true, false]);
    expect([small(1690, 600), small(1710, 600)]).toEqual([false, true]);
  });
  it('stretch ropes looped through each other are refused where the team wants a shackle', () => {
    const loops = rig(({ lines }) => ({
      lines: lines.map((line) => ({ ...line, ropes: line.ropes.filter(({ role }) => role !== 'connector') })),
    }))(layoutCase('stretch-pull-joined'));
    const own = (subject: Case) => judge(subject).findings.find(({ code }) => code === 'interlaced-without-spacer')?.undecided;
    expect([own(loops), own(school({ stretchJoinedBy: 'soft-shackle' })(loops))]).toEqual([true, false]);
  });
  it('what only a question or a step can show is in their words', () => {
    const data = (subject: Case, code: string) => judge(subject).findings.find((finding) => finding.code === code)?.data;
    const shackled = swap('at-otter.1', steel)(layoutCase('single-line-to-a-vehicle'));
    expect(data(shackled, 'pin-side')).toMatchObject({ back: '' });
    expect(data(school({ pinBackOff: 'eighth-turn' })(shackled), 'pin-side')).toMatchObject({ back: ', turned back an eighth of a turn' });
    expect(data(layoutCase('single-line-to-a-vehicle'), 'held-on-park')).toMatchObject({ park: false });
    expect(data(school({ winchHeldBy: 'park-and-brakes' })(layoutCase('single-line-to-a-vehicle')), 'held-on-park')).toMatchObject({
      park: true,
    });
    expect(data(layoutCase('stretch-pull'), 'rest-too-short')).toMatchObject({ minutes: 5 });
  });
  it('the default of each is the careful reading, and none of them softens what no team may', () => {
    expect(teamStandard.schools).toEqual(carefulSchools);
    expect(policyFaults({ ...teamStandard, severities: { 'rope-too-short': 'caution' } })).toHaveLength(1);
  });
});
