import { type Case, counted, type Report, type Rig, rules } from '@wainrope/core';
import { judge, judgeStart } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import { randomCases } from './random-cases.ts';

/** `npm test` takes a sample of what `npm run test:long` takes whole. */
const PAIRS = process.env.WAINROPE_LONG === 'yes' ? 2000 : 120;
const SEED = 20_261_130;

const GRAVITY: readonly Report['verdict'][] = ['clear', 'clear-judged', 'watch', 'stop'];
const subjects = [...randomCases(SEED, PAIRS)];
const withRig = (subject: Case, change: (rig: Rig) => Partial<Rig>): Case => ({
  ...subject,
  rig: { ...subject.rig, ...change(subject.rig) },
});
const starts = subjects.map((subject) => ({ subject, start: judgeStart(subject) }));
const SLACK = 1e-9;

/** A pair in which a change can be made at all, and both of which have a balance. */
function pairs(change: (subject: Case, start: Report) => Case | undefined): readonly (readonly [Report, Report])[] {
  return starts.flatMap(({ subject, start }) => {
    const other = start.plannedPullN === undefined ? undefined : change(subject, start);
    const report = other && judgeStart(other);
    return report?.plannedPullN === undefined ? [] : [[start, report] as const];
  });
}

const held = ({ purpose }: Rig) => purpose === 'lower' || purpose === 'hold';
const isRunUp = ({ lines }: Rig) => lines.some(({ drive }) => drive.kind === 'tow' && drive.manner === 'run-up');
/** A rig whose estimate plans the pull of a vehicle that is to be drawn up or along. */
const estimated = ({ rig }: Case, { effort }: Report) =>
  effort !== undefined && !effort.runsByItself && rig.chosenPull === undefined && !held(rig) && rig.purpose !== 'respool' && !isRunUp(rig);

describe(`of ${PAIRS} random pairs, the change makes worse what it must`, () => {
  it('a heavier load: the planned line pull', () => {
    const all = pairs((subject, start) =>
      estimated(subject, start)
        ? withRig(subject, ({ bodies, load }) => ({
            bodies: bodies.map((body) => (body.id === load.bodyId && 'massKg' in body ? { ...body, massKg: body.massKg * 1.2 } : body)),
          }))
        : undefined,
    );
    expect(all.length).toBeGreaterThan(PAIRS / 10);
    for (const [before, after] of all) expect(after.plannedPullN).toBeGreaterThan((before.plannedPullN ?? 0) * (1 - SLACK));
  });
  it('a chosen pull that is larger: every utilisation in proportion', () => {
    const all = pairs((subject) =>
      isRunUp(subject.rig) || (subject.rig.backAnchors ?? []).length > 0
        ? undefined
        : withRig(subject, () => ({ chosenPull: { pullN: 1000, person: 'Test', reason: 'pair' } })),
    ).flatMap(([, small]) => [small]);
    expect(all.length).toBeGreaterThan(PAIRS / 10);
    const doubled = pairs((subject) =>
      isRunUp(subject.rig) || (subject.rig.backAnchors ?? []).length > 0
        ? undefined
        : withRig(subject, () => ({ chosenPull: { pullN: 2000, person: 'Test', reason: 'pair' } })),
    ).flatMap(([, large]) => [large]);
    all.forEach((small, index) => {
      for (const place of small.places) {
        const large = doubled[index]?.places.find(({ id }) => id === place.id);
        if (place.utilisation !== undefined && large?.utilisation !== undefined)
          expect(large.utilisation / (2 * place.utilisation || 1)).toBeCloseTo(place.utilisation === 0 ? 0 : 1, 6);
      }
    });
  });
  it('a lower layer of the drum: every ratio to breaking', () => {
    // A longer rope on the same drum fills it higher; the shorter one works on a lower layer with the same line out.
    const all = pairs((subject, start) => {
      const drum = start.drives[0];
      if (drum?.layer === undefined || start.drives.length > 1 || subject.rig.limiter) return undefined;
      const line = subject.rig.lines.find(({ id }) => id === drum.lineId);
      const ropeId = line?.ropes[0]?.gearId;
      const longer = subject.gear.map((facts) => {
        const lengthM = (facts.attributes as { lengthM?: number }).lengthM;
        return facts.id === ropeId && lengthM !== undefined
          ? ({ ...facts, attributes: { ...facts.attributes, lengthM: lengthM + 25 } } as typeof facts)
          : facts;
      });
      return { ...subject, gear: longer };
    });
    let compared = 0;
    for (const [low, high] of all) {
      if ((low.drives[0]?.layer ?? 0) >= (high.drives[0]?.layer ?? 0)) continue;
      for (const place of low.places) {
        const other = high.places.find(({ id }) => id === place.id);
        if (place.breakingRatio === undefined || other?.breakingRatio === undefined || place.kind === 'drum') continue;
        compared++;
        expect(place.breakingRatio).toBeLessThan(other.breakingRatio * (1 + SLACK));
      }
    }
    expect(compared).toBeGreaterThan(PAIRS / 10);
  });
  it('a smaller sheave: the utilisation of the rope bent over it', () => {
    const all = pairs((subject) => {
      const smaller = subject.gear.map((facts) => {
        const own = facts.attributes as { treadDiameterM?: number; ropeDiameterM?: number };
        return own.treadDiameterM === undefined
          ? facts
          : ({ ...facts, attributes: { ...facts.attributes, treadDiameterM: own.treadDiameterM * 0.4 } } as typeof facts);
      });
      return { ...subject, gear: smaller };
    });
    let compared = 0;
    for (const [wide, narrow] of all)
      for (const place of wide.places) {
        const other = narrow.places.find(({ id }) => id === place.id);
        if (place.kind !== 'bend' || place.utilisation === undefined || other?.utilisation === undefined) continue;
        compared++;
        expect(other.utilisation).toBeGreaterThanOrEqual(place.utilisation * (1 - 1e-6));
      }
    expect(compared).toBeGreaterThan(PAIRS / 10);
  });
  it('a shorter strap round the same trunk: its own utilisation', () => {
    const all = pairs((subject) => {
      const straps = new Set(
        subject.rig.chains.flatMap(({ pieces }) =>
          pieces.flatMap(({ hitch, gearId }) => (hitch === 'basket' && gearId !== undefined ? [gearId] : [])),
        ),
      );
      const shorter = subject.gear.map((facts) => {
        const own = facts.attributes as { lengthM?: number };
        return straps.has(facts.id) && own.lengthM !== undefined
          ? ({ ...facts, attributes: { ...facts.attributes, lengthM: own.lengthM * 0.93 } } as typeof facts)
          : facts;
      });
      return straps.size === 0 ? undefined : { ...subject, gear: shorter };
    });
    let compared = 0;
    // A joint in the air may find another place as a strap grows shorter: then the pull itself is another.
    const alike = all.filter(([long, short]) => Math.abs((short.plannedPullN ?? 0) / (long.plannedPullN ?? 1) - 1) < 0.01);
    for (const [long, short] of alike)
      for (const place of long.places) {
        const other = short.places.find(({ id }) => id === place.id);
        // The rig moves by centimetres as the strap shortens; what is held is the load that the same pull puts on a leg.
        if (place.kind !== 'legs' || place.utilisation === undefined || other?.utilisation === undefined || (place.plannedN ?? 0) < 1e-6)
          continue;
        compared++;
        expect(other.utilisation).toBeGreaterThan(place.utilisation * 0.99);
      }
    expect(compared).toBeGreaterThan(PAIRS / 10);
  });
  it('more friction with the same geometry and line out: the planned pull of a single drive that hauls', () => {
    const all = pairs((subject, start) => {
      if (!estimated(subject, start) || subject.policy.friction.school !== 'by-wrap' || start.drives.length > 1) return undefined;
      if (subject.rig.joints || subject.rig.grips || start.pulleys.every(({ strandAngleRad }) => strandAngleRad === undefined))
        return undefined;
      // Where a strand pulls the load back, friction that eases it helps.
      if ((start.advantage?.hauling ?? 0) > (start.advantage?.frictionless ?? 0)) return undefined;
      const { friction } = subject.policy;
      const poorer = Object.fromEntries(
        Object.entries(friction.pulleyEfficiency).map(([kind, row]) => [kind, { ...row, value: row.value * 0.9 }]),
      ) as typeof friction.pulleyEfficiency;
      return { ...subject, policy: { ...subject.policy, friction: { ...friction, pulleyEfficiency: poorer } } };
    });
    expect(all.length).toBeGreaterThan(PAIRS / 20);
    for (const [smooth, rough] of all) expect(rough.plannedPullN).toBeGreaterThanOrEqual((smooth.plannedPullN ?? 0) * (1 - 1e-6));
  });
});

describe(`of ${PAIRS} random rigs, the whole act`, () => {
  const unless = new Map(rules.map(({ code, unless: graver }) => [code, graver ?? []]));
  const over = new Map(rules.map((rule) => [rule.code, rule.over]));
  const wholes = starts.map(({ subject, start }) => ({ subject, start, whole: judge(subject) }));
  const settled = ({ findings }: Report) => findings.filter(({ code, undecided }) => code !== 'start-only' && !undecided);
  /** What a start says that its whole act does not say as gravely. */
  const lost = (start: Report, whole: Report): readonly string[] => {
    const ids = new Set(whole.findings.map(({ id }) => id));
    const codes = new Set(whole.findings.map(({ code }) => code));
    return (
      settled(start)
        .filter(({ id, code }) => !ids.has(id) && !(unless.get(code) ?? []).some((graver) => codes.has(graver)))
        // What a rule of the act foretells from the start the act itself tells better; the line-pull limit is told of the piece that sets it.
        .filter(({ code }) => over.get(code) !== 'act' && !(code === 'over-line-pull-limit' && codes.has(code)))
        .map(({ id }) => id)
    );
  };
  it('is never judged milder than its start', () => {
    for (const { start, whole } of wholes) {
      if (whole.runUp) continue;
      const [before, after] = [start, whole].map((report) =>
        Math.max(0, ...settled(report).map((finding) => ['note', 'caution', 'fix', 'stop'].indexOf(counted(finding)))),
      );
      expect(after).toBeGreaterThanOrEqual(before ?? 0);
    }
  });
  it('keeps every finding of its start, or a graver one of the same matter', () => {
    for (const { start, whole } of wholes) if (!whole.runUp) expect(lost(start, whole)).toEqual([]);
  });
  it('has for every place a worst that is no better than its start, met on the way', () => {
    for (const { start, whole } of wholes)
      for (const place of start.places) {
        const way = whole.places.find(({ id }) => id === place.id)?.worst;
        if (whole.runUp || place.utilisation === undefined || place.utilisation === 0) continue;
        expect(way?.utilisation).toBeGreaterThanOrEqual(place.utilisation);
        expect(way?.plannedAtM).toBeLessThanOrEqual(whole.pull.reachedM + 1e-9);
      }
  });
  it('carries start-only wherever only the start is known, and nowhere else', () => {
    for (const { start, whole } of wholes) {
      expect(whole.findings.some(({ code }) => code === 'start-only')).toBe(whole.startOnly !== undefined);
      if (whole.startOnly) expect(GRAVITY.indexOf(whole.verdict)).toBeGreaterThanOrEqual(2);
      if (!whole.runUp) expect(start.findings.some(({ code }) => code === 'start-only')).toBe(true);
    }
  });
});
