import { thinTreeRule } from './trees.ts';

export const treeTooThin = thinTreeRule({
  code: 'tree-too-thin',
  severity: 'stop',
  softenable: false,
  least: ({ tree }) => tree.tooThinM.value,
  refused: () => 0,
});
