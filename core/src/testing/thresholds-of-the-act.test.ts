import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import type { VehicleBody } from '../rig/rig.ts';
import { attributes, body, type Change, changed, facts, gear, ground, layoutCase, load, person, rig } from './changes.ts';
import { marked, type Threshold, threeTimes, wanted } from './thresholds.ts';

import { DEGREE, G, helper, heron, inLine, PLANNED_N, ROPE_M, rock, runUp, set, single, standing, still, told } from './thresholds-kit.ts';

const stances: readonly Threshold[] = [
  // μ 0.6 on dry gravel, all brakes on: 7 355 N are held by 1 250 kg.
  { code: 'vehicle-slides', ...still, knob: (massKg) => body('heron', { massKg }), at: PLANNED_N / (0.6 * G), speaks: 'below' },
  {
    code: 'vehicle-slides-at-greatest',
    ...still,
    knob: (massKg) => body('heron', { massKg }),
    at: (subject) => (judge(subject).greatestPullN ?? 0) / (0.6 * G),
    speaks: 'below',
  },
  {
    code: 'may-tip',
    ...still,
    first: changed(still.first, body('otter', { yM: 9 }), set('hold', 'tipCaution')(1e-6)),
    knob: set('hold', 'tipCaution'),
    at: told('may-tip', ({ share }) => share ?? 0, 'otter'),
    speaks: 'below',
    of: 'otter',
  },
  {
    code: 'tips',
    ...still,
    first: changed(still.first, body('otter', { yM: 9 }), set('hold', 'tipStop')(1e-6)),
    knob: set('hold', 'tipStop'),
    at: told('tips', ({ share }) => share ?? 0, 'otter'),
    speaks: 'below',
    of: 'otter',
  },
  // Side grip 0.25 in shallow mud, the fall of the ground square to the way.
  { code: 'load-runs-aside', ...still, knob: (deg) => ground(deg, 0), at: Math.atan(0.25) / DEGREE, speaks: 'above' },
  // Down the way: physics gives W (sin θ + 0.20 cos θ), the first of the methods to fall to nothing.
  { code: 'runs-by-itself', ...still, knob: (deg) => ground(deg, 90), at: Math.atan(0.2) / DEGREE, speaks: 'above', atLimit: 'rounds' },
];

/** A crew member beside the load that is let down a slope, so far off its middle line. */
const belowIt =
  (offM: number) =>
  (subject: Case): Case => {
    const load = subject.rig.bodies.find(({ id }) => id === subject.rig.load.bodyId) as VehicleBody;
    const { uphillRad } = subject.rig.ground;
    const [down, side] = [
      [-Math.sin(uphillRad), -Math.cos(uphillRad)],
      [Math.cos(uphillRad), -Math.sin(uphillRad)],
    ] as const;
    return helper(load.xM + 8 * down[0] + offM * side[0], load.yM + 8 * down[1] + offM * side[1])(subject);
  };
const slipping = changed(still.first, body('heron', { stance: { ground: 'ice', brakes: 'all' } }));

const people: readonly Threshold[] = [
  {
    code: 'operator-out-of-reach',
    ...still,
    first: changed(still.first, person('op', -3, -4)),
    knob: (leadLengthM) => attributes('W-A', { control: 'lead', leadLengthM }),
    at: 5,
    speaks: 'below',
  },
  { code: 'person-in-zone', ...still, knob: (yM) => helper(2.3, yM), at: 1.5 * ROPE_M, speaks: 'below', atLimit: 'rounds' },
  // Half the width of the load and a metre and a half: 2.35 m from its way.
  { code: 'in-the-loads-way', ...single, knob: (yM) => helper(12, yM), at: 2.35, speaks: 'below' },
  {
    code: 'below-what-runs',
    layout: 'lowering-down-a-slope',
    first: standing,
    knob: belowIt,
    at: (subject) => (subject.rig.bodies.find(({ id }) => id === subject.rig.load.bodyId) as VehicleBody).widthM / 2 + 1.5,
    speaks: 'below',
    atLimit: 'rounds',
  },
  // Drawn east by its line over ice; half its width and a metre and a half to each side.
  {
    code: 'operator-below-slide',
    layout: 'single-line-to-a-vehicle',
    first: slipping,
    knob: (yM) => person('op', 6, yM, { shelter: 'wall' }),
    at: 1.85 / 2 + 1.5,
    speaks: 'below',
    atLimit: 'rounds',
  },
  {
    code: 'no-damper',
    ...still,
    first: changed(
      still.first,
      gear('D-A'),
      rig(() => ({ dampers: [{ id: 'd', lineId: 'line', strand: 0, gearId: 'D-A' }] })),
    ),
    knob: (massKg) => attributes('D-A', { massKg }),
    at: 1,
    speaks: 'below',
  },
  // F = MBS ((p + 1) E ÷ (MBS L ε))^(p ÷ (p + 1)) is the MBS itself where MBS = (p + 1) E ÷ (L ε), p 1.1.
  {
    code: 'lanyard-too-weak',
    layout: 'lanyard-on-a-moving-line',
    first: marked('LY-1', 'mbs', 4000),
    knob: (n) => marked('LY-1', 'mbs', n),
    at: told('lanyard-too-weak', ({ arrestN }) => 4000 * ((arrestN ?? 0) / 4000) ** (2.1 / 1.1)),
    speaks: 'below',
  },
  { code: 'no-damper', ...still, knob: set('care', 'damperExemptM'), at: ROPE_M, speaks: 'below', atLimit: 'speaks' },
];

const ways: readonly Threshold[] = [
  // A damper begins at mid-leg, 5.775 m from the fairlead, and rides with the rope.
  {
    code: 'damper-to-move',
    ...single,
    first: changed(
      inLine,
      gear('D-A'),
      rig(() => ({ dampers: [{ id: 'd', lineId: 'line', strand: 0, gearId: 'D-A' }] })),
    ),
    knob: (travelM) => load({ travelM }),
    at: ROPE_M / 2 - 1,
    speaks: 'above',
  },
  { code: 'hook-reaches-fairlead', ...single, knob: (travelM) => load({ travelM }), at: ROPE_M - 1, speaks: 'above' },
  // From its front at 14.05 m to a rock that begins at 5.3 m.
  {
    code: 'load-reaches-anchor',
    ...single,
    first: changed(inLine, rock(5, 0)),
    knob: (travelM) => load({ travelM }),
    at: 8.75,
    speaks: 'above',
  },
];

const stretch = { layout: 'stretch-pull' } as const;
const stretches: readonly Threshold[] = [
  {
    code: 'stretch-too-weak',
    ...stretch,
    knob: (n) => marked('KR-A', 'mbs', n),
    at: (subject) => 2 * heron(subject).massKg * G,
    speaks: 'below',
  },
  {
    code: 'stretch-too-stiff',
    ...stretch,
    knob: (n) => marked('KR-A', 'mbs', n),
    at: (subject) => 5 * (subject.rig.bodies.find(({ id }) => id === 'otter') as VehicleBody).massKg * G,
    speaks: 'above',
  },
  {
    code: 'stretch-pulls-used-up',
    ...stretch,
    knob: (pullsUsed) => attributes('KR-A', { pullsUsed }),
    at: 50,
    speaks: 'above',
    atLimit: 'speaks',
    step: 0.02,
  },
  { code: 'run-up-needs-slack', ...stretch, knob: (slackM) => runUp(3, slackM), at: 3, speaks: 'below' },
  { code: 'run-up-needs-slack', ...stretch, knob: (slackM) => runUp(3, slackM), at: 8, speaks: 'above' },
  {
    code: 'pull-off-heading',
    ...stretch,
    first: set('runUp', 'offHeadingFixDeg')(0.001),
    knob: set('runUp', 'offHeadingFixDeg'),
    at: told('pull-off-heading', ({ offRad }) => (offRad ?? 0) / DEGREE),
    speaks: 'below',
  },
  {
    code: 'pull-across',
    ...stretch,
    first: set('runUp', 'offHeadingStopDeg')(0.001),
    knob: set('runUp', 'offHeadingStopDeg'),
    at: told('pull-across', ({ offRad }) => (offRad ?? 0) / DEGREE),
    speaks: 'below',
  },
];

const dayRows: readonly (readonly [
  words: string,
  code: string,
  of: (day: string) => Change,
  days: readonly [string, string, string],
  found: readonly [boolean, boolean, boolean],
])[] = [
  // Judged on 1 June 2026.
  [
    'an inspection due the day before, on the day, the day after',
    'inspection-overdue',
    (nextDue) => facts('SS-B', { inspection: { on: '2025-06-01', grade: 'A', nextDue } }),
    ['2026-05-31', '2026-06-01', '2026-06-02'],
    [true, false, false],
  ],
  [
    'ten years old the day before, on the day, the day after',
    'soft-good-too-old',
    (madeOn) => facts('SS-B', { madeOn }),
    ['2016-05-31', '2016-06-01', '2016-06-02'],
    [true, false, false],
  ],
  [
    'first used a year and a day ago, a year ago, a day less',
    'never-inspected',
    (firstUsedOn) => facts('SS-B', { inspection: undefined, firstUsedOn }),
    ['2025-05-31', '2025-06-01', '2025-06-02'],
    [true, true, false],
  ],
  [
    'which is then new and not yet inspected',
    'new-and-uninspected',
    (firstUsedOn) => facts('SS-B', { inspection: undefined, firstUsedOn }),
    ['2025-05-31', '2025-06-01', '2025-06-02'],
    [false, false, true],
  ],
];

describe('just before, on and just after a day', () => {
  it.each(dayRows)('%s: %s', (_words, code, of, days, wantedAnswers) => {
    const subject = layoutCase('single-line-to-a-vehicle');
    const answers = days.map((day) =>
      judge(of(day)(subject)).findings.some((entry) => entry.code === code && entry.subject.id === 'at-otter.1'),
    );
    expect(answers).toEqual(wantedAnswers);
  });
});

describe.each([
  ['how vehicles stand', stances],
  ['people and dampers', people],
  ['the way', ways],
  ['stretch pulls', stretches],
])('just below, at and just above: %s', (_theme, rows) => {
  it.each(rows)('$code', (row) => {
    expect(threeTimes(row)).toEqual(wanted(row));
  });
});
