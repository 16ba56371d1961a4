import { rich } from '../../../quantity/format.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const drumOverfull: Rule = {
  code: 'drum-overfull',
  severity: 'caution',
  softenable: true,
  why: 'With the whole line in, the top layer comes too near the edge of the flange.',
  needs: 'flange, drum and rope sizes',
  check: (assessment) =>
    answerWinches(assessment, ({ drum }) =>
      drum.kind === 'known' && drum.overfull === true
        ? {
            title: rich`The drum is over-full`,
            detail: rich`The line needs more layers than the flange holds with one to spare. Watch the drum as the line comes in, or fit a shorter line.`,
          }
        : undefined,
    ),
};
