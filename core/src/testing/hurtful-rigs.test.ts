import { describe, expect, it } from 'vitest';
import { severities } from '../judgement/ask/told.ts';
import { judge } from '../judgement/judge.ts';
import { counted } from '../judgement/report/finding.ts';
import type { Case } from '../rig/case.ts';
import type { Body, Line, VehicleBody } from '../rig/rig.ts';
import { madeSafe } from './careful-team.ts';
import {
  answer,
  attributes,
  body,
  type Change,
  changed,
  facts,
  gear,
  ground,
  layoutCase,
  marks,
  person,
  point,
  policy,
  rig,
  situation,
  swap,
  use,
  withBody,
} from './changes.ts';
import { mark, piece } from './example-case.ts';
import { kitGear } from './kit-gear.ts';

const kit = (id: string) => kitGear.find((entry) => entry.id === id) as (typeof kitGear)[number];
const like = (id: string, as: string, change: object) =>
  ({ ...kit(as), id, tag: id, attributes: { ...kit(as).attributes, ...change } }) as (typeof kitGear)[number];
const steel = kit('SH-A');
const carabiner = (gate?: string) =>
  piece({
    id: 'CB-1',
    kind: 'carabiner',
    marks: [mark('MBS 60 t', 'stamped')],
    attributes: { treadDiameterM: 0.02, reachM: 0.12, massKg: 0.2, ...(gate && { gate }) },
  });
const mount = (receiverM: number) =>
  piece({
    id: 'RM-1',
    kind: 'receiver-mount',
    marks: [mark('WLL 5 t', 'stamped'), mark('MBS 20 t', 'stamped')],
    attributes: { receiverM, boreDiameterM: 0.028, thicknessM: 0.02, reachM: 0.2, edgeRadiusM: 0.006, massKg: 4 },
  });
const hook = piece({
  id: 'HK-1',
  kind: 'winch-hook',
  marks: [mark('WLL 6 t', 'stamped'), mark('MBS 30 t', 'stamped')],
  attributes: { throatM: 0.04, reachM: 0.12, latch: 'pin-locked', massKg: 1 },
});
const jack = piece({ id: 'JK-1', kind: 'lifting-jack', marks: [], attributes: {}, inspection: { on: '2026-03-01', grade: 'D' } });
const ropes = (lineId: string, change: (before: Line['ropes']) => Line['ropes']): Change =>
  rig(({ lines }) => ({ lines: lines.map((line) => (line.id === lineId ? { ...line, ropes: change(line.ropes) } : line)) }));
const without = (useId: string): Change =>
  rig(({ chains, backAnchors }) => ({
    chains: chains.map((chain) => ({ ...chain, pieces: chain.pieces.filter(({ id }) => id !== useId) })),
    ...(backAnchors && { backAnchors: backAnchors.map((tie) => ({ ...tie, pieces: tie.pieces.filter(({ id }) => id !== useId) })) }),
  }));
const damper = (change: object): Change => facts('damper-line-0', change);
const chosenPull = (pullN: number): Change => rig(() => ({ chosenPull: { pullN, person: 'Test', reason: 'load cell' } }));
const heron = (change: Partial<VehicleBody>): Change => body('heron', change);
const van = (extra: object = {}): Body =>
  ({ id: 'van', kind: 'vehicle', label: 'Van', xM: 0, yM: 40, headingRad: 0, massKg: 2500, lengthM: 4.6, widthM: 1.9, ...extra }) as Body;
/** The one back-anchor once more, beside the first or to another trunk point. */
const anchoredTwice = (anchorPointId: string, strap: string): Change =>
  changed(
    gear('TS-A', 'SS-E', strap, 'SS-F', 'VP-C'),
    rig(({ backAnchors = [] }) => ({
      backAnchors: [
        ...backAnchors,
        {
          id: 'more',
          vehiclePointId: 'tail',
          anchorPointId,
          pieces: (['TS-A', 'SS-E', strap, 'SS-F', 'VP-C'] as const).map((gearId, order) => ({
            id: `more.${order}`,
            role: (['tree-strap', 'connector', 'strap', 'connector', 'point'] as const)[order] ?? 'strap',
            gearId,
            ...(order === 0 && { hitch: 'basket' as const }),
          })),
        },
      ],
    })),
  );
const judgedTree = (workingN: number): Change =>
  body('oak', { judged: { workingN, failingN: 4 * workingN, person: 'Test', on: '2026-05-01', reason: 'held before' } });
const otherTree = (xM: number, yM: number): Change =>
  changed(
    withBody({ ...(layoutCase('back-anchored-to-a-tree').rig.bodies.find(({ id }) => id === 'oak') as Body), xM, yM }),
    rig(({ bodies }) => ({ bodies: bodies.filter((entry, index) => entry.id !== 'oak' || index === bodies.length - 1) })),
  );

type Hurt = readonly [words: string, layout: string, change: Change, finding: string];

/**
 * Rigs that hurt people, by what is wrong with them; each is a layout as a careful team makes it, with one thing changed. `code!` is a
 * stop, `code` a fix or a caution, `code?` asks. Sums stand with the rig where it turns on one.
 */
const HURTFUL: readonly Hurt[] = [
  // What does not reach.
  ['3 m of stretch rope over 8.8 m', 'stretch-pull', attributes('KR-A', { lengthM: 3 }), 'rope-too-short!'],
  ['a 5 m hand rope over strands of some 25 m', 'compound-by-hand', attributes('HR-1', { lengthM: 5 }), 'rope-too-short!'],
  ['a 3 m static strap over 8 m', 'static-tow', attributes('TR-1', { lengthM: 3 }), 'rope-too-short!'],
  ['a back strap of half a metre', 'back-anchored-to-a-tree', attributes('ST-A', { lengthM: 0.5 }), 'rope-too-short!'],
  ['a chain of 1 m where 3 m are to be bridged', 'back-anchored-to-vehicles', attributes('CH-1', { lengthM: 1 }), 'rope-too-short!'],
  ['a running bridle drawn 3.2 m long from a rope of 3.1', 'running-bridle', attributes('LX-2', { lengthM: 3.1 }), 'rope-too-short!'],
  [
    'legs of 0.35 m each from points 0.9 m apart',
    'fixed-bridle',
    changed(attributes('ST-C', { lengthM: 0.2 }), attributes('ST-D', { lengthM: 0.2 })),
    'rope-too-short!',
  ],
  ['a rope behind a grip that ends before its tree', 'held-by-a-grip', attributes('HR-1', { lengthM: 12 }), 'rope-too-short!'],
  [
    'a winch line too short though its drum is not on record',
    'single-line-to-an-anchor',
    changed(attributes('L-A', { lengthM: 8 }), attributes('W-A', { drumWidthM: undefined })),
    'line-too-short!',
  ],

  // Back-anchors.
  [
    'one trunk for two straps, good for either alone',
    'back-anchored-to-a-tree',
    changed(anchoredTwice('on-oak', 'ST-B'), judgedTree(13_000)),
    'over-limit!',
  ],
  [
    'a strap at 45° behind',
    'back-anchored-to-a-tree',
    changed(otherTree(-5.4, -4.4), attributes('ST-A', { lengthM: 6 })),
    'vehicle-slides',
  ],
  [
    'nobody says what holds it, and a thread ties it back',
    'back-anchored-to-a-tree',
    changed(heron({ stance: { ground: 'mud' } }), marks('ST-A', 'MBS 2 t')),
    'over-limit!',
  ],
  ['a tail point for 0.6 t', 'back-anchored-to-a-tree', marks('VP-B', 'WLL 0.6 t', 'MBS 2.4 t'), 'over-limit!'],
  ['nobody says what the strap hooks on to', 'back-anchored-to-a-tree', without('back.4'), 'point-not-named?'],
  ['somebody beside the loaded strap', 'back-anchored-to-a-tree', person('Ada', -4.5, 0.5, { duty: 'helper' }), 'person-in-zone!'],
  [
    'a dog at the trunk that holds',
    'back-anchored-to-a-tree',
    withBody({ id: 'dog', kind: 'animal', label: 'Dog', xM: -7.2, yM: -2.5 }),
    'person-in-zone!',
  ],

  // Downhill, and across.
  [
    'the operator straight below the load on 26°',
    'lowering-down-a-slope',
    changed(ground(26, 5), person('Kit', 0.4, -12)),
    'below-what-runs!',
  ],
  [
    'a crew below a parked van that nobody says is held',
    'single-line-to-a-vehicle',
    changed(ground(14, 0), withBody(van()), person('Kit', 0, 30, { duty: 'helper' })),
    'below-what-runs?',
  ],
  [
    'a vehicle drawn across wet grass of 20°: tan 20° = 0.364 above 0.35',
    'redirect-along-a-road',
    changed(situation({ surface: 'grass', wet: true }), ground(20, 278)),
    'load-runs-aside!',
  ],
  ['a trunk dragged across 35°: tan 35° = 0.70 above 0.6', 'clearing-sideways', ground(35, 90), 'load-runs-aside!'],
  [
    'a vehicle across ice of 3°',
    'redirect-along-a-road',
    changed(ground(3, 278), body('otter', { stance: { ground: 'ice' } })),
    'load-runs-aside!',
  ],

  // Facts that judge.
  [
    'a last resort by the hook-up book',
    'single-line-to-a-vehicle',
    use('at-otter.0', { named: { lastResort: true, person: 'Test', on: '2026-06-01' } }),
    'last-resort-point',
  ],
  [
    'a tow ball that somebody named',
    'single-line-to-a-vehicle',
    changed(
      rig(({ chains }) => ({
        chains: chains.map((chain) => ({
          ...chain,
          pieces: chain.pieces.map((entry) =>
            entry.id === 'at-otter.0'
              ? {
                  id: entry.id,
                  role: entry.role,
                  named: { pointKind: 'tow-ball' as const, lastResort: false, person: 'Test', on: '2026-06-01' },
                  judged: { workingN: 3e4, failingN: 9e4, person: 'Test', on: '2026-06-01', reason: 'stout' },
                }
              : entry,
          ),
        })),
      })),
    ),
    'forbidden-point!',
  ],
  [
    'an engine stated to be off',
    'single-line-to-a-vehicle',
    rig(() => ({ engine: { running: false, person: 'Test', on: '2026-06-01' } })),
    'engine-off',
  ],
  [
    'a run-up on a last resort',
    'stretch-pull',
    use('at-otter.0', { named: { lastResort: true, person: 'Test', on: '2026-06-01' } }),
    'run-up-on-judged-point!',
  ],
  [
    'a run-up on an unmarked factory hook',
    'stretch-pull',
    changed(attributes('VP-B', { pointKind: 'factory-hook' }), facts('VP-B', { marks: [] })),
    'run-up-on-judged-point!',
  ],
  [
    'a tie-down eye under a stuck vehicle',
    'back-anchored-to-a-tree',
    attributes('VP-A', { pointKind: 'tie-down-eye' }),
    'forbidden-point!',
  ],

  // How pieces meet.
  [
    'an extension of 18 mm in a groove of 15',
    'extension-in-the-return-leg',
    attributes('LX-1', { ropeDiameterM: 0.018, lengthM: 22 }),
    'narrow-groove!',
  ],
  [
    'a soft shackle of 7 mm between ropes of 11 and 12',
    'extension-in-the-return-leg',
    changed(
      gear(like('SS-7', 'SS-A', { ropeDiameterM: 0.007 })),
      ropes('line', ([first, second]) => [
        first as Line['ropes'][number],
        { id: 'line.joint', role: 'connector', gearId: 'SS-7' },
        second as Line['ropes'][number],
      ]),
    ),
    'thin-pin',
  ],
  [
    'a strap in the line that lies over the ring',
    'extension-in-the-return-leg',
    swap('line.rope.1', like('ST-L', 'ST-B', { lengthM: 22 })),
    'webbing-over-pulley!',
  ],
  ['webbing for a running bridle', 'running-bridle', swap('bridle.rope.0', 'BR-1'), 'webbing-over-pulley!'],
  [
    'a grip for 8 to 11 mm on a rope of 12',
    'held-by-a-grip',
    attributes('PL-A', { hostDiameterMinM: 0.008, hostDiameterMaxM: 0.011 }),
    'grip-wrong-rope!',
  ],
  [
    'a grip for 13 to 16 mm on a rope of 12',
    'compound-with-one-rope',
    attributes('PL-B', { hostDiameterMinM: 0.013, hostDiameterMaxM: 0.016 }),
    'grip-wrong-rope!',
  ],
  ['a plain carabiner in the chain', 'single-line-to-a-vehicle', swap('at-otter.1', carabiner('plain')), 'connector-unlocked'],
  [
    'a mount of 50 mm in a receiver of 63.5',
    'back-anchored-to-a-tree',
    changed(swap('back.4', mount(0.05)), heron({ receiverM: 0.0635 })),
    'mount-does-not-fit!',
  ],
  [
    'a locked hook that hangs opening down',
    'single-line-to-a-vehicle',
    changed(swap('at-otter.2', hook), answer('hook-opening.at-otter.2', 'no')),
    'hook-opening',
  ],

  // What nobody said.
  ['no point named on the stuck vehicle', 'single-line-to-a-vehicle', without('at-otter.0'), 'point-not-named?'],
  [
    'an extension of unknown length in the anchor leg',
    'extension-in-the-anchor-leg',
    attributes('LX-1', { lengthM: undefined }),
    'length-unknown?',
  ],
  [
    'an extension of unknown length in the line',
    'extension-in-the-return-leg',
    attributes('LX-1', { lengthM: undefined }),
    'layer-undecided?',
  ],
  [
    'a pin of unknown diameter in a rope’s eye',
    'extension-in-the-anchor-leg',
    attributes('SS-C', { ropeDiameterM: undefined }),
    'thin-pin?',
  ],
  ['a soft shackle of unknown age', 'single-line-to-a-vehicle', facts('SS-B', { madeOn: undefined }), 'soft-good-too-old?'],
  ['a tow strap of unknown length', 'static-tow', attributes('TR-1', { lengthM: undefined }), 'rope-too-short?'],
  [
    'a strap of unknown thickness on a pin of 12 mm, near its limit',
    'back-anchored-to-a-tree',
    changed(attributes('ST-A', { thicknessM: undefined }), marks('ST-A', 'MBS 4.5 t')),
    'webbing-thickness?',
  ],
  [
    'a lead of unknown length, 7 m from the winch',
    'single-line-to-a-vehicle',
    changed(attributes('W-A', { control: 'lead', leadLengthM: undefined }), person('Kit', -7, 0)),
    'operator-out-of-reach?',
  ],

  // Beside the load path.
  [
    'one damper on two legs',
    'double-line-self-recovery',
    rig(({ dampers }) => ({ dampers: dampers.map((own) => ({ ...own, gearId: 'damper-line-0' })) })),
    'no-damper',
  ],
  ['a damper in quarantine', 'single-line-to-a-vehicle', damper({ state: 'quarantined' }), 'out-of-service!'],
  ['the leg under a damper in quarantine', 'single-line-to-a-vehicle', damper({ state: 'quarantined' }), 'no-damper'],
  ['a damper of 0.9 kg', 'single-line-to-a-vehicle', damper({ attributes: { massKg: 0.9 } }), 'no-damper'],
  ['a damper of unknown mass', 'single-line-to-a-vehicle', damper({ attributes: {} }), 'no-damper?'],
  ['a lanyard in quarantine', 'lanyard-to-a-fixed-anchor', facts('LY-1', { state: 'quarantined' }), 'out-of-service!'],
  [
    'a jack of grade D',
    'double-line-self-recovery',
    changed(
      gear(jack),
      rig(() => ({ tools: ['JK-1'] })),
    ),
    'out-of-service!',
  ],
  [
    'one overload since the last look',
    'single-line-to-a-vehicle',
    facts('SS-B', { overloadsSinceInspection: 1 }),
    'overloaded-since-inspection',
  ],

  // Joints, stance, driving.
  [
    'stretch ropes looped through each other without a spacer',
    'stretch-pull-joined',
    changed(
      ropes('line', (before) => before.filter(({ role }) => role !== 'connector')),
      answer('interlaced-without-spacer.line.rope.2', 'no'),
    ),
    'interlaced-without-spacer',
  ],
  [
    'held on park beside a ticked answer',
    'single-line-to-a-vehicle',
    changed(heron({ stance: { ground: 'dry-gravel', brakes: 'park-only' } }), answer('held-on-park.rig', 'yes')),
    'held-on-park!',
  ],
  [
    'a shackle whose point may not let it follow 20° to the side',
    'single-line-to-a-vehicle',
    changed(swap('at-otter.1', steel), body('otter', { headingRad: ((255 - 20) * Math.PI) / 180 })),
    'shackle-side-load?',
  ],
  [
    'towing off with the winch line hooked',
    'static-tow',
    rig(({ lines }) => ({
      lines: [
        ...lines,
        {
          ...(layoutCase('single-line-to-a-vehicle').rig.lines[0] as Line),
          id: 'hooked',
          drive: { kind: 'winch', pointId: 'tail', use: { id: 'w', role: 'winch' } },
          to: { kind: 'chain', chainId: 'at-otter' },
        },
      ],
    })),
    'driving-while-hooked!',
  ],
  [
    'a run-up faster than keeps every piece in order',
    'stretch-pull',
    rig(({ lines }) => ({
      lines: lines.map((line) =>
        line.drive.kind === 'tow' ? { ...line, drive: { ...line.drive, runUp: { speedMPerS: 4.9, slackM: 8 } } } : line,
      ),
    })),
    'run-up-too-fast',
  ],

  // What a screen must be able to say.
  [
    'a shackle 100° off its bow',
    'single-line-to-a-vehicle',
    changed(swap('at-otter.1', steel), use('at-otter.1', { bowAngleRad: (100 * Math.PI) / 180 })),
    'shackle-side-load!',
  ],
  [
    'a carabiner across its gate',
    'single-line-to-a-vehicle',
    changed(swap('at-otter.1', carabiner('screw')), use('at-otter.1', { axis: 'minor' })),
    'carabiner-minor-axis!',
  ],
  ['a strap choked round its tree', 'single-line-to-an-anchor', use('at-larch.0', { hitch: 'choke' }), 'tree-choked!'],
  [
    'a jack without a stand',
    'double-line-self-recovery',
    changed(
      gear({ ...jack, inspection: undefined } as never),
      rig(() => ({ tools: ['JK-1'] })),
      answer('jack-without-stand.rig', 'no'),
    ),
    'jack-without-stand!',
  ],
  ['a line bare over an edge', 'led-under-the-vehicle', answer('line-over-edge.round-fairlead', 'no'), 'line-over-edge'],
  ['the drum’s own worst: a pull past its stall', 'single-line-to-a-vehicle', chosenPull(52_000), 'winch-stalls!'],
  [
    'a point drawn far off the line of its shackle',
    'single-line-to-a-vehicle',
    changed(
      swap('at-otter.1', steel),
      attributes('VP-A', { swing: 'upright' }),
      point('nose', { leftM: 0.1 }),
      body('otter', { headingRad: ((255 - 60) * Math.PI) / 180 }),
      marks('SH-A', 'WLL 1.2 t', 'MBS 7 t'),
    ),
    'over-limit!',
  ],
];

const careful = new Map<string, Case>();
function madeSafeOnce(file: string): Case {
  const known = careful.get(file);
  if (known) return known;
  const made = madeSafe(layoutCase(file));
  careful.set(file, made);
  return made;
}

describe('a rig that hurts people', () => {
  it.each(HURTFUL)('%s (%s) is never judged too mildly', (_words, file, change, wanted) => {
    const code = wanted.replace(/[!?]$/, '');
    const safe = madeSafeOnce(file);
    const own = (subject: Case) => judge(subject).findings.filter((finding) => finding.code === code);
    expect(own(safe).filter((finding) => counted(finding) !== 'note')).toEqual([]);
    const report = judge(change(safe));
    const found = report.findings.filter((finding) => finding.code === code && finding.undecided === wanted.endsWith('?'));
    expect(found.length, report.findings.map(({ id }) => id).join(' ')).toBeGreaterThan(0);
    const gravest = Math.min(...found.map((finding) => severities.indexOf(counted(finding))));
    expect(gravest).toBeLessThanOrEqual(severities.indexOf(wanted.endsWith('!') ? 'stop' : 'caution'));
    expect(report.verdict).not.toMatch(/clear/);
    if (wanted.endsWith('!')) expect(report.verdict).toBe('stop');
  });
  it('is told in fifty ways at least', () => {
    expect(HURTFUL.length).toBeGreaterThanOrEqual(50);
  });
});

/** Layouts with something to say even when all is well: a high strap lifts the line, and an anchor in the ground is judged. */
const NOT_CLEAR: { readonly [file: string]: string } = { 'redirect-through-a-high-pulley': 'watch' };

type Sound = readonly [words: string, layout: string, change: Change];
const SOUND: readonly Sound[] = [
  ['a winch line just long enough', 'static-tow', attributes('TR-1', { lengthM: 8 })],
  [
    'a tie-down eye that draws a rolling vehicle up a deck',
    'loading-on-a-deck',
    changed(
      attributes('VP-A', { pointKind: 'tie-down-eye' }),
      facts('VP-A', { marks: [mark('WLL 2 t', 'stamped'), mark('MBS 8 t', 'stamped')] }),
    ),
  ],
  [
    'marked limits that the team trusts, above a quarter of what breaks them',
    'single-line-to-a-vehicle',
    changed(
      policy((before) => ({ ...before, trustMarkedWll: true })),
      marks('CL-A', 'WLL 6 t', 'MBS 22 t'),
    ),
  ],
  ['a helper who stands on the ground of the site', 'single-line-to-a-vehicle', heron({ stance: { brakes: 'all' }, massKg: 6000 })],
  ['a spooling helper whose winch is small for it and whose owner nobody asks', 'spooling-under-tension', attributes('W-A', {})],
  [
    'a vehicle across wet grass of 19°: tan 19° = 0.344 below 0.35',
    'single-line-to-a-vehicle',
    changed(situation({ surface: 'grass', wet: true }), body('otter', {})),
  ],
  ['a damper of just 1 kg', 'single-line-to-a-vehicle', damper({ attributes: { massKg: 1 } })],
  ['a mount in its own receiver', 'back-anchored-to-a-tree', changed(swap('back.4', mount(0.05)), heron({ receiverM: 0.05 }))],
  [
    'a strap of unknown thickness on a thin pin, far from its limit',
    'back-anchored-to-a-tree',
    attributes('ST-A', { thicknessM: undefined }),
  ],
  [
    'somebody within the shortest lead there is',
    'single-line-to-a-vehicle',
    changed(attributes('W-A', { control: 'lead', leadLengthM: undefined }), person('Kit', 0.6, -2.8, { shelter: 'thick tree' })),
  ],
];

describe('a sound rig of a careful team', () => {
  const files = [...new Set(['single-line-to-an-anchor', ...HURTFUL.map(([, file]) => file)])];
  it.each(files)('%s is clear', (file) => {
    const { verdict, findings } = judge(madeSafeOnce(file));
    expect(verdict.replace('-judged', ''), findings.map(({ id }) => id).join(' ')).toBe(NOT_CLEAR[file] ?? 'clear');
  });
  it.each(SOUND)('%s (%s) is not judged too harshly', (_words, file, change) => {
    const { verdict, findings } = judge(madeSafe(change(madeSafeOnce(file))));
    expect(
      verdict.replace('-judged', ''),
      findings
        .filter((finding) => counted(finding) !== 'note')
        .map(({ id }) => id)
        .join(' '),
    ).toBe('clear');
  });
});
