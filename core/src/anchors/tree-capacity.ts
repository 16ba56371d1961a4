import type { Term } from '../explanation/term.ts';
import type { Policy } from '../policy/policy.ts';
import { force, length, rich, write } from '../quantity/format.ts';
import type { Tree } from './anchor-body.ts';
import type { AnchorCapacity } from './capacity.ts';

/**
 * F = min(k·σ·π·d³/(32·h)/SF, cap₄₀₀·(d/0.4 m)², cap): bending of the trunk at the strap, the root plate, and a ceiling.
 * d trunk diameter, h strap height, taken at least the policy's least; dead, rotten or leaning trees count 0.
 * A judged estimate: a person's own figures take its place. Sources: beam bending; root-plate and ceiling figures of the policy.
 */
export function treeCapacity(tree: Tree, strapHeightM: number, policy: Policy): AnchorCapacity {
  if (tree.judged) return { workingN: tree.judged.workingN, failingN: tree.judged.failingN, judgedBy: tree.judged.person };
  const refused = refusal(tree, policy);
  if (refused) return { workingN: 0, failingN: 0, refusedFor: refused };
  const workingN = Math.min(bendingN(tree, strapHeightM, policy), rootPlateN(tree, policy), policy.tree.capN.value);
  return { workingN, failingN: policy.anchors.judgedFailing.value * workingN };
}

function refusal(tree: Tree, policy: Policy): 'dead' | 'rotten' | 'leaning' | undefined {
  if (tree.state !== 'live') return tree.state;
  return (tree.leanRad * 180) / Math.PI > policy.tree.maxLeanDeg.value * (1 + 1e-9) ? 'leaning' : undefined;
}

function bendingN(tree: Tree, strapHeightM: number, policy: Policy): number {
  const heightM = Math.max(strapHeightM, policy.tree.leastHeightM.value);
  const modulus = (Math.PI * tree.trunkDiameterM ** 3) / 32;
  const strength = policy.tree.footing[tree.footing].value * policy.tree.bendingStrengthPa[tree.wood].value;
  return (strength * modulus) / heightM / policy.tree.safetyFactor.value;
}

function rootPlateN(tree: Tree, policy: Policy): number {
  return policy.tree.capAt400mmN.value * (tree.trunkDiameterM / 0.4) ** 2;
}

/** How the working number of a tree was worked out. */
export function explainTree(tree: Tree, strapHeightM: number, policy: Policy): Term {
  const capacity = treeCapacity(tree, strapHeightM, policy);
  const label = `Working number of ${tree.label}`;
  if (tree.judged)
    return {
      label,
      figure: force(capacity.workingN),
      reason: `judged by ${tree.judged.person} on ${tree.judged.on}: ${tree.judged.reason}`,
    };
  if (capacity.refusedFor) return { label, figure: force(0), reason: `the tree is ${capacity.refusedFor}` };
  const shape = write(rich`${length(tree.trunkDiameterM)} trunk, ${tree.wood}, ${tree.footing} ground, strap ${length(strapHeightM)} up`);
  const { tree: table } = policy;
  return {
    label,
    figure: force(capacity.workingN),
    how: {
      operation: 'least',
      of: [
        {
          label: 'Bending of the trunk',
          figure: force(bendingN(tree, strapHeightM, policy)),
          reason: shape,
          source: table.bendingStrengthPa[tree.wood].source,
        },
        {
          label: 'Root plate',
          figure: force(rootPlateN(tree, policy)),
          reason: 'grows with the trunk’s section',
          source: table.capAt400mmN.source,
        },
        { label: 'Ceiling for any tree', figure: force(table.capN.value), source: table.capN.source },
      ],
    },
  };
}
