import { strapBasket } from '../anchors/strap-basket.ts';
import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import { pinOf } from '../gear/pin-of.ts';
import type { Policy } from '../policy/policy.ts';
import { bowAngleFactor, type Derate, eyeFactor, interpolate } from '../rating/derates.ts';
import type { Body, PieceUse } from '../rig/rig.ts';
import { roundDiameterM } from '../rig/site-geometry.ts';
import type { PlacesInput } from './places-of-rig.ts';
import { gearOf } from './rig-network.ts';

export interface Hitch {
  /** Share of the chain's force in each leg. */
  readonly share: number;
  readonly legs: boolean;
  readonly locals: readonly Derate[];
}

/** What the way a strap goes round its anchor makes of the load and of its strength. */
export function hitchOf({ gear, policy }: PlacesInput, body: Body | undefined, use: PieceUse): Hitch {
  const straight: Hitch = { share: 1, legs: false, locals: [] };
  const diameterM = roundDiameterM(body);
  const piece = gearOf(use, gear);
  if (diameterM === undefined || piece === undefined || use.hitch === undefined || use.hitch === 'in-line') return straight;
  const { chokedFactor } = policy.tree;
  if (use.hitch === 'choke')
    return {
      ...straight,
      locals: [{ name: 'choked', factor: chokedFactor.value, reason: 'the strap bites on itself', source: chokedFactor.source }],
    };
  const lengthM = 'lengthM' in piece.attributes ? piece.attributes.lengthM : undefined;
  const basket = lengthM === undefined ? undefined : strapBasket(lengthM, diameterM);
  return basket ? { share: basket.legShare, legs: true, locals: [] } : straight;
}

/** Factors of how a piece sits on its neighbours: a rope's eye on a thin pin, a shackle pulled off its bow. */
export function connectionLocals({ gear, policy }: PlacesInput, pieces: readonly PieceUse[], use: PieceUse): readonly Derate[] {
  const piece = gearOf(use, gear);
  if (piece?.kind === 'steel-shackle' && use.bowAngleRad !== undefined) {
    const factor = bowAngleFactor(use.bowAngleRad);
    if (factor !== undefined && factor < 1)
      return [
        {
          name: 'off the bow axis',
          factor,
          reason: `${Math.round((use.bowAngleRad * 180) / Math.PI)}° off`,
          source: 'common rigging-hardware standard',
        },
      ];
  }
  const index = pieces.indexOf(use);
  const beside = [pieces[index - 1], pieces[index + 1]].map((other) => other && gearOf(other, gear));
  if (isStrap(piece)) return strapLocals(piece, beside, policy);
  if (piece?.kind !== 'line-extension' || piece.attributes.ropeDiameterM === undefined) return [];
  const pins = beside.map(pinOf).filter((pin) => pin !== undefined);
  const factor = Math.min(1, ...pins.map((pin) => eyeFactor(pin, piece.attributes.ropeDiameterM as number, policy)));
  return factor === 1
    ? []
    : [{ name: 'eye on a thin pin', factor, reason: 'the pin is thinner than the rope', source: policy.bends.eyeOnTightPin.source }];
}

type Strap = GearOf<'tree-strap'> | GearOf<'static-strap'> | GearOf<'winch-extension-strap'> | GearOf<'bridle'>;

export function isStrap(piece: GearFacts | undefined): piece is Strap {
  return (
    piece?.kind === 'tree-strap' || piece?.kind === 'static-strap' || piece?.kind === 'winch-extension-strap' || piece?.kind === 'bridle'
  );
}

/** A strap looped through a strap, and webbing bent over a pin thinner than twice its thickness. */
function strapLocals(strap: Strap, neighbours: readonly (GearFacts | undefined)[], policy: Policy): readonly Derate[] {
  const looped = neighbours.find(isStrap);
  const { strapThroughStrap, bends } = policy;
  if (looped)
    return [
      {
        name: 'strap through strap',
        factor: strapThroughStrap.value,
        reason: `looped with ${looped.tag}`,
        source: strapThroughStrap.source,
      },
    ];
  const { thicknessM } = strap.attributes;
  const pins = neighbours.map(pinOf).filter((pin) => pin !== undefined);
  if (thicknessM === undefined || pins.length === 0) return [];
  const ratio = Math.min(...pins) / thicknessM;
  if (ratio >= 2 * (1 - 1e-9)) return [];
  return [
    {
      name: `webbing on a thin pin, ${ratio.toFixed(1)} × its thickness`,
      factor: interpolate(bends.fibre.points, ratio),
      reason: 'at least twice its thickness is asked for',
      source: bends.fibre.source,
    },
  ];
}
