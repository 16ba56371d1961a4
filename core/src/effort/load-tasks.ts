import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import { type EffortOutcome, type EffortTerm, estimateOf, type Held } from './estimate-pull.ts';
import type { Task } from './situation.ts';

export interface TaskInput {
  readonly massKg: number;
  /** Slope along the pull, rad, −π/4…π/4; uphill positive. */
  readonly slopeRad: number;
  readonly task: Exclude<Task, { kind: 'deck' }>;
}

const STEEPEST = Math.PI / 4;

/**
 * The pull of a load that is no stuck vehicle. Dragging: μ·W·cos θ + W·sin θ. Righting: W·a ÷ h, a the level lever of the
 * weight and h the height of the line about the edge it turns on, both where the product is largest: at the start.
 * Newtons; slopes beyond 45° are refused. Source: equilibrium; friction by the policy.
 */
export function taskPull({ massKg, slopeRad, task }: TaskInput, policy: Policy, held: Held = 'pulled'): EffortOutcome {
  if (!(Math.abs(slopeRad) <= STEEPEST * (1 + 1e-9))) return { kind: 'slope-out-of-range', slopeRad };
  const weightN = massKg * STANDARD_GRAVITY;
  const terms = task.kind === 'right' ? rightingTerms(weightN, task) : draggingTerms(weightN, slopeRad, task, policy);
  return estimateOf(
    [{ id: task.kind === 'right' ? 'righting' : 'dragging', terms, pullN: terms.reduce((sum, { pullN }) => sum + pullN, 0) }],
    policy,
    held,
  );
}

function rightingTerms(weightN: number, { leverM, lineHeightM }: Extract<Task, { kind: 'right' }>): readonly EffortTerm[] {
  return [
    {
      label: 'Turning about its edge',
      pullN: (weightN * leverM) / lineHeightM,
      factors: [
        { label: 'weight', value: weightN, unit: 'N' },
        { label: '× lever of the weight, m', value: leverM },
        { label: '÷ height of the line, m', value: 1 / lineHeightM },
      ],
    },
  ];
}

function draggingTerms(
  weightN: number,
  slopeRad: number,
  { friction }: Extract<Task, { kind: 'drag' }>,
  { loads }: Policy,
): readonly EffortTerm[] {
  const value = friction ?? loads.dragFriction.value;
  return [
    {
      label: 'Dragging over the ground',
      pullN: value * weightN * Math.cos(slopeRad),
      source: friction === undefined ? loads.dragFriction.source : 'stated',
      factors: [
        { label: 'weight', value: weightN, unit: 'N' },
        { label: '× friction', value },
        { label: '× cosine of the slope', value: Math.cos(slopeRad) },
      ],
    },
    {
      label: 'Weight down the slope',
      pullN: weightN * Math.sin(slopeRad),
      factors: [
        { label: 'weight', value: weightN, unit: 'N' },
        { label: '× sine of the slope', value: Math.sin(slopeRad) },
      ],
    },
  ];
}
