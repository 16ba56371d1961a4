import type { Policy } from '../../../policy/policy.ts';
import { angle, rich, smallLength } from '../../../quantity/format.ts';
import { exceeds, fallsShort } from '../../../quantity/tolerance.ts';
import { isChosen, type ResolvedUse } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { RigPoint, TreeBody } from '../../../rig/rig.ts';
import { type RuleHead, rigRule } from '../../ask/rule.ts';
import { aboutBody, aboutUse, chooseAnother, found } from '../../ask/speak.ts';
import { type About } from '../../ask/told.ts';

/** The first piece of a chain or a back-anchor that starts at a tree. */
export interface AtTree {
  readonly tree: TreeBody;
  readonly point: RigPoint;
  readonly heightM: number;
  readonly use: ResolvedUse;
}

export function atTrees({ chains, ties }: ResolvedRig): readonly AtTree[] {
  const starts = [
    ...chains.map(({ point, first }) => ({ at: point, use: first })),
    ...ties.map(({ anchor, uses }) => ({ at: anchor, use: uses[0] })),
  ];
  return starts.flatMap(({ at, use }) => {
    const tree = at?.on.body;
    if (at === undefined || tree?.kind !== 'tree' || use === undefined) return [];
    const { point } = at;
    return [{ tree, point, heightM: point.place.kind === 'on-trunk' ? point.place.heightM : 0, use }];
  });
}

export const aboutStrap = ({ use }: AtTree): About => aboutUse(use);

interface LegsRow extends Pick<RuleHead, 'code' | 'severity'> {
  readonly fromDeg: (policy: Policy) => number;
  readonly toDeg: (policy: Policy) => number;
}

/** The rule of straps in basket whose legs stand more than `fromDeg` and at most `toDeg` apart. */
export const legsRule = ({ fromDeg, toDeg, ...head }: LegsRow) =>
  rigRule({
    ...head,
    softenable: false,
    why: 'The wider a strap’s legs stand apart, the more each of them carries.',
    needs: ['use.piece', 'use.hitch', 'gear.lengthM', 'tree.trunk', 'policy'],
    subjects: atTrees,
    about: aboutStrap,
    answer: ({ policy }, { use }) => {
      const basket = use.round?.basket;
      const degrees = ((basket?.legAngleRad ?? 0) * 180) / Math.PI;
      if (!basket || !isChosen(use) || !exceeds(degrees, fromDeg(policy)) || exceeds(degrees, toDeg(policy))) return undefined;
      const { legAngleRad, legShare } = basket;
      const mostRad = (policy.judging.legsFixDeg.value * Math.PI) / 180;
      return found({ tag: use.piece.tag, legAngleRad, legShare, mostRad }, chooseAnother(use, 'Choose a longer strap'));
    },
    title: ({ tag, legAngleRad }) => rich`The legs of ${tag} stand ${angle(legAngleRad)} apart`,
    detail: ({ legShare, mostRad }) =>
      rich`Each leg carries ${legShare.toFixed(2)} of the load; keep them within ${angle(mostRad)}. Take a longer strap.`,
  });

interface ThinRow extends Pick<RuleHead, 'code' | 'severity' | 'softenable'> {
  /** Thinner than `least` and not already thinner than `refused`, metres. */
  readonly least: (policy: Policy) => number;
  readonly refused: (policy: Policy) => number;
}

/** The rule of trees that are too thin by one limit and not by a stricter one. */
export const thinTreeRule = ({ least, refused, ...head }: ThinRow) =>
  rigRule({
    ...head,
    why: 'A thin trunk bends, its roots are shallow, and the formula behind its number no longer holds.',
    needs: ['tree.trunk', 'policy'],
    subjects: atTrees,
    about: ({ tree, use }) => ({ ...aboutBody(tree), place: use.use.id }),
    answer: ({ policy }, { tree }) => {
      const { label, trunkDiameterM: trunkM } = tree;
      const leastM = least(policy);
      return fallsShort(trunkM, leastM) && !fallsShort(trunkM, refused(policy)) ? found({ label, trunkM, leastM }) : undefined;
    },
    title: ({ label, trunkM }) => rich`${label} is thin: ${smallLength(trunkM)}`,
    detail: ({ leastM }) => rich`At least ${smallLength(leastM)} is asked for. Choose a thicker tree, or share the load between two.`,
  });
