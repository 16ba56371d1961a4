import { current, rich, time } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { aboutDrive, found, openPiece, pieceName, undecided, winchDrives } from '../../ask/speak.ts';

export const burstShortened = actRule({
  code: 'burst-shortened',
  severity: 'note',
  softenable: true,
  why: 'Near stall a motor overheats within seconds.',
  needs: ['gear.noLoadCurrentA', 'gear.fullLoadCurrentA', 'gear.noLoadSpeedMPerMin', 'gear.fullLoadSpeedMPerMin', 'policy'],
  asks: 'How long may the winch run at this load?',
  subjects: winchDrives,
  about: aboutDrive,
  answer: ({ work }, drive) => {
    const own = work.find(({ state }) => state.drive === drive);
    if (own === undefined || !drive.winch) return undefined;
    const data = { name: pieceName(drive.winch), currentA: 0, firstBurstS: undefined as number | undefined };
    if ('missing' in own) return undecided(data, openPiece(drive.winch, 'Enter the figures'));
    const { plan } = own;
    if (plan.kind === 'planned' && !plan.endedByHeat) return undefined;
    return found({ ...data, currentA: plan.currentA, firstBurstS: plan.kind === 'planned' ? plan.firstBurstS : undefined });
  },
  title: ({ firstBurstS }) =>
    firstBurstS === undefined ? rich`The winch cannot keep this up` : rich`Bursts of at most ${time(firstBurstS)}`,
  detail: ({ currentA }) =>
    rich`It draws ${current(currentA)} at this load and heats faster than a full burst allows. Add a part to the line, or rest longer.`,
  question: ({ name }) => rich`How long may ${name} run at this load? Its currents or speeds are not on record.`,
});
