import { current, rich, time } from '../../../quantity/format.ts';
import { type Answer, notFound, openPiece, pieceName, type Rule, useSubject } from '../../rule.ts';

export const burstShortened: Rule = {
  code: 'burst-shortened',
  severity: 'note',
  softenable: true,
  why: 'Near stall a motor overheats within seconds.',
  needs: 'currents of the winch, the thermal figures of the policy',
  asks: 'How long may the winch run at this load?',
  check: (assessment) =>
    assessment.work.flatMap((work): readonly Answer[] => {
      const { winch, walk } = work.drive;
      const { drive } = walk.line;
      if (!winch || drive.kind !== 'winch') return [];
      const subject = useSubject(drive.use);
      if ('missing' in work) {
        const fixes = [openPiece(winch, 'Enter the figures')];
        return [
          {
            kind: 'undecided',
            subject,
            question: rich`How long may ${pieceName(winch)} run at this load? Its currents or speeds are not on record.`,
            fixes,
          },
        ];
      }
      const { plan } = work;
      if (plan.kind === 'planned' && !plan.endedByHeat) return [notFound(subject)];
      const title = plan.kind === 'planned' ? rich`Bursts of at most ${time(plan.firstBurstS)}` : rich`The winch cannot keep this up`;
      return [
        {
          kind: 'found',
          subject,
          title,
          detail: rich`It draws ${current(plan.currentA)} at this load and heats faster than a full burst allows. Add a part to the line, or rest longer.`,
        },
      ];
    }),
};
