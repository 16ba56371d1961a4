import { describe, expect, it } from 'vitest';
import { pulleyOf } from '../gear/traits.ts';
import { judge, judgeStart } from '../judgement/judge.ts';
import { rules } from '../judgement/rules/rule-list.ts';
import type { Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { Case } from '../rig/case.ts';
import type { Body, Rig, VehicleBody } from '../rig/rig.ts';
import { exampleCase, mark } from '../testing/example-case.ts';
import { layouts } from '../testing/layouts.ts';
import type { Margins } from './margins.ts';
import { runPull } from './run-pull.ts';

const layout = (file: string): Case => {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return found.build();
};
const withRig = (subject: Case, change: (rig: Rig) => Partial<Rig>): Case => ({
  ...subject,
  rig: { ...subject.rig, ...change(subject.rig) },
});
const moved = (subject: Case, id: string, change: object): Case =>
  withRig(subject, ({ bodies }) => ({ bodies: bodies.map((body) => (body.id === id ? ({ ...body, ...change } as Body) : body)) }));
const travelling = (subject: Case, travelM: number): Case => withRig(subject, ({ load }) => ({ load: { ...load, travelM } }));
const chosen = (subject: Case, pullN: number): Case =>
  withRig(subject, () => ({ chosenPull: { pullN, person: 'Test', reason: 'load cell' } }));
const finding = (report: ReturnType<typeof judge>, code: string) => report.findings.find((entry) => entry.code === code);
const codes = (report: ReturnType<typeof judge>) => report.findings.map(({ code }) => code);

/** Straight ahead to a tree so far east of the vehicle's middle, metres. */
const straight = (treeM: number, change: Partial<Rig> = {}): Case =>
  withRig(moved(exampleCase({ layout: 'straight' }), 'larch', { xM: treeM, yM: 0 }), () => change);

describe('the drum over a pull', () => {
  /*
   * Drum 64 mm, rope 10 mm, 22 wraps a layer, 28 m. Mean diameters 74, 94, 114, 134 mm; a layer holds 5.12, 6.50, 7.88, 9.26 m.
   * Rated 42 kN on the first: 33.1, 27.3, 23.2 kN above. It leaves layer 2 with 16.39 m out, layer 3 with 8.51 m.
   */
  const long = chosen(travelling(straight(25.6), 20), 30_000);
  const report = judge(long);
  const outM = report.drum.lineOutM ?? Number.NaN;
  it('is clear of its rating where it starts on layer 2, beyond it on layer 3, and stalls on layer 4', () => {
    expect(report.drum.layer).toBe(2);
    expect(codes(judgeStart(long))).not.toContain('winch-over-rating');
    expect(codes(judgeStart(long))).not.toContain('winch-stalls');
    expect(report.verdict).toBe('stop');
    expect(report.pull.end).toBe('stalls');
    // What it takes out is what the load comes nearer: the line is straight and all but level.
    expect(finding(report, 'winch-stalls')?.fromM).toBeCloseTo(outM - 8.509, 1);
    expect(report.pull.reachedM).toBeCloseTo(outM - 8.509, 1);
    expect(report.pull.events.filter(({ kind }) => kind === 'layer-change').map(({ atM, data }) => [atM.toFixed(1), data.layer])).toEqual([
      [(outM - 16.388).toFixed(1), 3],
      [(outM - 8.509).toFixed(1), 4],
    ]);
  });
  it('tells one fault of one winch: that it stalls, not that it is beyond its rating too', () => {
    expect(codes(report)).not.toContain('winch-over-rating');
    const short = judge(travelling(long, 12));
    expect(finding(short, 'winch-over-rating')?.fromM).toBeCloseTo(outM - 16.388, 1);
  });
  it('pulls hardest at its greatest on the lowest layer of the way: at a change of layer both count', () => {
    const way = judge(chosen(travelling(straight(25.6), 8), 5000));
    const end = way.places.find(({ kind }) => kind === 'end');
    expect(end?.worst?.greatestN).toBeCloseTo((42_000 * 1.2 * 0.074) / 0.094, 0);
    expect(end?.worst?.greatestAtM).toBe(0);
  });
  it('grows stronger while it lowers: at the end on layer 1, every ratio to breaking has fallen by 74 ÷ 94', () => {
    const slope = withRig(straight(20), () => ({ purpose: 'lower', ground: { slopeRad: 0.25, uphillRad: Math.PI / 2 } }));
    const down = judge(
      travelling(
        withRig(slope, ({ load }) => ({ load: { ...load, travel: 'astern' }, situation: { ...slope.rig.situation, depth: 'none' } })),
        8,
      ),
    );
    expect(down.drum.layer).toBe(2);
    expect(down.pull.lastDrum.layer).toBe(1);
    const end = down.places.find(({ kind }) => kind === 'end');
    expect((end?.worst?.breakingRatio ?? 0) / (end?.breakingRatio ?? 1)).toBeCloseTo(74 / 94, 6);
    expect(end?.worst?.greatestAtM).toBeGreaterThan(0);
  });
  it('ends a lowering where the wraps are down to those that must stay: ten of 232 mm are 2.32 m', () => {
    const slope = withRig(straight(20), () => ({ purpose: 'lower', ground: { slopeRad: 0.25, uphillRad: Math.PI / 2 } }));
    const down = judge(
      travelling(
        withRig(slope, ({ load }) => ({ load: { ...load, travel: 'astern' }, situation: { ...slope.rig.situation, depth: 'none' } })),
        12,
      ),
    );
    expect(down.pull.end).toBe('wraps-run-out');
    expect(finding(down, 'too-few-wraps')?.severity).toBe('stop');
    expect(down.pull.lastDrum.lineOutM).toBeCloseTo(28 - 10 * Math.PI * 0.074, 2);
  });
});

describe('angles that open as the load nears', () => {
  it('takes the line off a roller fairlead from 10° to 28°: over 15° where 2 m aside is 7.46 m ahead', () => {
    const aside = moved(exampleCase({ layout: 'straight' }), 'larch', { xM: 14, yM: 2 });
    const rollers = {
      ...aside,
      gear: aside.gear.map((facts) => (facts.id === 'W-1' ? { ...facts, attributes: { ...facts.attributes, fairlead: 'roller' } } : facts)),
    } as Case;
    expect(codes(judgeStart(rollers))).not.toContain('fairlead-angle');
    const report = judge(travelling(rollers, 8));
    // The fairlead stands 2.2 m ahead of the middle; the line leads straight to the trunk.
    expect(finding(report, 'fairlead-angle')?.fromM).toBeCloseTo(14 - 2.2 - 2 / Math.tan((15 * Math.PI) / 180), 2);
    expect(finding(report, 'fairlead-angle')?.atM).toBeCloseTo(8, 9);
  });
  it('makes the planned pull of a line to one side grow: by the cosine that it loses', () => {
    const aside = chosen(travelling(moved(exampleCase({ layout: 'straight' }), 'larch', { xM: 14, yM: 5 }), 8), 12_000);
    const { curves } = runPull(resolveRig(aside), []);
    const cosine = (xM: number) => (11.8 - xM) / Math.hypot(11.8 - xM, 5, 0.5);
    expect(curves.linePullN[0]).toBeCloseTo(12_000 / cosine(0), -1);
    expect(curves.linePullN.at(-1)).toBeCloseTo(12_000 / cosine(8), -1);
  });
  it('tips from a quarter to past one: the side pull grows as the anchor comes abreast', () => {
    const aside = chosen(travelling(moved(exampleCase({ layout: 'straight' }), 'larch', { xM: 14, yM: 6 }), 11), 6000);
    const start = judgeStart(aside).holds[0]?.plannedTipping ?? Number.NaN;
    expect(start).toBeLessThan(0.3);
    const report = judge(aside);
    expect(finding(report, 'tips') ?? finding(report, 'may-tip')).toBeDefined();
    expect(finding(report, 'tips')?.fromM ?? finding(report, 'may-tip')?.fromM).toBeGreaterThan(0);
  });
});

describe('what comes to what on the way', () => {
  it('ends where the line’s end is a metre from the fairlead, at the metre that the lengths give', () => {
    const report = judge(travelling(straight(14), 12));
    expect(report.pull.end).toBe('reaches-fairlead');
    const leftM = report.strands[0]?.lengthM ?? Number.NaN;
    // The span runs a little downhill from fairlead to strap, so that it shortens a little less than the load moves.
    expect(report.pull.reachedM).toBeCloseTo(leftM - 1, 1);
    expect(finding(report, 'hook-reaches-fairlead')?.fromM).toBe(report.pull.reachedM);
    expect(report.verdict).toBe('stop');
  });
  it('ends where two rims are 0.3 m apart', () => {
    const subject = travelling(layout('redirect-plus-double'), 30);
    const report = judge(subject);
    expect(report.pull.end).toBe('blocks-meet');
    const there = runPull(resolveRig(subject), []).last;
    expect(there.travelM).toBe(report.pull.reachedM);
    const [line] = there.rig.lines;
    const balance = there.shown?.balance;
    if (!line || !balance) throw new Error('not solved');
    const [a, b] = [line.stops[1], line.stops[2]].map((stop) => balance.equilibrium.positions[stop?.node ?? -1]);
    if (!a || !b) throw new Error('no pulleys');
    // Rings and blocks of 80 mm tread in this kit stand out half of it on either side.
    const treads = [1, 2].map((stop) => pulleyOf(line.stops[stop]?.chain?.last?.piece)?.treadDiameterM);
    expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) - ((treads[0] ?? 0) + (treads[1] ?? 0)) / 2).toBeCloseTo(0.3, 2);
  });
  it('moves a grip and hauls on where a travelling block comes to the load, and says how often; without a grip it is a stop', () => {
    const gripped = judge(travelling(layout('compound-with-one-rope'), 10));
    expect(gripped.pull.resets).toBeGreaterThan(0);
    expect(gripped.pull.events.filter(({ kind }) => kind === 'grip-moved')).toHaveLength(gripped.pull.resets);
    expect(codes(gripped)).not.toContain('hook-reaches-pulley');
    const bare = judge(travelling(layout('compound-by-hand'), 12));
    expect(bare.pull.end).toBe('reaches-pulley');
    expect(bare.verdict).toBe('stop');
    // The block travels two metres for one of the load: half of its way to the load is the throw.
    expect(Math.abs(bare.pull.reachedM - (gripped.pull.events[0]?.atM ?? Number.NaN))).toBeLessThan(0.3);
  });
  it('ends where outlines touch, measured from the front of the load', () => {
    const rock: Body = { id: 'rock', kind: 'rock', label: 'Rock', xM: 6, yM: 0.5, diameterM: 0.6 };
    const report = judge(withRig(straight(20), ({ bodies }) => ({ bodies: [...bodies, rock] })));
    expect(report.pull.end).toBe('load-touches');
    expect(report.pull.reachedM).toBeCloseTo(6 - 0.3 - 4.4 / 2, 2);
    expect(finding(report, 'load-reaches-anchor')?.subject.id).toBe('rock');
    const past = { ...rock, yM: 0.9 + 0.3 + 0.001 };
    expect(codes(judge(withRig(straight(20), ({ bodies }) => ({ bodies: [...bodies, past] }))))).not.toContain('load-reaches-anchor');
  });
  it('wants a damper from the metre at which a leg is three metres long', () => {
    const base = layout('lowering-down-a-slope');
    const near = travelling(
      withRig(moved(base, 'otter', { yM: 9.5 }), ({ dampers }) => ({ dampers })),
      10,
    );
    const report = judge(near);
    const [first] = report.strands;
    expect(first?.lengthM).toBeLessThan(3);
    const bare = report.findings.filter(({ code }) => code === 'no-damper');
    expect(bare.length).toBeGreaterThan(0);
    expect(bare[0]?.fromM).toBeGreaterThan(0);
    const there = momentAt(resolveRig(near), { travelM: bare[0]?.fromM ?? 0 });
    expect(there.shown?.balance.forces.spanLengthsM[0]).toBeCloseTo(3, 2);
  });
  it('plans no tension for a lowering that nothing pulls down, and says that it will not run', () => {
    const level = withRig(layout('lowering-down-a-slope'), () => ({ ground: { slopeRad: 0, uphillRad: 0 } }));
    const report = judge(level);
    expect(report.plannedPullN).toBe(0);
    expect(codes(report)).toContain('will-not-run');
    expect(report.greatestPullN).toBeGreaterThan(0);
  });
  it('plans a lowering with 1.25 × the most by which it runs', () => {
    const report = judge(layout('lowering-down-a-slope'));
    const most = Math.max(...(report.effort?.methods.map(({ pullN }) => -pullN) ?? []));
    expect(report.pullN).toBeCloseTo(1.25 * most, 6);
  });
});

describe('the load’s resistance on its way', () => {
  it('falls from breaking away to rolling over the first metre, and stays there', () => {
    const { curves } = runPull(resolveRig(travelling(straight(20), 3)), []);
    const at = (travelM: number) => curves.pullN[curves.travelM.findIndex((entry) => Math.abs(entry - travelM) < 1e-9)] ?? Number.NaN;
    const weightN = 2600 * 9.80665;
    expect(at(0)).toBeCloseTo(weightN, 6);
    // Shallow mud: 1.25 × a third of the weight by its share, which is more than by physics.
    const rolls = 1.25 * weightN * (1 / 3);
    expect(at(3)).toBeCloseTo(rolls, 0);
    expect(at(0.5)).toBeCloseTo((weightN + rolls) / 2, 0);
  });
  it('stays as a person chose it, unless that person says what it rolls with', () => {
    const pulls = (rollingN?: number) => {
      const subject = withRig(travelling(straight(20), 3), () => ({
        chosenPull: { pullN: 20_000, ...(rollingN !== undefined && { rollingN }), person: 'Test', reason: 'cell' },
      }));
      const { pullN } = runPull(resolveRig(subject), []).curves;
      return [pullN[0], pullN.at(-1)];
    };
    expect(pulls()).toEqual([20_000, 20_000]);
    expect(pulls(8000)).toEqual([20_000, 8000]);
  });
});

describe('a drawn path', () => {
  const base = straight(20);
  const bent = withRig(base, ({ load }) => ({
    load: {
      ...load,
      travelM: 6,
      path: [
        { xM: 3, yM: 0 },
        { xM: 3, yM: 8 },
      ],
    },
  }));
  it('takes the vehicle round its corner, turned with it', () => {
    const there = momentAt(resolveRig(bent), { travelM: 5 });
    expect(there.pose).toMatchObject({ xM: 3, yM: 2 });
    // From east to north is a quarter turn anticlockwise; the fairlead, 2.2 m ahead, has come round to the north.
    expect(there.pose.turnRad).toBeCloseTo(-Math.PI / 2, 9);
    const fairlead = there.positions[there.rig.drives[0]?.kind === 'winch' ? (there.rig.drives[0].point.index ?? 0) : 0];
    expect(fairlead?.x).toBeCloseTo(3, 9);
    expect(fairlead?.y).toBeCloseTo(2 + 2.2, 9);
  });
  it('is judged in both directions at the corner', () => {
    const { curves } = runPull(resolveRig(bent), []);
    const corner = curves.travelM.filter((travelM) => Math.abs(travelM - 3) < 1e-9);
    expect(corner).toHaveLength(2);
  });
  it('goes along the slope that each of its legs has', () => {
    const hill = withRig(bent, () => ({ ground: { slopeRad: 0.2, uphillRad: 0 }, situation: { ...bent.rig.situation, depth: 'none' } }));
    const rig = resolveRig(hill);
    expect(rig.legs[0]?.pull?.breaksAwayN).toBeLessThan(rig.legs[1]?.pull?.breaksAwayN ?? 0);
    expect(rig.way.legs[1]?.along.z).toBeCloseTo(Math.sin(0.2), 9);
    // Metres go along the ground: the first leg is level, so that its three metres are three on the map.
    expect(rig.way.legs[1]?.fromM).toBeCloseTo(3, 9);
  });
  it('turns a loose load nowhere', () => {
    const drag = layout('clearing-sideways');
    const body = drag.rig.bodies.find(({ id }) => id === drag.rig.load.bodyId);
    if (body === undefined) throw new Error('no load');
    const led = withRig(drag, ({ load }) => ({ load: { ...load, path: [{ xM: body.xM + 2, yM: body.yM + 2 }] } }));
    expect(momentAt(resolveRig(led), { travelM: 1 }).pose.turnRad).toBe(0);
  });
});

describe('setting upright', () => {
  it('takes the line’s point round the edge below it, and is done after a sixth of a turn, when its weight has come over', () => {
    const rig = resolveRig(layout('righting'));
    const point = rig.points.find(({ point: { id } }) => id === 'upper-sill');
    if (!point) throw new Error('no point');
    const [from, half] = [rig.start[point.index], momentAt(rig, { travelM: (1.55 * Math.PI) / 4 }).positions[point.index]];
    if (!from || !half) throw new Error('no place');
    expect(half.z).toBeCloseTo(1.55 * Math.SQRT1_2, 6);
    expect(Math.hypot(half.x - from.x, half.y - from.y)).toBeCloseTo(1.55 * Math.SQRT1_2, 6);
    const report = judge(travelling(layout('righting'), 5));
    expect(report.pull).toMatchObject({ end: 'upright', reachedM: expect.closeTo((1.55 * Math.PI) / 3, 6) });
  });
});

describe('a steady tow', () => {
  it('keeps its rope as long as it was: the towing vehicle drives on', () => {
    const rig = resolveRig(layout('static-tow'));
    const lengthAt = (travelM: number) => momentAt(rig, { travelM }).shown?.balance.forces.spanLengthsM[0] ?? Number.NaN;
    expect(lengthAt(5)).toBeCloseTo(lengthAt(0), 3);
  });
});

describe('the pull over time', () => {
  it.each(layouts)('is at every hundredth step what the solver finds from nothing: $file', ({ build }) => {
    const rig = resolveRig(build());
    const seen: Moment[] = [];
    let steps = 0;
    const spy: Margins = {
      count: 1,
      at: (moment) => {
        if (steps++ % 100 === 0) seen.push(moment);
        return 1;
      },
    };
    runPull(rig, [spy]);
    for (const warm of seen) {
      const cold = momentAt(rig, warm.at);
      expect(warm.failure?.kind).toBe(cold.failure?.kind);
      for (const field of ['plannedN', 'greatestN', 'wllN', 'mbsN'] as const)
        warm.places[field].forEach((value, index) => {
          const other = cold.places[field][index] ?? Number.NaN;
          if (!Number.isNaN(other)) expect(Math.abs(value - other)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(other)));
        });
    }
  });
  it.each(layouts)('is never judged milder than its start: $file', ({ build }) => {
    const subject = build();
    const [start, whole] = [judgeStart(subject), judge(subject)];
    const ids = new Set(whole.findings.map(({ id }) => id));
    const covered = (code: string) => rules.find((rule) => rule.code === code)?.unless ?? [];
    for (const { id, code, undecided } of start.findings) {
      if (code === 'start-only' || undecided || ids.has(id)) continue;
      // A graver finding of the same matter stands in its place.
      expect(
        covered(code).some((graver) => whole.findings.some((entry) => entry.code === graver)),
        id,
      ).toBe(true);
    }
    for (const place of start.places) {
      const way = whole.places.find(({ id }) => id === place.id)?.worst;
      if (place.utilisation !== undefined && start.runUp === undefined) expect(way?.utilisation).toBeGreaterThanOrEqual(place.utilisation);
    }
  });
  it('finds an event to a millimetre: a millimetre before, it was not there', () => {
    const subject = travelling(straight(14), 12);
    const { reachedM } = judge(subject).pull;
    expect(judge(travelling(subject, reachedM - 0.0011)).pull.end).toBe('travel-done');
    expect(judge(travelling(subject, reachedM)).pull.end).toBe('reaches-fairlead');
  });
  it('is known by its start alone where nobody has said how far it goes, and says so and asks', () => {
    const { travelM: _said, ...load } = exampleCase().rig.load;
    const report = judge(withRig(exampleCase(), () => ({ load })));
    expect(report.startOnly).toBe('travel-not-said');
    expect(report.verdict).toBe('watch');
    expect(
      report.findings.filter(({ code }) => code === 'start-only' || code === 'travel-not-said').map(({ undecided }) => undecided),
    ).toEqual(expect.arrayContaining([false, true]));
  });
  it('says of a start that it is one, which no team may soften', () => {
    const policy = { ...exampleCase().policy, severities: { 'start-only': 'note' as const } };
    const report = judgeStart({ ...exampleCase(), policy });
    expect(finding(report, 'start-only')?.severity).toBe('caution');
    expect(report.verdict).toBe('watch');
    expect(judge(exampleCase()).verdict).toBe('clear');
  });
  it('ends at its first metre where something holds there already', () => {
    const near = judge(travelling(straight(4.4), 3));
    expect(near.pull).toMatchObject({ end: 'reaches-fairlead', reachedM: 0 });
  });
  it('takes no line that stands still for one that comes nearer: a pulley by the fairlead it never moves from', () => {
    // A lead beside the winch, on the same vehicle, at half a metre.
    const report = judge(layout('led-under-the-vehicle'));
    expect(report.pull.end).toBe('travel-done');
  });
});

describe('a vehicle that the rope pulls off its heading', () => {
  const aside = (extra: readonly Body[] = []): Case =>
    withRig(chosen(travelling(moved(exampleCase({ layout: 'straight' }), 'larch', { xM: 12, yM: 6 }), 3), 4000), ({ bodies }) => ({
      bodies: [...bodies, ...extra],
    }));
  const stone = (xM: number, yM: number): Body => ({ id: 'stone', kind: 'rock', label: 'Stone', xM, yM, diameterM: 0.4 });
  it('is judged both along its heading and along the force, the worse stands, and the question is asked where they differ', () => {
    expect(codes(judge(aside()))).not.toContain('path-not-drawn');
    const onHeading = judge(aside([stone(4.6, -0.6)]));
    expect(finding(onHeading, 'path-not-drawn')?.undecided).toBe(true);
    expect(onHeading.verdict).toBe('stop');
    const drawn = withRig(aside([stone(4.6, -0.6)]), ({ load }) => ({ load: { ...load, path: [{ xM: 10, yM: 6 }] } }));
    expect(codes(judge(drawn))).not.toContain('path-not-drawn');
  });
});

describe('work of the motor over the whole way', () => {
  it('hauls the rope that the path shortens by, and rests between bursts at metres of the way', () => {
    const report = judge(travelling(straight(20), 6));
    const work = report.drives[0]?.work;
    expect(work?.ropeM).toBeCloseTo(6, 2);
    const rests = report.pull.events.filter(({ kind }) => kind === 'rest');
    expect(rests).toHaveLength((work?.bursts ?? 0) - 1);
    for (const { atM } of rests) expect(atM).toBeGreaterThan(0);
    expect(report.pull.haulMin).toBeCloseTo(work?.minutes ?? Number.NaN, 9);
  });
});

describe('energy if a line breaks', () => {
  it('is the greatest of any state at any metre, and says where', () => {
    // The longest rope under the greatest pull: the start of a straight haul on one layer.
    const report = judge(travelling(straight(12), 3));
    const [broken] = report.breaks;
    expect(broken?.atM).toBe(0);
    const lower = judge(layout('lowering-down-a-slope'));
    expect(lower.breaks[0]?.atM).toBeCloseTo(3, 6);
  });
});

const van = (body: VehicleBody): VehicleBody => ({ ...body, stance: { ground: 'dry-grass', brakes: 'all' } });

describe('what runs when the line parts', () => {
  const slope = layout('lowering-down-a-slope');
  it('is told with the force that nothing else holds', () => {
    const report = judge(slope);
    // 2,200 kg on 16°, less its rolling on grass: 0.08.
    const weightN = 2200 * 9.80665;
    const tilt = (16 * Math.PI) / 180;
    expect(report.left[0]?.runsByN).toBeCloseTo(weightN * (Math.sin(tilt) - 0.08 * Math.cos(tilt)), -2);
    expect(codes(report)).toContain('runs-if-parted');
  });
  it('does not run on brakes that hold it', () => {
    const braked = withRig(slope, ({ bodies }) => ({
      bodies: bodies.map((body) => (body.id === 'otter' && body.kind === 'vehicle' ? van(body) : body)),
    }));
    expect(judge(braked).left).toEqual([]);
  });
});

it('keeps a mark that is only an advert as it was: adding travel changes no other matter', () => {
  const advert = {
    ...exampleCase(),
    gear: exampleCase().gear.map((facts) => (facts.id === 'TS-heavy' ? { ...facts, marks: [mark('MBS 14 t', 'advert')] } : facts)),
  } as Case;
  expect(finding(judge(advert), 'advert-only')?.fromM).toBeUndefined();
});

describe('a way on which no balance is found', () => {
  // The bridled vehicle stands almost on the fairlead and is led past it: its links can find no place.
  const path = [
    { xM: 2, yM: 1 },
    { xM: 3, yM: 4 },
  ];
  const beside = withRig(
    moved(layout('fixed-bridle'), 'otter', { xM: -0.5387412663549185, yM: 3, headingRad: 4.511676116405342 }),
    (rig) => ({
      load: { ...rig.load, travelM: 4, path, drivesAlong: true },
    }),
  );
  const report = judge(moved(beside, 'heron', { headingRad: 1.3962634015954636 }));
  it('ends there by name, stopped, and tells of the rope hauled up to there alone', () => {
    expect(report.pull.end).toBe('no-balance');
    expect(report.verdict).toBe('stop');
    const work = report.drives[0]?.work;
    expect(work?.ropeM).toBeGreaterThanOrEqual(0);
    expect(work?.ropeM).toBeLessThan(4);
  });
});
