import { type Basket, strapBasket } from '../../../anchors/strap-basket.ts';
import type { GearFacts } from '../../../gear/gear-facts.ts';
import type { Assessment } from '../../../moment/assessment.ts';
import { angle, rich, smallLength } from '../../../quantity/format.ts';
import { exceeds, fallsShort } from '../../../quantity/tolerance.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import type { PieceUse, RigPoint, TreeBody } from '../../../rig/rig.ts';
import { bodyOfPoint, pointOfChain } from '../../../rig/site-geometry.ts';
import { type Answer, chooseAnother, notFound, useSubject } from '../../rule.ts';

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
  const starts = [
    ...rig.chains.map((chain) => ({ point: pointOfChain(rig, chain), use: chain.pieces[0] })),
    ...(rig.backAnchors ?? []).map(({ anchorPointId, pieces }) => ({
      point: rig.points.find(({ id }) => id === anchorPointId),
      use: pieces[0],
    })),
  ];
  return starts.flatMap(({ point, use }) => {
    const tree = point && bodyOfPoint(rig, point.id);
    if (!point || tree?.kind !== 'tree' || !use) return [];
    const piece = gearOf(use, gear);
    const lengthM = piece && 'lengthM' in piece.attributes ? piece.attributes.lengthM : undefined;
    const heightM = point.place.kind === 'on-trunk' ? point.place.heightM : 0;
    return [
      { tree, point, heightM, use, piece, lengthM, basket: lengthM === undefined ? undefined : strapBasket(lengthM, tree.trunkDiameterM) },
    ];
  });
}

/** Straps in basket whose legs stand more than `fromDeg` and at most `toDeg` apart. */
export function legsApart(assessment: Assessment, fromDeg: number, toDeg: number): readonly Answer[] {
  return treeChains(assessment).map(({ use, piece, basket }): Answer => {
    const subject = useSubject(use);
    const degrees = ((basket?.legAngleRad ?? 0) * 180) / Math.PI;
    if (use.hitch !== 'basket' || !basket || !piece || !exceeds(degrees, fromDeg) || exceeds(degrees, toDeg)) return notFound(subject);
    return {
      kind: 'found',
      subject,
      title: rich`The legs of ${piece.tag} stand ${angle(basket.legAngleRad)} apart`,
      detail: rich`Each leg carries ${basket.legShare.toFixed(2)} of the load; keep them within 90°. Take a longer strap.`,
      fixes: [chooseAnother(use, 'Choose a longer strap')],
    };
  });
}

/** Trees thinner than `leastM` that are not already thinner than `refusedM`. */
export function thinTrees(assessment: Assessment, leastM: number, refusedM: number): readonly Answer[] {
  return treeChains(assessment).map(({ tree }): Answer => {
    const subject = { kind: 'body', id: tree.id } as const;
    if (!fallsShort(tree.trunkDiameterM, leastM) || fallsShort(tree.trunkDiameterM, refusedM)) return notFound(subject);
    return {
      kind: 'found',
      subject,
      title: rich`${tree.label} is thin: ${smallLength(tree.trunkDiameterM)}`,
      detail: rich`At least ${smallLength(leastM)} is asked for. Take a thicker tree, or share the load between two.`,
    };
  });
}
