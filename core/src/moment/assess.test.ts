import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { readRigFile } from '../rig/case.ts';
import type { Rig } from '../rig/rig.ts';
import { add, norm, type Vec3, ZERO } from '../statics/vec3.ts';
import { layouts } from '../testing/layouts.ts';

const layout = (file: string): Case => (layouts.find((entry) => entry.file === file) as (typeof layouts)[number]).build();
const rig = (subject: Case, change: Partial<Rig>): Case => ({ ...subject, rig: { ...subject.rig, ...change } });
const onBody = (subject: Case, bodyId: string): Vec3 => {
  const points = subject.rig.points.filter((point) => point.bodyId === bodyId).map(({ id }) => id);
  return judge(subject)
    .pointLoads.filter(({ pointId }) => points.includes(pointId))
    .reduce((sum, { forceN }) => add(sum, forceN), ZERO);
};

describe('an anchor', () => {
  it('carries all chains on it together, once: three parts where two ropes end at one tree', () => {
    const subject = layout('compound-at-a-separate-anchor');
    const anchors = judge(subject).places.filter(({ kind }) => kind === 'anchor');
    expect(anchors).toHaveLength(1);
    expect(anchors[0]?.plannedN).toBeCloseTo(norm(onBody(subject, 'oak')), 6);
    // Hauling, friction leaves less than three hands' worth.
    const hand = judge(subject).plannedPullN ?? Number.NaN;
    expect((anchors[0]?.plannedN ?? 0) / hand).toBeGreaterThan(2.5);
    expect((anchors[0]?.plannedN ?? 0) / hand).toBeLessThan(3);
  });
  it('is as strong as at its weakest point: the higher of two straps', () => {
    const subject = layout('compound-at-a-separate-anchor');
    const thin = rig(subject, {
      bodies: subject.rig.bodies.map((body) => (body.id === 'oak' && body.kind === 'tree' ? { ...body, trunkDiameterM: 0.2 } : body)),
    });
    const low = rig(thin, {
      points: thin.rig.points.map((point) => (point.id === 'on-oak-too' ? { ...point, place: { kind: 'on-trunk', heightM: 0.4 } } : point)),
    });
    const holds = (one: Case) => judge(one).places.find(({ kind }) => kind === 'anchor')?.wllN ?? Number.NaN;
    expect(holds(thin) / holds(low)).toBeCloseTo(0.4 / 0.55, 6);
  });
});

describe('a vehicle that holds another back', () => {
  it('is pulled by what the other slides by, with its margin, and is asked whether it slides itself', () => {
    const subject = layout('back-anchored-to-vehicles');
    const { holds } = judge(subject);
    const sliding = holds.find(({ bodyId }) => bodyId === 'heron')?.plannedSlidesByN ?? Number.NaN;
    expect(sliding).toBeGreaterThan(0);
    // Two vehicles share it, almost straight behind; unlike straps are each judged for the least equal tension that holds.
    const each = holds.find(({ bodyId }) => bodyId === 'badger')?.plannedDemandN ?? Number.NaN;
    expect(each / (sliding * 1.25)).toBeGreaterThan(0.5);
    expect(each / (sliding * 1.25)).toBeLessThan(0.52);
    const onIce = rig(subject, {
      bodies: subject.rig.bodies.map((body) =>
        body.id === 'badger' && body.kind === 'vehicle' ? { ...body, stance: { ground: 'ice', brakes: 'parking-rear' } } : body,
      ),
    });
    expect(judge(onIce).findings.map(({ id }) => id)).toContain('vehicle-slides@badger');
    expect(judge(subject).findings.map(({ id }) => id)).not.toContain('vehicle-slides@badger');
  });
});

describe('lowering', () => {
  it('counts the wraps that stay when the load is down, not those at the start', () => {
    const subject = layout('lowering-down-a-slope');
    const far = rig(subject, { load: { ...subject.rig.load, travelM: 40 } });
    const codes = (one: Case) => judge(one).findings.map(({ code }) => code);
    expect(codes(subject)).not.toContain('too-few-wraps');
    expect(codes(far)).toContain('too-few-wraps');
    expect(codes(rig(far, { purpose: 'recover' }))).not.toContain('too-few-wraps');
  });
  it('asks less of the drum than holding, and puts as much on the load as it weighs', () => {
    const lower = judge(layout('lowering-down-a-slope'));
    const hold = judge(rig(layout('lowering-down-a-slope'), { purpose: 'hold' }));
    expect(lower.plannedPullN ?? 0).toBeLessThan(hold.plannedPullN ?? 0);
    expect(-(lower.loadForce?.alongN ?? 0)).toBeCloseTo(lower.pullN ?? Number.NaN, 6);
  });
});

describe('a running bridle', () => {
  it('is judged for friction either way: either leg may be the one that carries more', () => {
    const report = judge(layout('running-bridle'));
    const load = (id: string) => report.places.find((place) => place.id === id)?.plannedN ?? Number.NaN;
    const [first, second] = report.strands.filter(({ lineId }) => lineId === 'bridle').map(({ plannedN }) => plannedN ?? Number.NaN) as [
      number,
      number,
    ];
    expect(first / second).toBeCloseTo(1, 1);
    expect(load('at-left.0:body')).toBeCloseTo(first, 6);
    expect(load('at-right.0:body')).toBeCloseTo(second, 6);
    // Without friction both legs would carry the same, less than either does here.
    const even =
      (report.plannedPullN ?? Number.NaN) /
      2 /
      Math.cos((report.pulleys.find(({ chainId }) => chainId === 'on-bridle')?.strandAngleRad ?? 0) / 2);
    expect(Math.min(first, second)).toBeGreaterThan(even);
  });
});

describe('several drives', () => {
  const two = layout('two-winches');
  it('share by their rated pulls on the working layers until a person states otherwise', () => {
    const [first, second] = judge(two).drives;
    expect(second?.share).toBeCloseTo((second?.ratedN ?? 0) / (first?.ratedN ?? 1), 9);
    const stated = judge(
      rig(two, {
        sharing: {
          statedBy: 'Test',
          shares: [
            { lineId: 'first', share: 3 },
            { lineId: 'second', share: 1 },
          ],
        },
      }),
    );
    expect(stated.drives[1]?.share).toBeCloseTo(1 / 3, 12);
    const sum = (report: typeof stated) => report.loadForce?.alongN ?? Number.NaN;
    expect(sum(stated)).toBeCloseTo(sum(judge(two)), 3);
  });
  it('are all at their greatest together in the greatest check', () => {
    const report = judge(two);
    const winch = (id: string) => report.places.find((place) => place.id === id);
    for (const [index, id] of ['winch-fairlead.0:drum', 'winch-badger-lead.0:drum'].entries())
      expect(winch(id)?.greatestN).toBeCloseTo(report.drives[index]?.greatestN ?? Number.NaN, 6);
  });
  it('need a share each where shares are stated', () => {
    const file = {
      format: 'wainrope.rig',
      version: 2,
      case: rig(two, {
        sharing: {
          statedBy: 'Test',
          shares: [
            { lineId: 'first', share: 3 },
            { lineId: 'first', share: 1 },
          ],
        },
      }),
    };
    const read = readRigFile(JSON.parse(JSON.stringify(file)));
    expect(read.ok ? [] : read.faults.map(({ message }) => message)).toContain('line "second" has a drive and no share');
  });
});
