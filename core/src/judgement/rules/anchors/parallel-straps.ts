import { rich } from '../../../quantity/format.ts';
import { type Answer, type Rule, useSubject } from '../../rule.ts';

export const parallelStraps: Rule = {
  code: 'parallel-straps',
  severity: 'note',
  softenable: false,
  why: 'Like straps never share evenly; each is checked for six tenths of the load.',
  needs: 'chains between the same points',
  check: ({ network }) =>
    network.chains.flatMap(({ chain, share }): readonly Answer[] => {
      const first = chain.pieces[0];
      if (share === 1 || first === undefined) return [];
      return [
        {
          kind: 'found',
          subject: useSubject(first),
          title: rich`Straps side by side share unevenly`,
          detail: rich`Each is judged for ${share.toFixed(1)} of the load.`,
        },
      ];
    }),
};
