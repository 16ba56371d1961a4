import { type Basket, strapBasket } from '../../anchors/strap-basket.ts';
import type { GearFacts } from '../../gear/gear-facts.ts';
import type { PieceUse, RigPoint, TreeBody } from '../../rig/rig.ts';
import { gearOf } from '../../rig/rig-network.ts';
import type { Assessment } from '../assessment.ts';

/** The first piece of a chain that starts at a tree. */
export interface TreeChain {
  readonly tree: TreeBody;
  readonly point: RigPoint;
  readonly heightM: number;
  readonly use: PieceUse;
  readonly piece: GearFacts | undefined;
  readonly lengthM: number | undefined;
  /** Undefined where the strap does not go round, or its length is unknown. */
  readonly basket: Basket | undefined;
}

export function treeChains({ rig, gear }: Assessment): readonly TreeChain[] {
  return rig.chains.flatMap((chain) => {
    const point = rig.points.find(({ id }) => id === chain.from.pointId);
    const tree = rig.bodies.find(({ id }) => id === point?.bodyId);
    const use = chain.pieces[0];
    if (!point || tree?.kind !== 'tree' || !use) return [];
    const piece = gearOf(use, gear);
    const lengthM = piece && 'lengthM' in piece.attributes ? piece.attributes.lengthM : undefined;
    const heightM = point.place.kind === 'on-trunk' ? point.place.heightM : 0;
    return [
      { tree, point, heightM, use, piece, lengthM, basket: lengthM === undefined ? undefined : strapBasket(lengthM, tree.trunkDiameterM) },
    ];
  });
}
