import { describe, expect, it } from 'vitest';
import { holdUnder } from '../hold/vehicle-hold.ts';
import { judge, judgedStart } from '../judgement/judge.ts';
import { policyFaults } from '../judgement/policy-faults.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Line, VehicleBody } from '../rig/rig.ts';
import { vec3 } from '../statics/vec3.ts';
import { madeSafe } from './careful-team.ts';
import { attributes, body, changed, facts, gear, ground, layoutCase, marks, rig, situation, swap, use } from './changes.ts';
import { kitGear } from './kit-gear.ts';

const kit = (id: string) => kitGear.find((entry) => entry.id === id) as (typeof kitGear)[number];
const codes = (report: ReturnType<typeof judge>) => report.findings.map(({ code }) => code);

describe('whatever is joined to a line is no line out', () => {
  const rope = layoutCase('extension-in-the-return-leg');
  const strap = (lengthM: number) => {
    const own = { ...kit('ST-B'), id: 'ST-L', attributes: { ...kit('ST-B').attributes, lengthM } } as (typeof kitGear)[number];
    return swap('line.rope.1', own)(rope);
  };
  it('a strap as long as an extension leaves the same line out, layer and wraps', () => {
    const [a, b] = [judge(rope).drum, judge(strap(12)).drum];
    expect(b.lineOutM).toBeCloseTo(a.lineOutM ?? Number.NaN, 9);
    expect([b.layer, b.wrapsLeft]).toEqual([a.layer, a.wrapsLeft]);
  });
  it('every metre of strap more is a metre less from the drum, which works on a higher layer and pulls less', () => {
    const [short, long] = [judge(strap(4)).drum, judge(strap(14)).drum];
    expect((short.lineOutM ?? 0) - (long.lineOutM ?? 0)).toBeCloseTo(10, 9);
    expect(long.layer).toBeGreaterThan(short.layer ?? 9);
    expect(long.ratedN).toBeLessThan(short.ratedN ?? 0);
  });
  it('a soft shackle between the two counts with its own length', () => {
    const joined = changed(
      gear('SS-D'),
      rig(({ lines }) => ({
        lines: lines.map((line) => ({
          ...line,
          ropes: [
            line.ropes[0] as Line['ropes'][number],
            { id: 'joint', role: 'connector' as const, gearId: 'SS-D' },
            line.ropes[1] as Line['ropes'][number],
          ],
        })),
      })),
    )(rope);
    expect((judge(rope).drum.lineOutM ?? 0) - (judge(joined).drum.lineOutM ?? 0)).toBeCloseTo(0.15, 9);
  });
});

describe('a joint is judged where it lies', () => {
  const at = (lengthM: number) => {
    const { rig: resolved, start } = judgedStart(attributes('LX-1', { lengthM })(layoutCase('extension-in-the-return-leg')));
    const end = resolved.places.find(({ id }) => id === 'line.rope.0:end');
    const [first, second] = [0, 1].map((span) => (start.shown?.balance.forces.spans[span] ?? 0) * (start.shown?.scale ?? 0));
    return { endN: start.places.plannedN[end?.index ?? -1], first, second };
  };
  it('beyond the ring in the return leg, with what passes the ring', () => {
    const { endN, first = 0, second = 0 } = at(12);
    expect(endN).toBeCloseTo(second, 6);
    expect(second / first).toBeCloseTo(0.8814, 2);
  });
  it('before the ring in the winch leg, with all of it: a share of 0.92 would have been 1.04', () => {
    const { endN, first = 0, second = 0 } = at(22);
    expect(endN).toBeCloseTo(first, 6);
    expect((0.92 * first) / second).toBeCloseTo(1.044, 2);
  });
});

describe('what limits the line pull', () => {
  const limit = (subject: Parameters<typeof judge>[0]) => judge(subject).linePullLimit?.pullN;
  it('is 0 where a piece has no rating', () => {
    expect(limit(layoutCase('single-line-to-a-vehicle'))).toBeGreaterThan(0);
    expect(limit(facts('SS-B', { marks: [] })(layoutCase('single-line-to-a-vehicle')))).toBe(0);
    expect(limit(facts('GA-1', { marks: [] })(layoutCase('ground-anchor')))).toBe(0);
  });
  it('is where a grip slips, be that a tenth of its strength', () => {
    const slips = (slipLoadN: number) => judge(attributes('PL-A', { slipLoadN })(layoutCase('held-by-a-grip')));
    const [low, double] = [slips(900), slips(1800)];
    expect(low.linePullLimit?.placeId).toBe('holding.2:body');
    expect((double.linePullLimit?.pullN ?? 0) / (low.linePullLimit?.pullN ?? 1)).toBeCloseTo(2, 9);
    const { start, rig: resolved } = judgedStart(attributes('PL-A', { slipLoadN: 900 })(layoutCase('held-by-a-grip')));
    const per = start.places.perPullN[resolved.places.find(({ id }) => id === 'holding.2:body')?.index ?? -1] ?? Number.NaN;
    expect(900 / per).toBeCloseTo(
      judge(attributes('PL-A', { slipLoadN: 900 })({ ...layoutCase('held-by-a-grip') })).linePullLimit?.pullN ?? 0,
      -2,
    );
  });
});

describe('a vehicle that winches', () => {
  it('leaves no pull at which it slides and nothing says so', () => {
    const spoken = (massKg: number) => {
      const found = codes(
        judge(body('heron', { massKg, stance: { ground: 'wet-grass', brakes: 'all' } })(layoutCase('double-line-to-a-vehicle'))),
      );
      const holds = judge(
        body('heron', { massKg, stance: { ground: 'wet-grass', brakes: 'all' } })(layoutCase('double-line-to-a-vehicle')),
      ).holds;
      const slides = (holds.find(({ bodyId }) => bodyId === 'heron')?.greatestSlidesByN ?? -1) > 0;
      return { slides, says: found.some((code) => code.startsWith('vehicle-slides')) };
    };
    const all = Array.from({ length: 24 }, (_, index) => spoken(1500 + 1500 * index));
    expect(all.every(({ slides, says }) => says || !slides)).toBe(true);
    expect(all.some(({ slides }) => slides) && all.some(({ slides }) => !slides)).toBe(true);
  });
  it('stands on the ground of the site until somebody says otherwise: gravel 0.50, grass 0.35 wet and 0.50 dry', () => {
    const holdN = (change: Parameters<typeof situation>[0]) => {
      const subject = changed(body('heron', { stance: { brakes: 'all' } }), situation(change))(layoutCase('single-line-to-a-vehicle'));
      return judge(subject).holds.find(({ bodyId }) => bodyId === 'heron')?.plannedHoldN ?? Number.NaN;
    };
    const gravel = holdN({ surface: 'gravel' });
    expect(holdN({ surface: 'grass', wet: true }) / gravel).toBeCloseTo(0.7, 2);
    expect(holdN({ surface: 'grass', wet: false }) / gravel).toBeCloseTo(1, 2);
    expect(holdN({ surface: 'hard-road' }) / gravel).toBeCloseTo(1.2, 2);
  });
  it('is asked what holds it where only its ground is said, and the ground alone chooses no brakes', () => {
    const report = judge(body('heron', { stance: { ground: 'dry-gravel' } })(layoutCase('single-line-to-a-vehicle')));
    expect(report.findings.find(({ code }) => code === 'vehicle-slides')?.undecided).toBe(true);
    expect(report.holds.find(({ bodyId }) => bodyId === 'heron')?.plannedHoldN).toBeUndefined();
  });
});

describe('back-anchors', () => {
  const oak = 'oak:anchor:back';
  const beside = (straps: number) =>
    changed(
      gear('TS-A', 'SS-E', 'ST-A', 'SS-F', 'TS-C'),
      rig(({ backAnchors = [] }) => ({
        backAnchors: Array.from({ length: straps }, (_, index) => ({
          ...(backAnchors[0] as NonNullable<typeof backAnchors>[number]),
          id: index === 0 ? 'back' : `back-${index}`,
          pieces: (backAnchors[0]?.pieces ?? []).map((own) => ({ ...own, id: index === 0 ? own.id : `${own.id}-${index}` })),
        })),
      })),
    )(layoutCase('back-anchored-to-a-tree'));
  const strapN = (subject: Parameters<typeof judge>[0]) =>
    judge(subject).places.find(({ id }) => id === 'back.2:body')?.plannedN ?? Number.NaN;
  it('two like straps are each judged for 0.6 of what one would take, and so are three', () => {
    const one = strapN(beside(1));
    expect(strapN(beside(2)) / one).toBeCloseTo(0.6, 9);
    expect(strapN(beside(3)) / one).toBeCloseTo(0.6, 9);
  });
  it('the trunk carries all of them once', () => {
    const loadN = (straps: number) => judge(beside(straps)).places.find(({ id }) => id === oak)?.plannedN ?? Number.NaN;
    expect(loadN(2)).toBeCloseTo(loadN(1), 6);
    expect(judge(beside(2)).places.filter(({ kind }) => kind === 'anchor')).toHaveLength(1);
  });
  it('straight behind take the push less the hold, with the margin: 1.25 × (D − H)', () => {
    const report = judge(layoutCase('back-anchored-to-a-tree'));
    const slidesBy = report.holds.find(({ bodyId }) => bodyId === 'heron')?.plannedSlidesByN ?? Number.NaN;
    // The strap leads a degree off and rises a hand's breadth.
    expect((report.places.find(({ id }) => id === 'back.2:body')?.plannedN ?? 0) / (1.25 * slidesBy)).toBeCloseTo(1, 1);
    expect(report.places.find(({ id }) => id === oak)?.plannedN).toBeCloseTo(
      report.places.find(({ id }) => id === 'back.2:body')?.plannedN ?? 0,
      6,
    );
  });
  it('are kept clear of and store what their straps stretch, in both directions', () => {
    const report = judge(layoutCase('back-anchored-to-a-tree'));
    expect(report.zones.map(({ lineId }) => lineId)).toContain('back');
    const parts = report.breaks.find(({ lineId }) => lineId === 'back');
    expect(parts?.energyJ).toBeGreaterThan(0);
    const [a, b] = parts?.flights ?? [];
    expect((a?.along.x ?? 0) + (b?.along.x ?? 1)).toBeCloseTo(0, 9);
  });
});

describe('a shackle’s angle', () => {
  const wll = (swing: string | undefined, turnDeg: number) => {
    const turned = body('otter', { headingRad: ((255 + turnDeg) * Math.PI) / 180 });
    const subject = changed(swap('at-otter.1', kit('SH-A')), attributes('VP-A', { swing }), turned)(layoutCase('single-line-to-a-vehicle'));
    return judge(subject).places.find(({ id }) => id === 'at-otter.1:body')?.wllN ?? Number.NaN;
  };
  it('follows from the load’s way and how its point lets it swing', () => {
    const free = wll('free', 40);
    // To the side by some 40°: 1 − 0.3 × 40/45; level it follows, and its rise of a degree or two is all that is left.
    expect(wll('upright', 40) / free).toBeGreaterThan(0.7);
    expect(wll('upright', 40) / free).toBeLessThan(0.78);
    expect(wll('level', 40) / free).toBeGreaterThan(0.98);
    expect(wll(undefined, 40)).toBeCloseTo(wll('upright', 40), 6);
  });
  it('stated by somebody is taken as stated: 45° leaves 0.70', () => {
    const subject = changed(
      swap('at-otter.1', kit('SH-A')),
      use('at-otter.1', { bowAngleRad: Math.PI / 4 }),
    )(layoutCase('single-line-to-a-vehicle'));
    expect((judge(subject).places.find(({ id }) => id === 'at-otter.1:body')?.wllN ?? 0) / wll('free', 0)).toBeCloseTo(0.7, 9);
  });
});

describe('loops through loops', () => {
  const joined = layoutCase('stretch-pull-joined');
  const interlaced = rig(({ lines }) => ({
    lines: lines.map((line) => ({ ...line, ropes: line.ropes.filter(({ role }) => role !== 'connector') })),
  }))(joined);
  it('keep 0.70 of a stretch rope at the joint, on both of them, and all of it elsewhere', () => {
    const wll = (subject: typeof joined, id: string) => judge(subject).places.find((place) => place.id === id)?.wllN ?? Number.NaN;
    expect(wll(interlaced, 'line.rope.0:end') / wll(joined, 'line.rope.0:end')).toBeCloseTo(0.7, 9);
    expect(wll(interlaced, 'line.rope.2:rope') / wll(joined, 'line.rope.2:rope')).toBeCloseTo(0.7, 9);
    expect(wll(interlaced, 'line.rope.2:end')).toBeCloseTo(wll(joined, 'line.rope.2:end'), 6);
  });
});

describe('tipping', () => {
  it('is that of the state that tips most, whichever slides most', () => {
    // A bridle that runs one way or the other pulls its two points unevenly, each in turn.
    const { start } = judgedStart(body('otter', { headingRad: 4.2 })(layoutCase('running-bridle')));
    const { vehicle, planned } = start.holds.find((hold) => hold.vehicle.isLoad) ?? {};
    const tipping = start.states.stands.map(({ balance, scale }) => {
      const at = (index: number) => scale * (balance.forces.points[index] ?? 0);
      const pulls = (vehicle?.mounts ?? []).map(({ point, forwardM, heightM }) => ({
        force: vec3(at(3 * point), at(3 * point + 1), at(3 * point + 2)),
        forwardM,
        heightM,
      }));
      return vehicle ? holdUnder(vehicle.standing, pulls).tipping : Number.NaN;
    });
    expect(new Set(tipping).size).toBeGreaterThan(1);
    expect(planned?.tipping).toBeCloseTo(Math.max(...tipping), 12);
  });
});

describe('across a slope', () => {
  /** A line that hangs loose holds nothing to the side. */
  const faint = rig(() => ({ chosenPull: { pullN: 1, person: 'Test', reason: 'slack' } }));
  const across = (slopeDeg: number) =>
    codes(judge(changed(faint, situation({ surface: 'gravel' }), ground(slopeDeg, 278))(layoutCase('redirect-along-a-road'))));
  it('wheels on gravel hold to tan⁻¹ 0.50, 26.57°, and run aside beyond it', () => {
    expect(across(26.5)).not.toContain('load-runs-aside');
    expect(across(26.7)).toContain('load-runs-aside');
  });
  it('a vehicle stuck to a depth does not run aside until it is free', () => {
    const stuck = (travelM: number) =>
      codes(
        judge(
          changed(
            situation({ surface: 'gravel', depth: 'hubs' }),
            ground(30, 278),
            rig(({ load }) => ({ load: { ...load, travelM } })),
          )(layoutCase('redirect-along-a-road')),
        ),
      );
    expect(stuck(0.5)).not.toContain('load-runs-aside');
    expect(stuck(1.5)).toContain('load-runs-aside');
  });
});

describe('what speaks falsely no more', () => {
  const found = (file: string, change = (subject: Parameters<typeof judge>[0]) => subject) =>
    codes(judge(change(madeSafe(layoutCase(file)))));
  it('a winch on a deck that looks back, and a line led under the vehicle, leave their fairleads straight', () => {
    expect(found('loading-on-a-deck')).not.toContain('fairlead-angle');
    expect(found('led-under-the-vehicle')).not.toContain('fairlead-angle');
  });
  it('a winch whose facing nobody states is asked where it matters, and a stated one decides', () => {
    const unsaid = rig(({ lines }) => ({
      lines: lines.map(({ drive, ...line }) => {
        const { faces: _faces, ...bare } = drive as Extract<typeof drive, { kind: 'winch' }>;
        return { ...line, drive: bare };
      }),
    }))(layoutCase('loading-on-a-deck'));
    const own = (subject: typeof unsaid) => judge(subject).findings.find(({ code }) => code === 'fairlead-angle');
    expect(own(unsaid)?.undecided).toBe(true);
    expect(own(attributes('W-B', { faces: 'astern' })(unsaid))).toBeUndefined();
    expect(own(attributes('W-B', { faces: 'ahead' })(unsaid))?.undecided).toBe(false);
  });
  it('a re-spool asks for no bigger winch and no owner', () => {
    const small = marks('W-A', '12 kN');
    expect(found('spooling-under-tension', small)).not.toContain('winch-small');
    expect(codes(judge(layoutCase('spooling-under-tension')))).not.toContain('owner-not-told');
  });
  it('a tow asks for no chocks', () => {
    expect(codes(judge(layoutCase('static-tow')))).not.toContain('no-chocks');
    expect(codes(judge(layoutCase('single-line-to-a-vehicle')))).toContain('no-chocks');
  });
  it('stuck to a depth, shares of weight by surface are not shown, and each action that is offered saves something', () => {
    const { effort } = judge(situation({ depth: 'hubs' })(layoutCase('single-line-to-a-vehicle')));
    expect(effort?.methods.map(({ id }) => id)).toEqual(['mire', 'physics']);
  });
  it('a motor that would never cool to its restart temperature is refused: just at the ambient, and just above', () => {
    const at = (value: number) =>
      policyFaults({ ...teamStandard, electric: { ...teamStandard.electric, restartC: { value, source: 'test' } } }).map(
        ({ path }) => path,
      );
    expect(at(teamStandard.electric.ambientC.value)).toEqual(['policy.electric.restartC']);
    expect(at(teamStandard.electric.ambientC.value + 0.1)).toEqual([]);
  });
  it('a vehicle’s track is guessed by the policy', () => {
    const noTrack = rig(({ bodies }) => ({
      bodies: bodies.map((entry) => {
        if (entry.kind !== 'vehicle') return entry;
        const { trackM: _track, ...rest } = entry as VehicleBody;
        return rest;
      }),
    }))(layoutCase('single-line-to-a-vehicle'));
    const { start } = judgedStart(noTrack);
    expect(start.holds[0]?.planned?.trackM).toBeCloseTo(0.8 * 1.85, 9);
  });
});
