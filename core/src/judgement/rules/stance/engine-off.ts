import { rich } from '../../../quantity/format.ts';
import { type Rule, rigSubject, ticked } from '../../rule.ts';

export const engineOff: Rule = {
  code: 'engine-off',
  severity: 'fix',
  softenable: true,
  why: 'With the engine off the battery alone feeds the winch; a hydraulic winch does nothing at all.',
  needs: 'a look at the winching vehicle',
  asks: 'Is the engine of the winching vehicle running?',
  check: (assessment) =>
    assessment.drives.some(({ kind }) => kind === 'winch')
      ? [
          ticked(assessment, {
            code: 'engine-off',
            subject: rigSubject,
            question: rich`Is the engine of the winching vehicle running?`,
            ifNo: {
              title: rich`The engine is off`,
              detail: rich`Start it: the battery alone feeds an electric winch, and a hydraulic one does nothing.`,
            },
          }),
        ]
      : [],
};
