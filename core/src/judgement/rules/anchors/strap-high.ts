import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { rigRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { atTrees } from './trees.ts';

export const strapHigh = rigRule({
  code: 'strap-high',
  severity: 'caution',
  softenable: true,
  why: 'The higher the strap, the longer the lever on the trunk and its roots.',
  needs: ['point.mount', 'policy'],
  subjects: atTrees,
  about: ({ point, use }) => ({ subject: { kind: 'point', id: point.id }, place: use.use.id }),
  answer: ({ policy }, { point, heightM, tree }) => {
    const { highStrapM, leastHeightM } = policy.tree;
    if (!exceeds(heightM, highStrapM.value)) return undefined;
    const low = { ...point, place: { kind: 'on-trunk', heightM: leastHeightM.value } } as const;
    return found({ label: tree.label, heightM, mostM: highStrapM.value }, [
      { kind: 'edits', label: 'Set it low', edits: [{ kind: 'change-point', point: low }] },
    ]);
  },
  title: ({ heightM, label }) => rich`The strap sits ${length(heightM)} up ${label}`,
  detail: ({ mostM }) => rich`Keep it at or below ${length(mostM)}, unless the line has to clear a crest.`,
});
