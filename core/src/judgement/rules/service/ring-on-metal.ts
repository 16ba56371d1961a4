import { rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, neighbours, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const ringOnMetal: Rule = {
  code: 'ring-on-metal',
  severity: 'stop',
  softenable: false,
  why: 'A ring turns on its soft shackle; on metal it galls, heats and wears through.',
  needs: 'the piece that holds the ring',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'recovery-ring'), ({ use, piece }) => {
      const { inner } = neighbours(assessment, use);
      if (inner === undefined || inner.piece.kind === 'soft-shackle') return undefined;
      return {
        title: rich`${pieceName(piece)} hangs on ${pieceName(inner.piece)}`,
        detail: rich`Hang it on a soft shackle.`,
        fixes: [chooseAnother(inner.use, 'Choose a soft shackle')],
      };
    }),
};
