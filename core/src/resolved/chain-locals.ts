import type { GearFacts } from '../gear/gear-facts.ts';
import { isStrap, numberAt, pinOf, ropeDiameterOf, traitsOf } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import { bowAngleFactor, type Derate, eyeFactor, interpolate } from '../rating/derates.ts';
import { hasEyes, isInterlaced } from './eyes.ts';
import type { ResolvedUse } from './parts.ts';

export interface Hitch {
  /** Share of the chain's force in each leg. */
  readonly share: number;
  readonly legs: boolean;
  readonly locals: readonly Derate[];
}

const NO_LOCALS: readonly Derate[] = [];
const STRAIGHT: Hitch = { share: 1, legs: false, locals: NO_LOCALS };

/** What the way a strap goes round its anchor makes of the load and of its strength. */
export function hitchOf({ use, piece, round }: ResolvedUse, policy: Policy): Hitch {
  if (round === undefined || piece === undefined || use.hitch === undefined || use.hitch === 'in-line') return STRAIGHT;
  const { chokedFactor } = policy.tree;
  if (use.hitch === 'choke')
    return {
      ...STRAIGHT,
      locals: [{ name: 'choked', factor: chokedFactor.value, reason: 'the strap bites on itself', source: chokedFactor.source }],
    };
  return round.basket ? { share: round.basket.legShare, legs: true, locals: NO_LOCALS } : STRAIGHT;
}

/** Factors of how a piece sits on its neighbours: a rope's eye on a thin pin, a shackle pulled off its bow. */
export function connectionLocals({ use, piece, inner, outer }: ResolvedUse, policy: Policy): readonly Derate[] {
  if (piece === undefined) return NO_LOCALS;
  const beside = [inner?.piece, outer?.piece];
  if (traitsOf(piece).enters !== 'nothing' && use.bowAngleRad !== undefined) {
    const off = offTheBow(piece, use.bowAngleRad);
    if (off) return [off];
  }
  if (isStrap(piece)) return strapLocals(piece, beside, policy);
  const ropeDiameterM = hasEyes(piece) && traitsOf(piece).inLine !== 'nothing' ? ropeDiameterOf(piece) : undefined;
  if (ropeDiameterM === undefined) return NO_LOCALS;
  return eyeLocals(beside.map(pinOf), ropeDiameterM, policy);
}

/** A shackle whose load is off its bow's axis. */
function offTheBow(piece: GearFacts, bowAngleRad: number): Derate | undefined {
  const { enters } = traitsOf(piece);
  const factor = enters !== 'nothing' && enters.kind === 'shackle' ? bowAngleFactor(bowAngleRad) : undefined;
  if (factor === undefined || factor >= 1) return undefined;
  return {
    name: 'off the bow axis',
    factor,
    reason: `${Math.round((bowAngleRad * 180) / Math.PI)}° off`,
    source: 'common rigging-hardware standard',
  };
}

/** A rope's own eye on the pins that take it, at their thinnest. */
export function eyeLocals(pins: readonly (number | undefined)[], ropeDiameterM: number, policy: Policy): readonly Derate[] {
  const factor = pins.reduce<number>(
    (least, pin) => (pin === undefined ? least : Math.min(least, eyeFactor(pin, ropeDiameterM, policy))),
    1,
  );
  return factor === 1
    ? NO_LOCALS
    : [{ name: 'eye on a thin pin', factor, reason: 'the pin is thinner than the rope', source: policy.bends.eyeOnTightPin.source }];
}

/** A loop drawn through the loop of another sling. */
export const interlacedLocal = ({ tag }: GearFacts, { strapThroughStrap }: Policy): Derate => ({
  name: 'strap through strap',
  factor: strapThroughStrap.value,
  reason: `looped with ${tag}`,
  source: strapThroughStrap.source,
});

/** A strap looped through a strap, and webbing bent over a pin thinner than twice its thickness. */
function strapLocals(strap: GearFacts, neighbours: readonly (GearFacts | undefined)[], policy: Policy): readonly Derate[] {
  const looped = neighbours.find((other) => isInterlaced(strap, other));
  const { bends } = policy;
  if (looped) return [interlacedLocal(looped, policy)];
  const thicknessM = numberAt(strap, 'thicknessM');
  const pins = neighbours.map(pinOf).filter((pin) => pin !== undefined);
  if (thicknessM === undefined || pins.length === 0) return NO_LOCALS;
  const ratio = Math.min(...pins) / thicknessM;
  if (ratio >= 2 * (1 - 1e-9)) return NO_LOCALS;
  return [
    {
      name: `webbing on a thin pin, ${ratio.toFixed(1)} × its thickness`,
      factor: interpolate(bends.fibre.points, ratio),
      reason: 'at least twice its thickness is asked for',
      source: bends.fibre.source,
    },
  ];
}
