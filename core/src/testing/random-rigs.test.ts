import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { drivenBy } from '../moment/balance.ts';
import { forcesOf, pathLengthM } from '../moment/forces.ts';
import type { Balances, Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import { networkAt } from '../moment/poses.ts';
import { canonicalJson } from '../policy/canonical-json.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit, type Edit } from '../rig/edits.ts';
import type { Body, Rig } from '../rig/rig.ts';
import { holdsBack } from '../rig/site-geometry.ts';
import { solveNetwork } from '../statics/solve-network.ts';
import { layouts } from './layouts.ts';

const jitter = (size: number) => fc.array(fc.double({ min: -size, max: size, noNaN: true }), { minLength: 12, maxLength: 12 });

/** Any layout of the work with everything in it pushed about: places, headings, heights, slope. */
const randomCase: fc.Arbitrary<Case> = fc
  .record({
    layout: fc.integer({ min: 0, max: layouts.length - 1 }),
    x: jitter(1.2),
    y: jitter(1.2),
    turn: jitter(0.12),
    height: jitter(0.2),
    slope: fc.double({ min: 0, max: 0.2, noNaN: true }),
    uphill: fc.double({ min: 0, max: 6.2, noNaN: true }),
  })
  .map(({ layout, x, y, turn, height, slope, uphill }) => {
    const subject = (layouts[layout] as (typeof layouts)[number]).build();
    const { rig } = subject;
    const bodies = rig.bodies.map((body, index) => {
      const at = { xM: body.xM + (x[index] ?? 0), yM: body.yM + (y[index] ?? 0) };
      return ('headingRad' in body ? { ...body, ...at, headingRad: body.headingRad + (turn[index] ?? 0) } : { ...body, ...at }) as Body;
    });
    const points = rig.points.map((point, index) => ({
      ...point,
      place: { ...point.place, heightM: point.place.heightM + (height[index] ?? 0) },
    }));
    return { ...subject, rig: { ...rig, bodies, points, ground: { slopeRad: slope, uphillRad: uphill } } };
  });

/** A rig in balance at its start. */
interface Solvable extends Moment {
  readonly balances: Balances;
}
const startOf = (subject: Case): Moment => momentAt(resolveRig(subject), { travelM: 0 });
const isSolvable = (moment: Moment): moment is Solvable => moment.balances !== undefined;
const solvable = (subject: Case): Solvable | undefined => {
  const start = startOf(subject);
  return isSolvable(start) ? start : undefined;
};
const moved = (rig: Rig, by: { readonly x: number; readonly y: number }): Rig => ({
  ...rig,
  bodies: rig.bodies.map((body) => (body.id === rig.load.bodyId ? { ...body, xM: body.xM + by.x, yM: body.yM + by.y } : body)),
});
const networkOf = (rig: ResolvedRig) => networkAt(rig, rig.start);

/** Rope hauled for a metre of travel, each drive's by its share, measured by moving the load and solving again. */
function hauledForTravel({ rig, travel, drives }: Solvable): number | undefined {
  const step = 1e-4;
  const lengthAfter = (by: number): number | undefined => {
    const other = resolveRig({ ...rig.subject, rig: moved(rig.rig, { x: by * travel.x, y: by * travel.y }) });
    const state = solveNetwork(
      drivenBy(networkOf(other), drives, ({ share }) => share),
      'frictionless',
    );
    if (state.kind !== 'solved') return undefined;
    const forces = forcesOf(other, state);
    return drives.reduce((sum, { drive, share }) => sum + share * pathLengthM(drive.line, forces), 0);
  };
  const [further, nearer] = [lengthAfter(step), lengthAfter(-step)];
  if (further === undefined || nearer === undefined) return undefined;
  const backwards = holdsBack(rig.rig) ? -1 : 1;
  return (backwards * (nearer - further)) / (2 * step);
}

/** A third of them every time; all of them, five times over, in the long tests. */
const runs = (count: number) => (process.env.WAINROPE_LONG === 'yes' ? 5 * count : Math.ceil(count / 3));

describe('random rigs of every layout', () => {
  it('leave less than 1e-9 of the largest tension unbalanced, or are named', () => {
    let solved = 0;
    fc.assert(
      fc.property(randomCase, (subject) => {
        const { balances, failure } = startOf(subject);
        if (balances) solved++;
        return balances
          ? Math.max(balances.hauling.equilibrium.residual, balances.frictionless.equilibrium.residual) < 1e-9
          : failure !== undefined && failure.nodes.length > 0;
      }),
      { seed: 301, numRuns: runs(400) },
    );
    expect(solved).toBeGreaterThan(0.95 * runs(400));
  });
  it('without friction, multiply the pull as much as they haul rope for travel: by virtual work', () => {
    let compared = 0;
    fc.assert(
      fc.property(randomCase, (subject) => {
        const start = solvable(subject);
        // A ramp of its own leaves the ground, and a bridle that goes slack kinks the path.
        if (subject.rig.load.task?.kind === 'deck' || (start?.balances.frictionless.equilibrium.slackLinks.length ?? 1) > 0) return true;
        const hauled = start && hauledForTravel(start);
        if (hauled === undefined) return true;
        compared++;
        return Math.abs(hauled - (start?.advantage?.frictionless ?? Number.NaN)) < 1e-6 * Math.max(1, Math.abs(hauled));
      }),
      { seed: 302, numRuns: runs(150) },
    );
    expect(compared).toBeGreaterThan(0.86 * runs(150));
  });
  it('carry twice as much everywhere when driven twice as hard', () => {
    fc.assert(
      fc.property(randomCase, fc.double({ min: 0.1, max: 50_000, noNaN: true }), (subject, factor) => {
        const start = solvable(subject);
        if (!start) return true;
        const { rig, drives, balances } = start;
        const network = networkOf(rig);
        const harder = solveNetwork(
          drivenBy(network, drives, ({ share }) => share * factor),
          'hauling',
        );
        if (harder.kind !== 'solved') return false;
        return balances.hauling.equilibrium.linkTensions.every(
          (tension, link) => Math.abs((harder.linkTensions[link] as number) / factor - tension) < 1e-7 * Math.max(1, tension),
        );
      }),
      { seed: 303, numRuns: runs(120) },
    );
  });
  it('do not care for turning and mirroring', () => {
    const turned = ({ rig, ...rest }: Case, angle: number): Case => ({
      ...rest,
      rig: {
        ...rig,
        ground: { ...rig.ground, uphillRad: rig.ground.uphillRad + angle },
        load: {
          ...rig.load,
          ...(rig.load.task &&
            'bearingRad' in rig.load.task && { task: { ...rig.load.task, bearingRad: rig.load.task.bearingRad + angle } }),
        },
        bodies: rig.bodies.map((body) => {
          const at = {
            xM: body.xM * Math.cos(angle) + body.yM * Math.sin(angle),
            yM: body.yM * Math.cos(angle) - body.xM * Math.sin(angle),
          };
          return ('headingRad' in body ? { ...body, ...at, headingRad: body.headingRad + angle } : { ...body, ...at }) as Body;
        }),
      },
    });
    const mirrored = ({ rig, ...rest }: Case): Case => ({
      ...rest,
      rig: {
        ...rig,
        ground: { ...rig.ground, uphillRad: -rig.ground.uphillRad },
        load: {
          ...rig.load,
          ...(rig.load.task && 'bearingRad' in rig.load.task && { task: { ...rig.load.task, bearingRad: -rig.load.task.bearingRad } }),
        },
        bodies: rig.bodies.map(
          (body) => ('headingRad' in body ? { ...body, xM: -body.xM, headingRad: -body.headingRad } : { ...body, xM: -body.xM }) as Body,
        ),
        points: rig.points.map((point) =>
          point.place.kind === 'on-vehicle' ? { ...point, place: { ...point.place, leftM: -point.place.leftM } } : point,
        ),
      },
    });
    fc.assert(
      fc.property(randomCase, fc.double({ min: -3, max: 3, noNaN: true }), (subject, angle) => {
        const plain = judge(subject);
        return [turned(subject, angle), mirrored(subject)].every((other) => {
          const report = judge(other);
          return (
            report.verdict === plain.verdict &&
            report.places.every(({ plannedN }, index) => {
              const own = plain.places[index]?.plannedN;
              return own === undefined ? plannedN === undefined : Math.abs((plannedN ?? Number.NaN) - own) <= 1e-6 * Math.max(1, own);
            })
          );
        });
      }),
      { seed: 304, numRuns: runs(120) },
    );
  });
  it('never gain by friction: no strand carries more than its drive while hauling, none less while lowering', () => {
    fc.assert(
      fc.property(randomCase, (subject) => {
        const start = solvable(subject);
        if (!start) return true;
        const { rig, drives, balances } = start;
        const network = networkOf(rig);
        const lowering = solveNetwork(
          drivenBy(network, drives, ({ share }) => share),
          'lowering',
          balances.hauling.equilibrium,
        );
        return network.ropes.every((_, rope) => {
          const [first = 0, ...rest] = balances.hauling.equilibrium.strandTensions[rope] ?? [];
          const [own = 0, ...others] = lowering.kind === 'solved' ? (lowering.strandTensions[rope] ?? []) : [];
          return rest.every((tension) => tension <= first * (1 + 1e-9)) && others.every((tension) => tension >= own * (1 - 1e-9));
        });
      }),
      { seed: 305, numRuns: runs(150) },
    );
  });
  it('give reports that are plain data, finite throughout, and the same every time', () => {
    fc.assert(
      fc.property(randomCase, (subject) => {
        const report = judge(subject);
        return (
          canonicalJson(JSON.parse(JSON.stringify(report))) === canonicalJson(report) &&
          canonicalJson(judge(subject)) === canonicalJson(report)
        );
      }),
      { seed: 306, numRuns: runs(100) },
    );
  });
});

describe('edits', () => {
  const edit = (rig: Rig): fc.Arbitrary<Edit> =>
    fc.oneof(
      fc.constantFrom(...rig.bodies).chain((body) =>
        fc.record({
          kind: fc.constant('move-body' as const),
          bodyId: fc.constant(body.id),
          xM: fc.integer({ min: -50, max: 50 }),
          yM: fc.integer({ min: -50, max: 50 }),
        }),
      ),
      fc.constantFrom(...rig.bodies).map((body): Edit => ({ kind: 'remove', list: 'bodies', id: body.id })),
      fc.constantFrom(...rig.chains).map((chain): Edit => ({ kind: 'remove', list: 'chains', id: chain.id })),
      fc
        .constantFrom(...rig.bodies)
        .map((body): Edit => ({ kind: 'put', list: 'bodies', entry: { ...body, id: `${body.id}-two` } as Body, before: body.id })),
      fc.constantFrom(...rig.points).map((point): Edit => ({ kind: 'put', list: 'points', entry: { ...point, label: 'moved' } })),
      fc.constant<Edit>({ kind: 'put', list: 'joints', entry: { id: 'new-joint', label: 'new' } }),
      fc.constantFrom<Edit>(
        { kind: 'remove', list: 'joints', id: 'apex' },
        { kind: 'remove', list: 'lanyards', id: 'lanyard' },
        { kind: 'remove', list: 'bodies', id: 'nobody' },
      ),
      fc.constantFrom<Edit>(
        { kind: 'set-purpose', purpose: 'lower' },
        { kind: 'set-purpose', purpose: undefined },
        { kind: 'choose-tools', tools: ['JK-1'] },
      ),
      fc.constant<Edit>({ kind: 'state-engine', engine: { running: true } }),
    );
  it('each have an inverse: any run of them, taken back in turn, leaves the rig as it was', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: layouts.length - 1 }).chain((index) => {
          const { rig } = (layouts[index] as (typeof layouts)[number]).build();
          return fc.array(edit(rig), { minLength: 1, maxLength: 12 }).map((edits) => ({ rig, edits }));
        }),
        ({ rig, edits }) => {
          const inverses: Edit[] = [];
          let now = rig;
          for (const entry of edits) {
            const { rig: next, inverse } = applyEdit(now, entry);
            inverses.push(inverse);
            now = next;
          }
          for (const inverse of inverses.reverse()) now = applyEdit(now, inverse).rig;
          return canonicalJson(now) === canonicalJson(rig);
        },
      ),
      { seed: 307, numRuns: runs(400) },
    );
  });
});
