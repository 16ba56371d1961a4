import { thinTreeRule } from './trees.ts';

export const treeThin = thinTreeRule({
  code: 'tree-thin',
  severity: 'caution',
  softenable: true,
  least: ({ tree }) => tree.thinM.value,
  refused: ({ tree }) => tree.tooThinM.value,
});
