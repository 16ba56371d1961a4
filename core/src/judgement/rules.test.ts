import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { Case } from '../rig/case.ts';
import type { Rig, TreeBody } from '../rig/rig.ts';
import { exampleCase, mark, piece } from '../testing/example-case.ts';
import { judge } from './judge.ts';
import { counted } from './report/finding.ts';
import { rules } from './rules/rule-list.ts';

type Change = (subject: Case) => Case;

const withPiece =
  (id: string, change: (facts: GearFacts) => object): Change =>
  (subject) => ({
    ...subject,
    gear: subject.gear.map((facts) => (facts.id === id ? ({ ...facts, ...change(facts) } as GearFacts) : facts)),
  });
const attributes = (id: string, change: object): Change => withPiece(id, (facts) => ({ attributes: { ...facts.attributes, ...change } }));
const rig =
  (change: (rig: Rig) => Partial<Rig>): Change =>
  (subject) => ({ ...subject, rig: { ...subject.rig, ...change(subject.rig) } });
const tree = (change: Partial<TreeBody>): Change =>
  rig(({ bodies }) => ({ bodies: bodies.map((body) => (body.kind === 'tree' ? { ...body, ...change } : body)) }));
const use = (useId: string, change: object): Change =>
  rig(({ chains }) => ({
    chains: chains.map((chain) => ({
      ...chain,
      pieces: chain.pieces.map((entry) => (entry.id === useId ? { ...entry, ...change } : entry)),
    })),
  }));
const add =
  (facts: GearFacts, useId: string): Change =>
  (subject) =>
    use(useId, { gearId: facts.id })({ ...subject, gear: [...subject.gear, facts] });
const situation = (change: object): Change => rig((before) => ({ situation: { ...before.situation, ...change } }));
const strapHeight = (heightM: number): Change =>
  rig(({ points }) => ({
    points: points.map((point) => (point.place.kind === 'on-trunk' ? { ...point, place: { ...point.place, heightM } } : point)),
  }));
const both =
  (...changes: readonly Change[]): Change =>
  (subject) =>
    changes.reduce((result, change) => change(result), subject);

const steel = piece({
  id: 'SH-1',
  kind: 'steel-shackle',
  marks: [mark('WLL 4.75 t', 'stamped'), mark('MBS 28 t', 'stamped')],
  attributes: { bowDiameterM: 0.019, pinDiameterM: 0.022, reachM: 0.06 },
});
const block = (ropeKind?: string) =>
  piece({
    id: 'SB-1',
    kind: 'snatch-block',
    marks: [mark('WLL 9 t'), mark('MBS 30 t')],
    attributes: { treadDiameterM: 0.1, grooveWidthM: 0.014, reachM: 0.1, bearing: 'plain-bush', ...(ropeKind && { ropeKind }) },
  });
const steelLine = piece({
  id: 'WS-1',
  kind: 'winch-line-steel',
  marks: [mark('MBS 9 t')],
  attributes: { ropeDiameterM: 0.01, lengthM: 28, endTermination: 'thimble-pressed-sleeve' },
});
const line =
  (facts: GearFacts): Change =>
  (subject) =>
    rig(({ lines }) => ({
      lines: lines.map((entry) => ({ ...entry, ropes: [{ id: 'winch-line', role: 'winch-line' as const, gearId: facts.id }] })),
    }))({ ...subject, gear: [...subject.gear, facts] });
const hook = (latch: string) =>
  piece({ id: 'HK-1', kind: 'winch-hook', marks: [mark('WLL 6 t'), mark('MBS 30 t')], attributes: { reachM: 0.12, latch } });
const unlike = (kind: GearFacts['kind'], extra: object = {}) =>
  piece({ id: 'X-1', kind, marks: [mark('MBS 30 t')], attributes: { lengthM: 2, ...extra } });

/** Each rule with a change to the clear example that makes it speak; a question mark: it asks. */
const CASES: readonly (readonly [string, Change])[] = [
  ['over-limit', use('tree-strap', { gearId: 'TS-light' })],
  ['over-breaking-margin', use('tree-strap', { gearId: 'TS-light' })],
  ['near-limit', withPiece('TS-heavy', () => ({ marks: [mark('MBS 4.6 t')] }))],
  ['near-breaking', withPiece('SS-1', () => ({ marks: [mark('MBS 11 t')] }))],
  ['no-strength', tree({ state: 'dead' })],
  ['no-strength', withPiece('SS-1', () => ({ inspection: { on: '2026-01-01', grade: 'D' } }))],
  ['unrated', withPiece('SS-1', () => ({ marks: [] }))],
  ['piece-missing', use('pulley', { gearId: undefined })],
  ['not-solved', rig(({ bodies }) => ({ bodies: bodies.map((body) => (body.kind === 'tree' ? { ...body, xM: Number.NaN } : body)) }))],
  ['wrong-way', rig(({ load }) => ({ load: { ...load, travel: 'astern' } }))],
  ['pull-not-estimated', rig(() => ({ ground: { slopeRad: 0.9, uphillRad: Math.PI / 2 } }))],
  ['out-of-service', withPiece('RR-1', () => ({ state: 'quarantined' }))],
  ['inspection-overdue', withPiece('RR-1', () => ({ inspection: { on: '2024-01-01', grade: 'A', nextDue: '2026-05-31' } }))],
  ['never-inspected', withPiece('RR-1', () => ({ inspection: undefined }))],
  ['new-and-uninspected', withPiece('RR-1', () => ({ inspection: undefined, firstUsedOn: '2026-03-01' }))],
  ['basis-unstated', withPiece('RR-1', () => ({ marks: [mark('20 t')] }))],
  ['ambiguous-ton', withPiece('RR-1', () => ({ marks: [mark('MBS 22 ton')] }))],
  ['advert-only', withPiece('RR-1', () => ({ marks: [mark('MBS 20 t', 'advert')] }))],
  ['mark-above-quotient', withPiece('CL-1', () => ({ marks: [mark('WLL 8 t'), mark('MBS 28 t')] }))],
  ['setting-decided', withPiece('RR-1', () => ({ marks: [mark('MBS 41,000 lb')] }))],
  ['soft-good-too-old', withPiece('SS-1', () => ({ madeOn: '2016-05-31' }))],
  ['poor-termination', attributes('L-1', { endTermination: 'short-or-blunt-bury' })],
  ['unknown-termination?', attributes('L-1', { endTermination: undefined })],
  ['tight-bend', attributes('RR-1', { treadDiameterM: 0.03 })],
  ['tight-bend?', attributes('RR-1', { treadDiameterM: undefined })],
  ['shackle-side-load', both(add(steel, 'anchor-connector'), use('anchor-connector', { bowAngleRad: 1.7 }))],
  [
    'carabiner-minor-axis',
    both(
      add(
        piece({ id: 'CB-1', kind: 'carabiner', marks: [mark('MBS 40 t')], attributes: { reachM: 0.1, treadDiameterM: 0.02 } }),
        'return-connector',
      ),
      use('return-connector', { axis: 'minor' }),
    ),
  ],
  ['ring-with-steel-line', line(steelLine)],
  ['block-for-other-rope', add(block('steel'), 'pulley')],
  ['block-for-other-rope?', add(block(), 'pulley')],
  ['narrow-groove', attributes('RR-1', { grooveWidthM: 0.008 })],
  ['narrow-groove?', attributes('RR-1', { grooveWidthM: undefined })],
  ['ring-on-metal', add(steel, 'anchor-connector')],
  ['stretch-in-winch-rig', add(unlike('stretch-rope'), 'anchor-connector')],
  ['load-securing-strap', add(unlike('load-securing-strap'), 'anchor-connector')],
  ['chain-in-line', add(unlike('chain'), 'anchor-connector')],
  ['cannot-serve-here', add(unlike('shovel', { lengthM: undefined }), 'anchor-connector')],
  ['piece-used-twice', use('return-connector', { gearId: 'SS-1' })],
  ['thin-pin', add(unlike('line-extension', { ropeDiameterM: 0.024 }), 'return-connector')],
  ['pin-does-not-fit', both(add({ ...steel, attributes: { pinDiameterM: 0.03 } } as GearFacts, 'return-connector'))],
  ['pin-does-not-fit?', both(attributes('VP-1', { boreDiameterM: undefined }), add(steel, 'return-connector'))],
  ['soft-on-sharp-edge', attributes('VP-1', { edgeRadiusM: 0.001 })],
  ['soft-on-sharp-edge?', attributes('VP-1', { edgeRadiusM: undefined })],
  ['tree-choked', use('tree-strap', { hitch: 'choke' })],
  ['line-round-tree', add(unlike('line-extension', { ropeDiameterM: 0.01 }), 'tree-strap')],
  ['strap-too-short', attributes('TS-heavy', { lengthM: 1.2 })],
  ['strap-too-short?', attributes('TS-heavy', { lengthM: undefined })],
  ['strap-legs-too-wide', attributes('TS-heavy', { lengthM: 1.27 })],
  ['strap-legs-wide', attributes('TS-heavy', { lengthM: 1.31 })],
  ['strap-high', strapHeight(0.7)],
  ['tree-thin', tree({ trunkDiameterM: 0.18 })],
  ['tree-too-thin', tree({ trunkDiameterM: 0.14 })],
  ['strap-twisted?', rig(({ answers: { 'strap-twisted.tree-strap': _answered, ...answers } }) => ({ answers }))],
  ['strap-twisted', rig(({ answers }) => ({ answers: { ...answers, 'strap-twisted.tree-strap': 'no' } }))],
  ['forbidden-point', attributes('VP-1', { pointKind: 'tow-ball' })],
  ['last-resort-point', attributes('VP-1', { pointKind: 'frame-slot' })],
  ['point-unknown?', attributes('VP-1', { pointKind: undefined })],
  ['off-centre-point', (subject) => subject],
  ['line-too-short', tree({ xM: 20 })],
  ['past-stop-mark', attributes('L-1', { endMarkM: 10 })],
  ['too-few-wraps', tree({ xM: 16.8 })],
  ['layer-undecided?', attributes('W-1', { drumWidthM: undefined })],
  [
    'winch-over-rating',
    rig(({ load }) => ({ chosenPull: { pullN: 70_000, person: 'Test', reason: 'load cell' }, load: { ...load, travelM: 0.2 } })),
  ],
  ['travel-not-said?', rig(({ load: { travelM: _, ...load } }) => ({ load }))],
  ['start-only', rig(({ load: { travelM: _, ...load } }) => ({ load }))],
  [
    'winch-stalls',
    both(
      situation({ depth: 'roof' }),
      withPiece('W-1', () => ({ marks: [mark('20 kN', 'stamped', 'rated-pull')] })),
    ),
  ],
  ['layer-table-rises', attributes('W-1', { layer2PullN: 30_000, layer3PullN: 31_000 })],
  ['winch-small', withPiece('W-1', () => ({ marks: [mark('30 kN', 'stamped', 'rated-pull')] }))],
  ['drum-spool', attributes('W-1', { spoolState: 'slack' })],
  ['drum-spool?', attributes('W-1', { spoolState: undefined })],
  ['drum-overfull', attributes('W-1', { flangeDiameterM: 0.15 })],
  ['fairlead-angle', tree({ xM: 9, yM: 9 })],
  ['hook-reaches-fairlead', rig(({ load }) => ({ load: { ...load, travelM: 12 } }))],
  ['over-line-pull-limit', use('tree-strap', { gearId: 'TS-light' })],
  [
    'runs-by-itself',
    both(
      situation({ surface: 'hard-road', depth: 'none' }),
      rig(() => ({ ground: { slopeRad: 0.3, uphillRad: -Math.PI / 2 } })),
    ),
  ],
  ['no-damper', rig(() => ({ dampers: [] }))],
  ['knot-placement?', rig(() => ({ answers: {} }))],
  ['pin-side?', add(steel, 'return-connector')],
  ['open-hook', add(hook('none'), 'line-end')],
  ['hook-opening?', add(hook('sprung'), 'line-end')],
  ['length-unknown?', add(unlike('line-extension', { ropeDiameterM: 0.01, lengthM: undefined }), 'anchor-connector')],
  ['overloaded-since-inspection', withPiece('SS-1', () => ({ overloadsSinceInspection: 1 }))],
  ['soft-good-too-old?', withPiece('SS-1', () => ({ madeOn: undefined }))],
  ['pull-chosen-by-person', rig(() => ({ chosenPull: { pullN: 20_000, person: 'Test', reason: 'load cell' } }))],
  ['pull-chosen-low', rig(() => ({ chosenPull: { pullN: 2_000, person: 'Test', reason: 'load cell' } }))],
  ['limited-by-statement', rig(() => ({ limiter: { pullN: 30_000, statedBy: 'Test' } }))],
];

describe('every rule speaks when its fault is there and is silent without it', () => {
  it.each(CASES)('%s', (expected, change) => {
    const code = expected.replace('?', '');
    const found = judge(change(exampleCase())).findings.filter((finding) => finding.code === code);
    expect(found.length).toBeGreaterThan(0);
    expect(found.some(({ undecided }) => undecided === expected.endsWith('?'))).toBe(true);
    if (code !== 'off-centre-point') expect(judge(exampleCase()).findings.map((finding) => finding.code)).not.toContain(code);
  });
  it('covers every rule of the list, here or on rigs of any layout', () => {
    const others = readFileSync(resolve(import.meta.dirname, 'rules-of-rigs.test.ts'), 'utf8');
    const hurtful = ['hurtful-rigs', 'schools']
      .map((file) => readFileSync(resolve(import.meta.dirname, `../testing/${file}.test.ts`), 'utf8'))
      .join();
    const uncovered = rules.filter(
      ({ code }) =>
        !CASES.some(([name]) => name.replace('?', '') === code) &&
        !new RegExp(`'${code}[!?]?'`).test(hurtful) &&
        !new RegExp(`\\['${code}\\??',`).test(others.replace(/\[\s+'/g, "['")),
    );
    expect(uncovered.map(({ code }) => code)).toEqual([]);
  });
  it('has one code a rule', () => {
    expect(new Set(rules.map(({ code }) => code)).size).toBe(rules.length);
  });
  it('lets only what somebody must look at rest on a ticked answer', () => {
    const ticked = new Set(
      CASES.flatMap(([, change]) =>
        judge(change(exampleCase({ answered: false })))
          .findings.filter(({ questionId }) => questionId)
          .map(({ code }) => code),
      ),
    );
    expect([...ticked].sort()).toEqual([
      'cut-off-out-of-reach',
      'hook-opening',
      'interlaced-without-spacer',
      'knot-placement',
      'operator-not-placed',
      'pin-side',
      'rest-too-short',
      'soft-on-sharp-edge',
      'strap-twisted',
    ]);
  });
});

describe('places that have factors of their own', () => {
  const local = (subject: Case, placeId: string) => {
    const place = judge(subject).places.find(({ id }) => id === placeId);
    if (place?.wllN === undefined) throw new Error(`no limit at ${placeId}`);
    return place.wllN;
  };
  const plain = exampleCase();
  it('a strap looped through a strap keeps 0.70', () => {
    const second = piece({ id: 'ST-1', kind: 'static-strap', marks: [mark('MBS 14 t')], attributes: { lengthM: 1 } });
    const looped = both((subject) => ({ ...subject, gear: [...subject.gear, second] }), use('anchor-connector', { gearId: 'ST-1' }))(plain);
    expect(local(looped, 'tree-strap:legs') / local(plain, 'tree-strap:legs')).toBeCloseTo(0.7, 12);
  });
  it('webbing on a pin of 1.5 × its thickness bends by the table, at 2 × it is exempt', () => {
    const thick = (thicknessM: number) =>
      local(attributes('TS-heavy', { thicknessM })(plain), 'tree-strap:legs') / local(plain, 'tree-strap:legs');
    expect(thick(0.008)).toBeCloseTo(0.575, 12);
    expect(thick(0.006)).toBe(1);
  });
  it('a line’s eye on a pin thinner than the rope keeps 0.70, with a fix', () => {
    const thin = attributes('CL-1', { pinDiameterM: 0.009 })(plain);
    expect(local(thin, 'winch-line:end') / local(plain, 'winch-line:end')).toBeCloseTo(0.7, 12);
    expect(judge(thin).findings.map(({ code }) => code)).toContain('thin-pin');
  });
  it('a judged point takes its own numbers, untouched by condition, and shows as judged', () => {
    const judged = { workingN: 20_000, failingN: 70_000, person: 'Test', on: '2026-05-01', reason: 'held before' };
    const place = judge(
      both(
        withPiece('VP-1', () => ({ marks: [] })),
        use('return-point-piece', { judged }),
      )(plain),
    ).places.at(-1);
    expect(place).toMatchObject({ wllN: 20_000, mbsN: 70_000, judged: true });
  });
  it('a vehicle’s own point that somebody judged needs no piece of the register, and goes by its own name', () => {
    const judged = { workingN: 20_000, failingN: 70_000, person: 'Test', on: '2026-05-01', reason: 'factory hook' };
    const own = use('return-point-piece', { judged, gearId: undefined })(plain);
    const report = judge(own);
    expect(report.findings.map(({ code }) => code)).not.toContain('piece-missing');
    const place = report.places.find(({ subject }) => subject.id === 'return-point-piece');
    const chain = own.rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === 'return-point-piece'));
    const label = own.rig.points.find(({ id }) => chain?.from.kind === 'point' && id === chain.from.pointId)?.label;
    expect(place).toMatchObject({ wllN: 20_000, judged: true, name: label });
    const bare = judge(use('return-point-piece', { gearId: undefined })(plain));
    expect(bare.findings.map(({ code }) => code)).toContain('piece-missing');
  });
  it('a confirmed ton leaves one reading and no caution', () => {
    const sure = mark('MBS 22 ton');
    const confirmed = { ...sure, readings: sure.readings.slice(1, 2), confirmedUnit: 'tonne' as const };
    expect(judge(withPiece('RR-1', () => ({ marks: [confirmed] }))(plain)).findings.map(({ code }) => code)).not.toContain('ambiguous-ton');
  });
});

describe('findings make the verdict', () => {
  it.each(CASES)('%s counts by its severity', (_name, change) => {
    const { verdict, findings } = judge(change(exampleCase()));
    const worst = findings.map(counted);
    const expected = worst.includes('stop') ? 'stop' : worst.includes('fix') || worst.includes('caution') ? 'watch' : 'clear';
    expect(verdict.replace('-judged', '')).toBe(expected);
  });
  it('never holds NaN or infinity, whatever was changed', () => {
    for (const [name, change] of CASES) {
      const report = judge(change(exampleCase()));
      if (name !== 'not-solved') expect(JSON.parse(JSON.stringify(report)), name).toEqual(report);
    }
  });
  it('is clear, judged, where the tree is what stands nearest its limit', () => {
    expect(
      judge(
        tree({ judged: { workingN: 45_000, failingN: 150_000, person: 'Test', on: '2026-05-01', reason: 'held before' } })(exampleCase()),
      ).verdict,
    ).toBe('clear-judged');
  });
  it('takes a bare ton’s largest reading for the greatest pull and its smallest for what the winch can do', () => {
    const { drum } = judge(withPiece('W-1', () => ({ marks: [mark('5 ton', 'stamped', 'rated-pull')] }))(exampleCase()));
    expect((drum.greatestN ?? 0) / (drum.ratedN ?? 1)).toBeCloseTo((1.2 * 2240) / 2000, 9);
  });
  it('never judges against the limiter where the winch gives less', () => {
    const limited = judge(rig(() => ({ limiter: { pullN: 90_000, statedBy: 'Test' } }))(exampleCase()));
    expect(limited.greatestPullN).toBeCloseTo(judge(exampleCase()).greatestPullN ?? 0, 9);
  });
});
