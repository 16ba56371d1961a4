import { rich } from '../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

export const drumOverfull: Rule = {
  code: 'drum-overfull',
  severity: 'caution',
  softenable: true,
  why: 'With the whole line in, the top layer comes too near the edge of the flange.',
  needs: 'flange, drum and rope sizes',
  check: ({ drum }) => {
    if (drum.kind !== 'known' || drum.overfull !== true) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The drum is over-full`,
        detail: rich`The line needs more layers than the flange holds with one to spare. Watch the drum as the line comes in, or fit a shorter line.`,
      },
    ];
  },
};
