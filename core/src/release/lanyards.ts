import { lengthOf, ropeLawOf } from '../gear/traits.ts';
import type { Moment } from '../moment/moment.ts';
import type { ResolvedLanyard } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { distance, ZERO } from '../statics/vec3.ts';
import { type BreakFigures, massOf, nominalStrengthN } from './what-leaves.ts';

/** Whether a lanyard is tied to something that stands still. */
export const isFixed = ({ lanyard, point }: ResolvedLanyard, { load }: ResolvedRig): boolean =>
  lanyard.to.kind === 'point' && point?.on !== load.on;

/** Whether a piece hangs on the load, or on something in the air that moves with the lines. */
export function travelsWithLoad({ use: { seat } }: ResolvedLanyard, { load }: ResolvedRig): boolean {
  if (seat.kind !== 'chain') return true;
  return seat.chain.point === undefined || seat.chain.point.on === load.on;
}

/** The length of a lanyard, metres; undefined where it is not chosen or not on record. */
export const lanyardLengthM = ({ piece }: ResolvedLanyard): number | undefined => piece && lengthOf(piece);

/** The span between its two ends at a moment, metres; 0 where it is tied to a strand that goes along. */
export function lanyardNeedsM({ use, point }: ResolvedLanyard, { shown, positions }: Moment): number {
  const chain = use.seat.kind === 'chain' ? use.seat.chain : undefined;
  const at = chain && shown?.balance.equilibrium.positions[chain.tip];
  return point && at ? distance(positions[point.index] ?? ZERO, at) : 0;
}

/** What a lanyard has to hold and can, newtons; undefined where something is not on record. */
export interface LanyardStrength {
  /** Force at which it has taken up what would fly. */
  readonly arrestN: number | undefined;
  /** Force at which it breaks. */
  readonly breaksN: number | undefined;
}

/**
 * The lanyard takes up ½mv² of what it holds, at most the line's energy: by its own law E = MBS·L·ε_b/(p + 1)·s^((p + 1)/p),
 * s = F/MBS, so F = MBS·((p + 1)·E/(MBS·L·ε_b))^(p/(p + 1)).
 */
export function lanyardStrength(lanyard: ResolvedLanyard, breaks: readonly BreakFigures[], { policy }: ResolvedRig): LanyardStrength {
  const { piece, use } = lanyard;
  const breaksN = piece && nominalStrengthN(piece);
  const kind = piece && ropeLawOf(piece);
  const lengthM = lanyardLengthM(lanyard);
  const own = massOf(use);
  const held = use.seat.kind === 'chain' ? use.seat.chain.chain.id : undefined;
  const flight = breaks
    .flatMap(({ energyJ, flights }) => flights.map((entry) => ({ ...entry, energyJ })))
    .find(({ chainId }) => chainId === held);
  if (
    breaksN === undefined ||
    kind === undefined ||
    lengthM === undefined ||
    own === undefined ||
    flight?.energyJ === undefined ||
    !flight.massKg
  )
    return { arrestN: undefined, breaksN };
  const { exponent: p, elongation } = policy.stretch.laws[kind];
  const energyJ = (flight.energyJ * own) / flight.massKg;
  return { arrestN: breaksN * (((p + 1) * energyJ) / (breaksN * lengthM * elongation)) ** (p / (p + 1)), breaksN };
}
