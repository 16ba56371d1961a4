import { angle, rich } from '../../../quantity/format.ts';
import { answerUses, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const shackleSideLoad: Rule = {
  code: 'shackle-side-load',
  severity: 'stop',
  softenable: false,
  why: 'A shackle is made to be pulled along its bow; beyond a right angle nothing is known.',
  needs: 'angle of the load off the bow’s axis',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'steel-shackle'), ({ use, piece }) =>
      (use.bowAngleRad ?? 0) > Math.PI / 2 + 1e-9
        ? {
            title: rich`${pieceName(piece)} is loaded sideways`,
            detail: rich`${angle(use.bowAngleRad ?? 0)} off the bow’s axis; at most 90° is allowed. Turn it into line.`,
          }
        : undefined,
    ),
};
