import { describe, expect, it } from 'vitest';
import { policyFaults } from '../judgement/policy-faults.ts';
import type { AdoptedFigure } from '../policy/adopted-figures.ts';
import { figureOfPath } from '../policy/adopted-figures.ts';
import type { Policy } from '../policy/policy.ts';
import { policyDifferences } from '../policy/policy-differences.ts';
import { isTouched, recordedPolicy } from '../policy/recorded-policy.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { cheaperActions } from './cheaper-actions.ts';
import { estimatePull, type Held, type StuckVehicle } from './estimate-pull.ts';
import type { Situation } from './situation.ts';

const W = 2000 * 9.80665;
const plain: Situation = {
  surface: 'bog',
  depth: 'sills',
  soil: 'clay-or-bog',
  wet: true,
  lockedShare: 0,
  drivelineLocked: false,
  wheelsTurned: false,
};
const otter = (change: Partial<Situation> = {}, slopeDeg = 0): StuckVehicle => ({
  label: 'Otter',
  massKg: 2000,
  slopeRad: (slopeDeg * Math.PI) / 180,
  lengthM: 4,
  widthM: 1.8,
  situation: { ...plain, ...change },
});
const pulls = (...shares: readonly number[]): AdoptedFigure['pulls'] =>
  shares.map((share, index) => ({ pullId: `p-${index}`, on: `2025-06-${String(index + 10)}`, share }));
/** Nine at 1.2 and one at 1.3: the 90th percentile is 1.21, 1.1 times that 1.331. */
const figure = (change: Partial<AdoptedFigure> = {}): AdoptedFigure => ({
  surface: 'bog',
  depth: 'sills',
  machine: 'Otter',
  share: 1.331,
  pulls: pulls(...Array(9).fill(1.2), 1.3),
  ...change,
});
const under = (...ownFigures: readonly AdoptedFigure[]): Policy => ({ ...teamStandard, ownFigures });
const estimate = (vehicle: StuckVehicle, policy: Policy, held?: Held) => {
  const result = estimatePull(vehicle, policy, held);
  if (result.kind !== 'estimated') throw new Error(result.kind);
  return result;
};

describe('a figure of the team’s own', () => {
  it('is planned by in place of the multiple for a depth, without a margin, and the multiple still shown', () => {
    const effort = estimate(otter(), under(figure()));
    expect(effort).toMatchObject({ plannedBy: 'own-figure' });
    expect(effort.plannedN).toBeCloseTo(1.331 * W, 6);
    expect(effort.methods.map(({ id }) => id)).toEqual(['own-figure', 'mire', 'physics']);
    expect(effort.methods[0]?.terms[0]?.source).toBe('10 measured pulls, 2025-06-10 to 2025-06-19');
  });
  it('has the margin on top where the load rolls', () => {
    const effort = estimate(otter({ depth: 'none' }), under(figure({ depth: 'none' })));
    expect(effort.plannedN).toBeCloseTo(1.25 * 1.331 * W, 6);
    expect(effort.methods.map(({ id }) => id)).toEqual(['own-figure', 'fractions', 'physics']);
  });
  it('goes before the method that the team chose', () => {
    const policy = under(figure({ depth: 'none' }));
    const chosen: Policy = { ...policy, schools: { ...policy.schools, estimate: 'physics' } };
    expect(estimate(otter({ depth: 'none' }), chosen).plannedBy).toBe('own-figure');
  });
  it.each([
    ['another ground', otter({ surface: 'shallow-mud' })],
    ['another depth', otter({ depth: 'hubs' })],
    ['another machine', { ...otter(), label: 'Badger' }],
    ['a machine without a name', (({ label: _none, ...rest }) => rest)(otter())],
  ])('says nothing of %s', (_what, vehicle) => {
    expect(estimate(vehicle, under(figure()))).toMatchObject({ plannedBy: 'mire' });
  });
  it('has uphill added and nothing taken off downhill', () => {
    expect(estimate(otter({}, 6), under(figure())).plannedN).toBeCloseTo(1.331 * W + W / 10, 6);
    expect(estimate(otter({}, -6), under(figure())).plannedN).toBeCloseTo(1.331 * W, 6);
  });
  it('has added what the method adds: locked and turned wheels where it rolls, a trailer always', () => {
    const trailer = { massKg: 500, depth: 'sills', contactAreaM2: 1 } as const;
    expect(estimate(otter({ wheelsTurned: true, lockedShare: 0.5, trailer }), under(figure())).plannedN).toBeCloseTo(
      1.331 * W + 2 * 500 * 9.80665,
      6,
    );
    const locked = teamStandard.effort.lockedWheelFriction.bog.value * 0.5 * W;
    expect(estimate(otter({ depth: 'none', wheelsTurned: true, lockedShare: 0.5 }), under(figure({ depth: 'none' }))).plannedN).toBeCloseTo(
      1.25 * (1.331 * W + locked + 0.05 * W),
      6,
    );
  });
  it('is what a cheaper action saves on, not the method that it took the place of', () => {
    // To the sills 1.331 × W is planned; dug free to the hubs, where the team has no figure, 1 × W.
    const dig = (policy: Policy) => cheaperActions(otter(), policy).find(({ id }) => id === 'dig')?.savesN;
    expect(dig(teamStandard)).toBeCloseTo(W, 6);
    expect(dig(under(figure()))).toBeCloseTo(0.331 * W, 6);
  });
  it('takes no part in what holds a load back', () => {
    const effort = estimate(
      otter({ depth: 'none', surface: 'grass' }, -20),
      under(figure({ depth: 'none', surface: 'grass' })),
      'held-back',
    );
    expect(effort.plannedBy).toBe('holds-back');
    expect(effort.methods.map(({ id }) => id)).not.toContain('own-figure');
  });
  it('does not hide that it may run by itself', () => {
    expect(estimate(otter({ depth: 'none', surface: 'grass' }, -20), under(figure({ depth: 'none', surface: 'grass' })))).toMatchObject({
      plannedBy: 'runs-by-itself',
      runsByItself: true,
    });
  });
});

describe('a policy with figures of the team’s own', () => {
  const faults = (...figures: readonly AdoptedFigure[]) => policyFaults(under(...figures)).map(({ path }) => path);
  it('has of each what its pulls come to, from ten on, and one', () => {
    expect(faults(figure(), figure({ depth: 'hubs' }))).toEqual([]);
    expect(faults(figure({ share: 1.33 }))).toEqual(['policy.ownFigures[0].share']);
    expect(faults(figure({ share: 1.332 }))).toEqual(['policy.ownFigures[0].share']);
    expect(faults(figure({ share: 1.2 * 1.1, pulls: pulls(...Array(9).fill(1.2)) }))).toEqual(['policy.ownFigures[0].pulls']);
    expect(faults(figure(), figure())).toEqual(['policy.ownFigures[1]']);
  });
  it('differs from another in the figure, not in its evidence', () => {
    expect(policyDifferences(under(), under(figure()))).toEqual([{ path: 'ownFigures.bog/sills/Otter', from: undefined, to: 1.331 }]);
    expect(policyDifferences(under(figure()), under())).toEqual([{ path: 'ownFigures.bog/sills/Otter', from: 1.331, to: undefined }]);
    expect(policyDifferences(under(figure()), under(figure({ pulls: [] })))).toEqual([]);
    expect(figureOfPath('ownFigures.bog/sills/Otter, the old/one')).toEqual({
      surface: 'bog',
      depth: 'sills',
      machine: 'Otter, the old/one',
    });
    expect(figureOfPath('care.youngMonths.value')).toBeUndefined();
    expect(figureOfPath('ownFigures.peat/sills/Otter')).toBeUndefined();
  });
  it('reaches a plan that asked for one, whether there was any', () => {
    for (const before of [under(), under(figure({ machine: 'Badger' }))]) {
      const { policy, read } = recordedPolicy(before);
      estimate(otter(), policy);
      expect(isTouched(read(), policyDifferences(before, under(...before.ownFigures, figure())))).toBe(true);
    }
  });
});
