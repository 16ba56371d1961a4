import { describe, expect, it } from 'vitest';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit } from '../rig/edits.ts';
import type { Body, Rig, VehicleBody } from '../rig/rig.ts';
import { exampleCase, mark, piece } from '../testing/example-case.ts';
import { kitGear } from '../testing/kit-gear.ts';
import { layouts } from '../testing/layouts.ts';
import { judge } from './judge.ts';
import { counted } from './report/finding.ts';
import { rules } from './rules/rule-list.ts';

type Change = (subject: Case) => Case;

const layout = (file: string): Case => {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return found.build();
};
const rig =
  (change: (rig: Rig) => Partial<Rig>): Change =>
  (subject) => ({ ...subject, rig: { ...subject.rig, ...change(subject.rig) } });
const body = (id: string, change: object): Change =>
  rig(({ bodies }) => ({ bodies: bodies.map((entry) => (entry.id === id ? ({ ...entry, ...change } as Body) : entry)) }));
const add = (extra: Body): Change => rig(({ bodies }) => ({ bodies: [...bodies, extra] }));
const attributes =
  (id: string, change: object): Change =>
  (subject) => ({
    ...subject,
    gear: subject.gear.map((facts) =>
      facts.id === id ? ({ ...facts, attributes: { ...facts.attributes, ...change } } as GearFacts) : facts,
    ),
  });
const marks =
  (id: string, text: string): Change =>
  (subject) => ({
    ...subject,
    gear: subject.gear.map((facts) => (facts.id === id ? { ...facts, marks: [mark(text)] } : facts)),
  });
const answer = (id: string, given: 'yes' | 'no'): Change => rig(({ answers }) => ({ answers: { ...answers, [id]: given } }));
const gear =
  (...ids: readonly string[]): Change =>
  (subject) => ({ ...subject, gear: [...subject.gear, ...kitGear.filter(({ id }) => ids.includes(id))] });
const swap =
  (useId: string, gearId: string): Change =>
  (subject) =>
    gear(gearId)(
      rig(({ chains, lines }) => ({
        chains: chains.map((chain) => ({ ...chain, pieces: chain.pieces.map((use) => (use.id === useId ? { ...use, gearId } : use)) })),
        lines: lines.map((line) => ({ ...line, ropes: line.ropes.map((use) => (use.id === useId ? { ...use, gearId } : use)) })),
      }))(subject),
    );
const policy =
  (change: Partial<Policy>): Change =>
  (subject) => ({ ...subject, policy: { ...subject.policy, ...change } });
const both =
  (...changes: readonly Change[]): Change =>
  (subject) =>
    changes.reduce((result, change) => change(result), subject);
const person = (xM: number, yM: number, extra: object = {}): Body => ({
  id: 'pim',
  kind: 'person',
  label: 'Pim',
  xM,
  yM,
  duty: 'operator',
  practised: true,
  ...extra,
});
const same: Change = (subject) => subject;
const engine = (running: boolean): Change => rig(() => ({ engine: { running } }));
const slippery: Change = body('heron', { stance: { ground: 'mud', brakes: 'all' } });
const noTrack = ({ trackM: _track, ...rest }: VehicleBody): VehicleBody => rest;
const jack = piece({ id: 'JK-1', kind: 'lifting-jack', marks: [], attributes: {} });

/** Each rule on rigs of any layout: where it is silent, and a change that makes it speak; a question mark: it asks. */
/** A feature of the site across the map at some distance east. */
const across = (kind: 'obstacle' | 'edge', xM: number): Change =>
  rig(() => ({
    features: [
      {
        id: 'wall',
        kind,
        label: 'the wall',
        points: [
          { xM, yM: -9 },
          { xM, yM: 9 },
        ],
      },
    ],
  }));

/** A rock so far ahead of the load and to its left, metres, at the start of its way. */
const ahead = (forwardM: number, leftM: number): Change =>
  rig(({ bodies, load }) => {
    const on = bodies.find(({ id }) => id === load.bodyId) as VehicleBody;
    const [sine, cosine] = [Math.sin(on.headingRad), Math.cos(on.headingRad)];
    const rock: Body = {
      id: 'rock',
      kind: 'rock',
      label: 'Rock',
      xM: on.xM + forwardM * sine - leftM * cosine,
      yM: on.yM + forwardM * cosine + leftM * sine,
      diameterM: 0.6,
    };
    return { bodies: [...bodies, rock] };
  });
const helperAt = (xM: number, yM: number, extra: object = {}): Change =>
  add({ id: 'helper', kind: 'person', label: 'Helper', duty: 'helper', xM, yM, ...extra } as Body);
const parkedBelow: Change = (subject) => {
  const heron = subject.rig.bodies.find(({ id }) => id === 'heron') as VehicleBody;
  return add({ ...heron, id: 'van', label: 'Van', xM: 1, yM: -30 })(subject);
};
const runUp = (speedMPerS: number, slackM: number): Change =>
  rig(({ lines }) => ({
    lines: lines.map((line) => (line.drive.kind === 'tow' ? { ...line, drive: { ...line.drive, runUp: { speedMPerS, slackM } } } : line)),
  }));
const turned = (deg: number): Change =>
  rig(({ bodies, load }) => ({
    bodies: bodies.map((entry) =>
      entry.id === load.bodyId ? ({ ...entry, headingRad: (entry as VehicleBody).headingRad + (deg * Math.PI) / 180 } as Body) : entry,
    ),
  }));
const damped = (travelM: number): Change =>
  rig(({ load }) => ({ load: { ...load, travelM }, dampers: [{ id: 'd', lineId: 'line', strand: 0, gearId: 'DM-1' }] }));
const judgedPoint = (useId: string): Change =>
  rig(({ chains }) => ({
    chains: chains.map((chain) => ({
      ...chain,
      pieces: chain.pieces.map((use) =>
        use.id === useId
          ? { ...use, judged: { workingN: 2e4, failingN: 4e4, person: 'Test', on: '2026-01-01', reason: 'looks stout' } }
          : use,
      ),
    })),
  }));
const steep = (slopeRad: number, uphillRad = 0.09): Change => rig(() => ({ ground: { slopeRad, uphillRad } }));

const CASES: readonly (readonly [string, string, Change, Change])[] = [
  [
    'anchor-creep',
    'ground-anchor',
    rig(({ bodies }) => ({
      bodies: bodies.map((entry) => (entry.id === 'anchor' ? ({ ...entry, kind: 'structure' } as unknown as Body) : entry)),
    })),
    same,
  ],
  [
    'anchor-unrated',
    'ground-anchor',
    same,
    (subject) => ({ ...subject, gear: subject.gear.map((facts) => (facts.id === 'GA-1' ? { ...facts, marks: [] } : facts)) }),
  ],
  [
    'deadman-log',
    'ground-anchor',
    same,
    rig(({ bodies }) => ({
      bodies: bodies.map((entry) =>
        entry.id === 'anchor'
          ? ({ id: 'anchor', kind: 'deadman', label: 'Buried log', xM: 14, yM: 4.5, lengthM: 2, faceHeightM: 0.3, depthM: 1.4 } as Body)
          : entry,
      ),
    })),
  ],
  [
    'back-anchor-stretches',
    'back-anchored-to-a-tree',
    same,
    both(
      gear('KR-A'),
      rig(({ backAnchors = [] }) => ({
        backAnchors: backAnchors.map((anchor) => ({
          ...anchor,
          pieces: anchor.pieces.map((use, order) => (order === 2 ? { ...use, gearId: 'KR-A' } : use)),
        })),
      })),
    ),
  ],
  ['battery-low', 'double-line-self-recovery', same, attributes('W-A', { batteryAh: 4, alternatorA: 20 })],
  ['battery-low?', 'double-line-self-recovery', same, attributes('W-A', { batteryAh: undefined })],
  ['burst-shortened', 'double-line-self-recovery', same, attributes('W-A', { noLoadCurrentA: 900, fullLoadCurrentA: 6000 })],
  ['burst-shortened?', 'double-line-self-recovery', same, attributes('W-A', { fullLoadCurrentA: undefined })],
  ['cut-off-out-of-reach?', 'double-line-self-recovery', answer('cut-off-out-of-reach.rig', 'yes'), same],
  [
    'cut-off-out-of-reach',
    'double-line-self-recovery',
    answer('cut-off-out-of-reach.rig', 'yes'),
    answer('cut-off-out-of-reach.rig', 'no'),
  ],
  ['engine-off?', 'double-line-self-recovery', engine(true), same],
  ['engine-off', 'double-line-self-recovery', engine(true), engine(false)],
  ['grip-slips', 'held-by-a-grip', same, attributes('PL-A', { slipLoadN: 20 })],
  ['grip-slips?', 'held-by-a-grip', same, attributes('PL-A', { slipLoadN: undefined })],
  ['hand-too-few', 'compound-by-hand', same, body('crew', { people: 1 })],
  ['held-on-park?', 'single-line-to-a-vehicle', answer('held-on-park.rig', 'yes'), same],
  ['held-on-park', 'single-line-to-a-vehicle', answer('held-on-park.rig', 'yes'), answer('held-on-park.rig', 'no')],
  [
    'jack-without-stand?',
    'double-line-self-recovery',
    same,
    (subject) => rig(() => ({ tools: ['JK-1'] }))({ ...subject, gear: [...subject.gear, jack] }),
  ],
  [
    'lanyard-fixed',
    'lanyard-on-a-moving-line',
    same,
    rig(({ lanyards = [] }) => ({ lanyards: lanyards.map((entry) => ({ ...entry, to: { kind: 'point', pointId: 'low-on-oak' } })) })),
  ],
  ['lanyard-too-short', 'lanyard-to-a-fixed-anchor', same, attributes('LY-1', { lengthM: 0.4 })],
  ['lanyard-too-short?', 'lanyard-to-a-fixed-anchor', same, attributes('LY-1', { lengthM: undefined })],
  ['lanyard-too-weak', 'lanyard-on-a-moving-line', marks('LY-1', 'MBS 400 t'), marks('LY-1', 'MBS 0.4 t')],
  ['lanyard-too-weak?', 'lanyard-on-a-moving-line', marks('LY-1', 'MBS 400 t'), attributes('SB-A', { massKg: undefined })],
  [
    'line-over-edge?',
    'single-line-to-a-vehicle',
    same,
    rig(({ lines, points }) => ({
      points: [...points, { id: 'lip', bodyId: 'lip', label: 'lip', place: { kind: 'at-height', heightM: 1 } }],
      lines: lines.map((line) => ({ ...line, via: [{ kind: 'edge', pointId: 'lip', bend: 'synthetic-on-steel' }] })),
    })),
  ],
  ['line-under-vehicle?', 'led-under-the-vehicle', answer('line-under-vehicle.line.1', 'yes'), same],
  // Otter comes west along its line with its front 2.3 m ahead of it: a post 4.2 m ahead of its middle and 0.8 m off is in its way.
  ['load-reaches-anchor', 'single-line-to-a-vehicle', same, ahead(4.2, 0.8)],
  ['metal-between-stretch', 'stretch-pull-joined', same, swap('line.rope.1', 'SH-A')],
  [
    'may-tip',
    'single-line-to-a-vehicle',
    same,
    both(
      body('otter', { headingRad: 5.35 }),
      rig(({ load }) => ({ chosenPull: { pullN: 8000, person: 'Test', reason: 'cell' }, load: { ...load, travelM: 0.1 } })),
      body('otter', { massKg: 900 }),
    ),
  ],
  [
    'may-tip?',
    'single-line-to-a-vehicle',
    same,
    both(
      body('otter', { headingRad: 5.35 }),
      rig(({ bodies }) => ({
        bodies: bodies.map((entry) => (entry.kind === 'vehicle' ? noTrack(entry) : entry)),
        chosenPull: { pullN: 8000, person: 'Test', reason: 'cell' },
      })),
      body('otter', { massKg: 900 }),
    ),
  ],
  [
    'tips',
    'single-line-to-a-vehicle',
    same,
    both(
      body('otter', { headingRad: 5.35, massKg: 900 }),
      rig(() => ({ chosenPull: { pullN: 14_000, person: 'Test', reason: 'cell' } })),
    ),
  ],
  ['tips-at-greatest', 'single-line-to-a-vehicle', same, body('otter', { headingRad: 4.0, massKg: 900 })],
  ['no-chocks?', 'single-line-to-a-vehicle', answer('no-chocks.rig', 'yes'), same],
  ['no-chocks', 'single-line-to-a-vehicle', answer('no-chocks.rig', 'yes'), answer('no-chocks.rig', 'no')],
  ['no-signaller', 'single-line-to-a-vehicle', same, add(person(-30, -30))],
  ['not-practised', 'single-line-to-a-vehicle', add(person(-30, -30)), add(person(-30, -30, { practised: false }))],
  ['not-practised?', 'single-line-to-a-vehicle', add(person(-30, -30)), add(person(-30, -30, { practised: undefined }))],
  ['opening-too-narrow', 'ground-anchor', same, attributes('CL-A', { thicknessM: 0.04 })],
  ['opening-too-narrow?', 'ground-anchor', same, attributes('SH-A', { insideWidthM: undefined })],
  ['operator-in-zone', 'single-line-to-a-vehicle', add(person(8, 2, { inVehicleId: 'heron' })), add(person(8, 2))],
  ['operator-not-placed?', 'single-line-to-a-vehicle', add(person(0, 0, { inVehicleId: 'heron' })), same],
  ['operator-not-placed', 'single-line-to-a-vehicle', add(person(0, 0, { inVehicleId: 'heron' })), answer('operator-not-placed.rig', 'no')],
  ['operator-out-of-reach', 'single-line-to-a-vehicle', add(person(-6, -6)), add(person(-30, -30))],
  [
    'operator-out-of-reach?',
    'single-line-to-a-vehicle',
    add(person(-6, -6)),
    both(add(person(-6, -6)), attributes('W-A', { control: undefined })),
  ],
  [
    'soft-on-sharp-edge?',
    'single-line-to-an-anchor',
    same,
    rig(({ bodies, points }) => ({
      bodies: bodies.map((entry) =>
        entry.id === 'larch' ? { id: 'larch', kind: 'rock', label: 'Boulder', xM: entry.xM, yM: entry.yM, diameterM: 0.8 } : entry,
      ),
      points: points.map((point) => (point.bodyId === 'larch' ? { ...point, place: { kind: 'at-height', heightM: 0.3 } } : point)),
    })),
  ],
  [
    'operator-below-slide',
    'single-line-to-a-vehicle',
    both(slippery, add(person(-9, 9))),
    both(slippery, add(person(7, 1.4, { shelter: 'wall' }))),
  ],
  // Straight down the fall of the ground, 12 m of slide and its half width with room beside: 14 m on it is past him.
  [
    'operator-below-slide',
    'single-line-to-a-vehicle',
    both(slippery, add(person(14, 2.5, { shelter: 'wall' }))),
    both(slippery, add(person(11.5, 2, { shelter: 'wall' }))),
  ],
  ['owner-not-told?', 'single-line-to-a-vehicle', answer('owner-not-told.rig', 'yes'), same],
  [
    'parallel-straps',
    'fixed-bridle',
    same,
    both(
      gear('ST-A', 'ST-B'),
      rig(({ chains, joints = [] }) => ({
        joints: [...joints, { id: 'mid', label: 'mid' }],
        chains: [
          ...chains.map((chain) => (chain.id === 'at-apex' ? { ...chain, from: { kind: 'joint' as const, jointId: 'mid' } } : chain)),
          {
            id: 'p1',
            from: { kind: 'joint', jointId: 'apex' },
            to: { kind: 'joint', jointId: 'mid' },
            pieces: [{ id: 'p1.0', role: 'strap', gearId: 'ST-A' }],
          },
          {
            id: 'p2',
            from: { kind: 'joint', jointId: 'apex' },
            to: { kind: 'joint', jointId: 'mid' },
            pieces: [{ id: 'p2.0', role: 'strap', gearId: 'ST-A' }],
          },
        ],
      })),
    ),
  ],
  ['line-crosses-obstacle', 'single-line-to-a-vehicle', across('obstacle', 40), across('obstacle', 8)],
  ['line-over-lip?', 'single-line-to-a-vehicle', across('edge', 40), across('edge', 8)],
  ['person-in-zone', 'single-line-to-a-vehicle', add(person(60, 60, { duty: 'bystander' })), add(person(8, 2, { duty: 'bystander' }))],
  ['respool-too-light', 'spooling-under-tension', same, body('badger', { massKg: 1200 })],
  ['rest-too-short?', 'stretch-pull', answer('rest-too-short.rig', 'yes'), same],
  ['shared-drives', 'single-line-to-a-vehicle', same, () => layout('two-winches')],
  ['slack-leg', 'fixed-bridle', same, both(gear('TR-1'), swap('leg-left.2', 'TR-1'))],
  ['soft-shackle-does-not-pass', 'double-line-self-recovery', same, attributes('RR-A', { boreDiameterM: 0.02 })],
  ['soft-shackle-does-not-pass?', 'double-line-self-recovery', same, attributes('RR-A', { boreDiameterM: undefined })],
  ['splice-reaches-pulley', 'extension-in-the-return-leg', same, rig(({ load }) => ({ load: { ...load, travelM: 5 } }))],
  ['static-with-run-up', 'stretch-pull', same, swap('line.rope.0', 'TR-1')],
  ['stretch-not-allowed', 'stretch-pull', same, policy({ stretch: { ...teamStandard.stretch, allowed: false } })],
  ['stretch-pulls-used-up', 'stretch-pull', same, attributes('KR-A', { pullsUsed: 50 })],
  ['stretch-pulls-used-up?', 'stretch-pull', same, attributes('KR-A', { pullsUsed: undefined })],
  ['stretch-too-stiff', 'stretch-pull', same, marks('KR-A', 'MBS 40 t')],
  ['stretch-too-weak', 'stretch-pull', same, marks('KR-A', 'MBS 4 t')],
  [
    'throat-too-narrow',
    'single-line-to-a-vehicle',
    same,
    (subject) =>
      swap(
        'at-otter.2',
        'HK-1',
      )({
        ...subject,
        gear: [
          ...subject.gear,
          piece({
            id: 'HK-1',
            kind: 'winch-hook',
            marks: [mark('WLL 6 t'), mark('MBS 30 t')],
            attributes: { throatM: 0.02, reachM: 0.12, latch: 'pin-locked' },
          }),
        ],
      }),
  ],
  [
    'throat-too-narrow?',
    'single-line-to-a-vehicle',
    same,
    (subject) =>
      swap(
        'at-otter.2',
        'HK-1',
      )({
        ...subject,
        gear: [
          ...subject.gear,
          piece({
            id: 'HK-1',
            kind: 'winch-hook',
            marks: [mark('WLL 6 t'), mark('MBS 30 t')],
            attributes: { reachM: 0.12, latch: 'pin-locked' },
          }),
        ],
      }),
  ],
  ['tow-has-no-grip', 'static-tow', same, body('heron', { stance: { ground: 'ice', brakes: 'none' } })],
  ['unequal-bridle', 'fixed-bridle', same, both(gear('ST-A'), body('otter', { headingRad: 4.6 }))],
  ['vehicle-slides', 'single-line-to-a-vehicle', same, body('heron', { stance: { ground: 'ice', brakes: 'parking-rear' } })],
  ['vehicle-slides?', 'single-line-to-a-vehicle', same, body('heron', { stance: undefined })],
  ['vehicle-slides-at-greatest', 'single-line-to-a-vehicle', body('heron', { massKg: 20_000 }), same],
  ['winch-line-as-tow', 'static-tow', same, swap('line.rope.0', 'L-A')],
  ['blocks-meet', 'redirect-plus-double', same, rig(({ load }) => ({ load: { ...load, travelM: 30 } }))],
  ['hook-reaches-pulley', 'compound-at-a-separate-anchor', same, rig(({ load }) => ({ load: { ...load, travelM: 8 } }))],
  // Turned 15° off its line, with a rock in the way of its heading alone.
  ['path-not-drawn?', 'single-line-to-a-vehicle', turned(5), both(turned(15), ahead(4.2, -0.8))],
  ['will-not-run', 'lowering-down-a-slope', same, steep(0.01)],
  ['damper-to-move', 'single-line-to-a-vehicle', damped(1), damped(12)],
  ['left-overloaded', 'two-winches', steep(0.5, 4.71), both(steep(0.5, 4.71), marks('L-A', 'MBS 0.5 t'))],
  ['runs-if-parted', 'lowering-down-a-slope', steep(0.02), same],
  // 16° falls to the south: 8 m below the load and in line with it; 8 m above it; 6 m to one side.
  ['below-what-runs', 'lowering-down-a-slope', helperAt(1.3, 30), helperAt(1.3, -8)],
  ['below-what-runs', 'lowering-down-a-slope', helperAt(9, -8), both(parkedBelow, helperAt(20, 40, { inVehicleId: 'van' }))],
  ['in-the-loads-way', 'lowering-down-a-slope', helperAt(12, 0), helperAt(1, -4.5)],
  ['start-only', 'stretch-pull', same, attributes('KR-A', { lengthM: undefined })],
  ['run-up-unknown?', 'stretch-pull', same, attributes('KR-A', { lengthM: undefined })],
  ['run-up-proposed', 'stretch-pull', runUp(3, 4), same],
  ['run-up-too-fast', 'stretch-pull', runUp(4.3, 7), runUp(4.5, 7)],
  ['run-up-needs-slack', 'stretch-pull', runUp(3, 3.01), runUp(3, 2.99)],
  ['run-up-needs-slack', 'stretch-pull', runUp(3, 7.99), runUp(3, 8.01)],
  ['no-safe-run-up', 'stretch-pull', same, marks('KR-A', 'MBS 1 t')],
  ['does-not-free', 'stretch-pull', same, rig(({ situation }) => ({ situation: { ...situation, depth: 'roof', surface: 'bog' } }))],
  ['pull-off-heading', 'stretch-pull', turned(25), turned(35)],
  ['pull-across', 'stretch-pull', turned(50), turned(75)],
  ['run-up-on-judged-point', 'stretch-pull', same, judgedPoint('at-otter.0')],
  ['cab-in-line', 'stretch-pull', () => layout('static-tow'), same],
  ['stretch-in-winch-rig', 'stretch-pull', same, () => swap('at-otter.1', 'KR-A')(layout('single-line-to-a-vehicle'))],
  ['chain-in-line', 'back-anchored-to-vehicles', same, () => swap('at-otter.1', 'CH-1')(layout('single-line-to-a-vehicle'))],
  ['piece-used-twice', 'compound-with-one-rope', same, () => swap('second-end.2', 'CL-A')(layout('compound-by-hand'))],
];

const edgeBody: Body = { id: 'lip', kind: 'rock', label: 'Rock lip', xM: 8, yM: 3 };
const prepared = (name: string, file: string): Case => (name.startsWith('line-over-edge') ? add(edgeBody)(layout(file)) : layout(file));

describe('every rule on rigs of any layout speaks when its fault is there and is silent without it', () => {
  it.each(CASES)('%s on %s', (expected, file, without, change) => {
    const code = expected.replace('?', '');
    const asks = expected.endsWith('?');
    const spoken = (subject: Case) => judge(subject).findings.filter((finding) => finding.code === code && finding.undecided === asks);
    expect(spoken(change(prepared(expected, file))).length).toBeGreaterThan(0);
    if (without !== change) expect(spoken(without(prepared(expected, file)))).toEqual([]);
  });
  it('covers every rule that asks, and those asks stand in its head', () => {
    for (const { code, asks } of rules) if (CASES.some(([name]) => name === `${code}?`)) expect(asks, code).toMatch(/\?$/);
  });
});

describe('fixes', () => {
  const fixable = CASES.flatMap(([name, file, , change]) => {
    const subject = change(prepared(name, file));
    return judge(subject).findings.flatMap((finding) =>
      finding.fixes.flatMap((fix) => (fix.kind === 'edits' ? [{ subject, finding, edits: fix.edits }] : [])),
    );
  });
  it('that are edits do away with what they are offered for', () => {
    expect(new Set(fixable.map(({ finding }) => finding.code)).size).toBeGreaterThan(5);
    for (const { subject, finding, edits } of fixable) {
      const fixed = edits.reduce((now, edit) => applyEdit(now, edit).rig, subject.rig);
      expect(
        judge({ ...subject, rig: fixed }).findings.map(({ id }) => id),
        finding.id,
      ).not.toContain(finding.id);
    }
  });
  it('turn the load round where the line pulls it the other way', () => {
    const wrong = rig(({ load }) => ({ load: { ...load, travel: 'astern' } }))(layout('single-line-to-a-vehicle'));
    const [fix] = judge(wrong).findings.find(({ code }) => code === 'wrong-way')?.fixes ?? [];
    if (fix?.kind !== 'edits') throw new Error('no fix');
    const turned = fix.edits.reduce((now, edit) => applyEdit(now, edit).rig, wrong.rig);
    expect(judge({ ...wrong, rig: turned }).findings.map(({ code }) => code)).not.toContain('wrong-way');
  });
});

describe('a team’s own severities', () => {
  const own = (severities: Policy['severities']) => judge(policy({ severities })(exampleCase({ answered: false })));
  it('soften a rule that lets itself be softened', () => {
    expect(
      own({ 'off-centre-point': 'note', 'knot-placement': 'note' }).findings.find(({ code }) => code === 'knot-placement')?.severity,
    ).toBe('note');
  });
  it('make a rule stricter, and never soften one that may not be', () => {
    expect(own({ 'off-centre-point': 'stop' }).verdict).toBe('stop');
    const weak = policy({ severities: { 'over-limit': 'note' } })(exampleCase({ strap: 'TS-light' }));
    expect(
      judge(weak)
        .findings.filter(({ code }) => code === 'over-limit')
        .every((finding) => counted(finding) === 'stop'),
    ).toBe(true);
  });
});
