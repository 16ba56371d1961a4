import { describe, expect, it } from 'vitest';
import { attributes, body, changed, gear, ground, point, swap, use } from './changes.ts';
import { marked, type Threshold, threeTimes, wanted } from './thresholds.ts';

import {
  chosen,
  DEGREE,
  G,
  hook,
  inLine,
  MUCH,
  mount,
  PLANNED_N,
  placed,
  ROPE_M,
  set,
  single,
  standing,
  still,
  told,
} from './thresholds-kit.ts';

// 18.45 m stay on the drum: 20 wraps of 75, 97 and 119 mm take 18.28, so that it works on the fourth layer, of 141 mm.
const limits: readonly Threshold[] = [
  { code: 'over-limit', ...still, knob: (n) => marked('SS-B', 'wll', n, MUCH), at: PLANNED_N, speaks: 'below' },
  { code: 'near-limit', ...still, knob: (n) => marked('SS-B', 'wll', n, MUCH), at: PLANNED_N / 0.8, speaks: 'below', of: 'at-otter.1' },
  {
    code: 'over-breaking-margin',
    ...still,
    knob: (n) => marked('SS-B', 'mbs', n),
    at: (subject) => 1.25 * (placed(subject, 'at-otter.1:body').greatestN ?? Number.NaN),
    speaks: 'below',
  },
  {
    code: 'near-breaking',
    ...still,
    knob: (n) => marked('SS-B', 'mbs', n),
    at: (subject) => 1.5 * (placed(subject, 'at-otter.1:body').greatestN ?? Number.NaN),
    speaks: 'below',
  },
  { code: 'winch-over-rating', ...still, knob: (n) => marked('W-A', 'rated-pull', n), at: (PLANNED_N * 141) / 75, speaks: 'below' },
  { code: 'winch-stalls', ...still, knob: (n) => marked('W-A', 'rated-pull', n), at: (PLANNED_N * 141) / 75 / 1.2, speaks: 'below' },
  { code: 'winch-small', ...still, knob: (n) => marked('W-A', 'rated-pull', n), at: 1.5 * 1800 * G, speaks: 'below' },
  // Up to 600 kg it is a small machine, which wants 2.5 times its weight and gets 12 kN of 14.7.
  {
    code: 'winch-small',
    ...still,
    first: changed(still.first, marked('W-A', 'rated-pull', 12_000)),
    knob: (massKg) => body('otter', { massKg }),
    at: 600,
    speaks: 'below',
    atLimit: 'speaks',
  },
  {
    code: 'grip-slips',
    layout: 'held-by-a-grip',
    first: attributes('PL-A', { slipLoadN: 1 }),
    knob: (slipLoadN) => attributes('PL-A', { slipLoadN }),
    at: told('grip-slips', ({ mostN }) => mostN ?? 0),
    speaks: 'below',
  },
  {
    code: 'hand-too-few',
    layout: 'compound-by-hand',
    first: set('hand', 'pullPerPersonN')(1),
    knob: set('hand', 'pullPerPersonN'),
    at: told('hand-too-few', ({ pullN }) => (pullN ?? 0) / 6),
    speaks: 'below',
  },
  {
    code: 'tow-has-no-grip',
    layout: 'static-tow',
    first: body('heron', { massKg: 100 }),
    knob: (massKg) => body('heron', { massKg }),
    at: told('tow-has-no-grip', ({ pullN }) => (pullN ?? 0) / (0.6 * G)),
    speaks: 'below',
  },
  { code: 'pull-chosen-low', ...still, knob: chosen, at: 0.2 * 1800 * G, speaks: 'below' },
  { code: 'pull-not-estimated', ...still, knob: (deg) => ground(deg, 270), at: 45, speaks: 'above' },
  {
    code: 'mark-above-quotient',
    ...still,
    knob: (n) => marked('CL-A', 'wll', n, [{ basis: 'mbs', forceN: 200_000 }]),
    at: 50_000,
    speaks: 'above',
  },
];

const drums: readonly Threshold[] = [
  // 10 wraps of layer 1, on 75 mm, stay: 2.356 m.
  {
    code: 'too-few-wraps',
    ...still,
    knob: (lengthM) => attributes('L-A', { lengthM }),
    at: ROPE_M + 10 * Math.PI * 0.075,
    speaks: 'below',
  },
  { code: 'past-stop-mark', ...still, knob: (endMarkM) => attributes('L-A', { endMarkM }), at: ROPE_M, speaks: 'below' },
  {
    code: 'past-stop-mark',
    ...still,
    first: changed(still.first, attributes('L-A', { endMarkM: 2 * ROPE_M, lengthM: ROPE_M + 20 })),
    knob: (colourChangeM) => attributes('L-A', { colourChangeM }),
    at: ROPE_M,
    speaks: 'below',
  },
  // Without the drum's sizes the line out is known all the same.
  {
    code: 'past-stop-mark',
    ...still,
    first: changed(still.first, attributes('W-A', { drumWidthM: undefined })),
    knob: (endMarkM) => attributes('L-A', { endMarkM }),
    at: ROPE_M,
    speaks: 'below',
  },
  { code: 'line-too-short', ...still, knob: (lengthM) => attributes('L-A', { lengthM }), at: ROPE_M, speaks: 'below' },
  // (220 − 64) ÷ 22 − 1 are 6.09 layers; six of 20 wraps take 20 π (6 × 64 + 36 × 11) mm.
  { code: 'drum-overfull', ...still, knob: (lengthM) => attributes('L-A', { lengthM }), at: 20 * Math.PI * 0.78, speaks: 'above' },
  {
    code: 'fairlead-angle',
    ...still,
    first: changed(still.first, body('otter', { yM: 3 }), set('winch', 'fairleadHawseMaxDeg')(1)),
    knob: set('winch', 'fairleadHawseMaxDeg'),
    at: told('fairlead-angle', ({ offRad }) => (offRad ?? 0) / DEGREE),
    speaks: 'below',
  },
  {
    code: 'battery-low',
    ...single,
    first: changed(inLine, set('electric', 'leastChargeShare')(0.99)),
    knob: set('electric', 'leastChargeShare'),
    at: told('battery-low', ({ lowest }) => lowest ?? 0),
    speaks: 'above',
  },
  {
    code: 'respool-too-light',
    layout: 'spooling-under-tension',
    first: set('respool', 'tensionN')(1e6),
    knob: set('respool', 'tensionN'),
    at: told('respool-too-light', ({ tensionN }) => tensionN ?? 0),
    speaks: 'above',
  },
];

const tree = { layout: 'single-line-to-an-anchor' } as const;
const strapOf = (lengthM: number) => attributes('TS-A', { lengthM });
const anchors: readonly Threshold[] = [
  { code: 'strap-high', ...tree, knob: (heightM) => point('on-larch', { heightM }), at: 0.6, speaks: 'above' },
  { code: 'tree-thin', ...tree, knob: (trunkDiameterM) => body('larch', { trunkDiameterM }), at: 0.2, speaks: 'below' },
  { code: 'tree-too-thin', ...tree, knob: (trunkDiameterM) => body('larch', { trunkDiameterM }), at: 0.15, speaks: 'below' },
  { code: 'no-strength', ...tree, knob: (deg) => body('larch', { leanRad: deg * DEGREE }), at: 15, speaks: 'above' },
  // L = 2 r ÷ tan(α ÷ 2) + r (π + α) round 0.5 m, at 90° and at 120°.
  {
    code: 'strap-legs-wide',
    ...tree,
    first: body('larch', { trunkDiameterM: 0.5 }),
    knob: strapOf,
    at: 0.5 + 0.25 * 1.5 * Math.PI,
    speaks: 'below',
  },
  {
    code: 'strap-legs-too-wide',
    ...tree,
    first: body('larch', { trunkDiameterM: 0.5 }),
    knob: strapOf,
    at: 0.5 / Math.tan(60 * DEGREE) + 0.25 * (5 / 3) * Math.PI,
    speaks: 'below',
  },
  {
    code: 'strap-too-short',
    ...tree,
    first: body('larch', { trunkDiameterM: 0.5 }),
    knob: strapOf,
    at: 0.5 * Math.PI,
    speaks: 'below',
    atLimit: 'speaks',
  },
  {
    code: 'unequal-bridle',
    layout: 'fixed-bridle',
    first: changed(standing, gear('ST-A'), body('otter', { headingRad: 4.6 })),
    knob: set('sharing', 'unequalLegs'),
    at: told('unequal-bridle', ({ mostN, leastN }) => (mostN ?? 0) / (leastN ?? 1)),
    speaks: 'below',
  },
];

const groove = { layout: 'double-line-self-recovery' } as const;
const fits: readonly Threshold[] = [
  { code: 'narrow-groove', ...groove, knob: (grooveWidthM) => attributes('RR-A', { grooveWidthM }), at: 0.011, speaks: 'below' },
  // D/d 3 leaves 0.75 in full wrap, which is tight.
  {
    code: 'tight-bend',
    ...groove,
    knob: (treadDiameterM) => attributes('RR-A', { treadDiameterM }),
    at: 0.033,
    speaks: 'below',
    atLimit: 'speaks',
  },
  {
    code: 'soft-shackle-does-not-pass',
    ...groove,
    knob: (boreDiameterM) => attributes('RR-A', { boreDiameterM }),
    at: 0.024,
    speaks: 'below',
  },
  { code: 'thin-pin', ...single, knob: (pinDiameterM) => attributes('CL-A', { pinDiameterM }), at: 0.011, speaks: 'below' },
  {
    code: 'pin-does-not-fit',
    layout: 'ground-anchor',
    knob: (boreDiameterM) => attributes('CL-A', { boreDiameterM }),
    at: 0.022,
    speaks: 'below',
  },
  {
    code: 'opening-too-narrow',
    layout: 'ground-anchor',
    knob: (thicknessM) => attributes('CL-A', { thicknessM }),
    at: 0.032,
    speaks: 'above',
  },
  { code: 'throat-too-narrow', ...single, knob: (throatM) => swap('at-otter.2', hook(throatM)), at: 0.024, speaks: 'below' },
  {
    code: 'mount-does-not-fit',
    ...single,
    first: changed(swap('at-otter.0', mount), body('otter', { receiverM: 0.05 })),
    knob: (receiverM) => attributes('RM-1', { receiverM }),
    at: 0.051,
    speaks: 'above',
  },
  {
    code: 'mount-does-not-fit',
    ...single,
    first: changed(swap('at-otter.0', mount), body('otter', { receiverM: 0.05 })),
    knob: (receiverM) => attributes('RM-1', { receiverM }),
    at: 0.049,
    speaks: 'below',
  },
  {
    code: 'grip-wrong-rope',
    layout: 'held-by-a-grip',
    knob: (hostDiameterMaxM) => attributes('PL-A', { hostDiameterMaxM }),
    at: 0.012,
    speaks: 'below',
  },
  {
    code: 'grip-wrong-rope',
    layout: 'held-by-a-grip',
    knob: (hostDiameterMinM) => attributes('PL-A', { hostDiameterMinM }),
    at: 0.012,
    speaks: 'above',
  },
  { code: 'soft-on-sharp-edge', ...single, knob: (edgeRadiusM) => attributes('VP-A', { edgeRadiusM }), at: 0.003, speaks: 'below' },
  { code: 'off-centre-point', ...single, knob: (leftM) => point('nose', { leftM }), at: 0.15 * 1.7, speaks: 'above' },
  {
    code: 'shackle-side-load',
    layout: 'ground-anchor',
    knob: (bowAngleRad) => use('holding.1', { bowAngleRad }),
    at: Math.PI / 2,
    speaks: 'above',
  },
  {
    code: 'rope-too-short',
    layout: 'back-anchored-to-a-tree',
    first: attributes('ST-A', { lengthM: 1 }),
    knob: (lengthM) => attributes('ST-A', { lengthM }),
    at: told('rope-too-short', ({ wayM, longM }) => 1 + (wayM ?? 0) - (longM ?? 0)),
    speaks: 'below',
  },
];

describe.each([
  ['limits', limits],
  ['the drum', drums],
  ['anchors', anchors],
  ['what fits', fits],
])('just below, at and just above: %s', (_theme, rows) => {
  it.each(rows)('$code', (row) => {
    expect(threeTimes(row)).toEqual(wanted(row));
  });
});
