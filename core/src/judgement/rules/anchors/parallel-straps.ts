import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found } from '../../ask/speak.ts';

export const parallelStraps = rigRule({
  code: 'parallel-straps',
  severity: 'note',
  softenable: false,
  why: 'Like straps never share evenly; each is checked for six tenths of the load.',
  needs: ['line.way', 'policy'],
  subjects: ({ chains }) => chains.flatMap(({ share, first }) => (share === 1 || first === undefined ? [] : [{ share, first }])),
  about: ({ first }) => aboutUse(first),
  answer: (_, { share }) => found({ share }),
  title: () => rich`Straps side by side share unevenly`,
  detail: ({ share }) => rich`Each is judged for ${share.toFixed(1)} of the load.`,
});
