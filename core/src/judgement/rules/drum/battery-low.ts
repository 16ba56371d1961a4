import { percent, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, openPiece, pieceName, type Rule, useSubject } from '../../rule.ts';

export const batteryLow: Rule = {
  code: 'battery-low',
  severity: 'caution',
  softenable: true,
  why: 'A flat battery stops the winch with the line under load.',
  needs: 'currents of the winch, battery and alternator, the line to be hauled',
  asks: 'How much current does the winch draw, and what are battery and alternator?',
  check: (assessment) =>
    assessment.work.flatMap((work): readonly Answer[] => {
      const { winch, walk } = work.drive;
      const { drive } = walk.line;
      if (!winch || drive.kind !== 'winch') return [];
      const subject = useSubject(drive.use);
      if ('missing' in work || (work.plan.kind === 'planned' && work.plan.lowestChargeShare === undefined)) {
        const missing = 'missing' in work ? work.missing : ['battery and alternator of its vehicle'];
        return [
          {
            kind: 'undecided',
            subject,
            question: rich`Will the battery last? Not on record for ${pieceName(winch)}: ${missing.join(', ')}.`,
            fixes: [openPiece(winch, 'Enter the figures')],
          },
        ];
      }
      const least = assessment.policy.electric.leastChargeShare.value;
      const lowest = work.plan.kind === 'planned' ? work.plan.lowestChargeShare : undefined;
      if (lowest === undefined || !fallsShort(lowest, least)) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`The battery falls to ${percent(lowest)}`,
          detail: rich`At least ${percent(least)} is to stay. Keep the engine at a fast idle, rest longer, or lower the pull.`,
        },
      ];
    }),
};
