import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';
import { treeChains } from './straps-on-trees.ts';

export const strapHigh: Rule = {
  code: 'strap-high',
  severity: 'caution',
  softenable: true,
  why: 'The higher the strap, the longer the lever on the trunk and its roots.',
  needs: 'strap height',
  check: (assessment) =>
    treeChains(assessment).map(({ point, heightM, tree }): Answer => {
      const subject = { kind: 'point', id: point.id } as const;
      const { highStrapM, leastHeightM } = assessment.policy.tree;
      if (!exceeds(heightM, highStrapM.value)) return notFound(subject);
      const low = { ...point, place: { kind: 'on-trunk', heightM: leastHeightM.value } } as const;
      return {
        kind: 'found',
        subject,
        title: rich`The strap sits ${length(heightM)} up ${tree.label}`,
        detail: rich`At most ${length(highStrapM.value)} unless the line must lift over a crest.`,
        fixes: [{ kind: 'edits', label: 'Set it low', edits: [{ kind: 'change-point', point: low }] }],
      };
    }),
};
