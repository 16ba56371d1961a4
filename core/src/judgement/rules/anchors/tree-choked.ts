import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutStrap, atTrees } from './trees.ts';

export const treeChoked = rigRule({
  code: 'tree-choked',
  severity: 'stop',
  softenable: false,
  why: 'A choked strap bites on itself, strips the bark and loses a quarter of its strength.',
  needs: ['use.hitch'],
  subjects: atTrees,
  about: aboutStrap,
  answer: (_, { use: { use }, tree }) =>
    use.hitch === 'choke'
      ? found({ tree: tree.label }, [
          { kind: 'edits', label: 'Lay it as a basket', edits: [{ kind: 'change-use', useId: use.id, use: { ...use, hitch: 'basket' } }] },
        ])
      : undefined,
  title: ({ tree }) => rich`The strap is choked round ${tree}`,
  detail: () => rich`Lay it round flat and join both eyes.`,
});
