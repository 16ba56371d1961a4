import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const winchStalls: Rule = {
  code: 'winch-stalls',
  severity: 'stop',
  softenable: false,
  why: 'The planned pull is more than this winch can give at all.',
  needs: 'planned line pull, rated pull on the working layer, stall factor',
  check: (assessment) =>
    answerWinches(assessment, ({ drum, plannedN }) =>
      drum.kind !== 'no-winch' && plannedN !== undefined && exceeds(plannedN, drum.ratedN * drum.stallFactor)
        ? {
            title: rich`The winch will stall`,
            detail: rich`It must pull ${force(plannedN)} and stalls near ${force(drum.ratedN * drum.stallFactor)}. Add a part to the line, or dig and use boards first.`,
          }
        : undefined,
    ),
};
