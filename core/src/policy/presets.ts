import type { FactoredUse, Policy } from './policy.ts';
import { teamStandard } from './team-standard.ts';

const factors = (values: { readonly [U in FactoredUse]: number }, source: string): Policy['designFactors'] =>
  Object.fromEntries(Object.entries(values).map(([use, value]) => [use, { value, source }])) as Policy['designFactors'];

/** As makers usually mark: the marked working limit is trusted, soft goods by half their breaking strength. */
const makersMarks: Policy = {
  ...teamStandard,
  id: 'makers-marks',
  name: 'As the makers mark',
  designFactors: factors(
    {
      'steel-hardware': 4,
      'snatch-block': 2,
      'ring-carabiner-plate': 2,
      'soft-good': 2,
      'winch-line-synthetic': 1.5,
      'winch-line-steel': 1.5,
      stretch: 2,
      chain: 4,
    },
    'what makers usually mark by',
  ),
  trustMarkedWll: true,
};

const LIFTING = 'usual factors of lifting practice';
/** Factors as for lifting; stretch ropes are not allowed at all there. */
const liftingStyle: Policy = {
  ...teamStandard,
  id: 'lifting-style',
  name: 'Lifting style',
  designFactors: factors(
    {
      'steel-hardware': 5,
      'snatch-block': 4,
      'ring-carabiner-plate': 5,
      'soft-good': 5,
      'winch-line-synthetic': 5,
      'winch-line-steel': 5,
      stretch: 5,
      chain: 4,
    },
    LIFTING,
  ),
  stretch: { ...teamStandard.stretch, allowed: false },
  winch: {
    ...teamStandard.winch,
    reserveWrapsSteel: { value: 5, source: LIFTING },
    leastPullPerWeight: { value: 2.5, source: 'small machines that sink' },
  },
};

/** The ways a team may begin from. The first is the careful reading of every question, and the default. */
export const policyPresets: readonly Policy[] = [teamStandard, makersMarks, liftingStyle];
