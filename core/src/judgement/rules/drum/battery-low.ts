import { percent, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { actRule } from '../../ask/rule.ts';
import { aboutDrive, found, openPiece, pieceName, undecided, winchDrives } from '../../ask/speak.ts';

export const batteryLow = actRule({
  code: 'battery-low',
  severity: 'caution',
  softenable: true,
  why: 'A flat battery stops the winch with the line under load.',
  needs: [
    'gear.noLoadCurrentA',
    'gear.fullLoadCurrentA',
    'gear.noLoadSpeedMPerMin',
    'gear.fullLoadSpeedMPerMin',
    'gear.alternatorA',
    'gear.batteryAh',
    'load.travel',
  ],
  asks: 'How much current does the winch draw, and how large are the battery and the alternator?',
  subjects: winchDrives,
  about: aboutDrive,
  answer: ({ work, rig }, drive) => {
    const own = work.find(({ state }) => state.drive === drive);
    if (own === undefined || !drive.winch) return undefined;
    const least = rig.policy.electric.leastChargeShare.value;
    const data = { name: pieceName(drive.winch), least, lowest: 0, missing: [] as readonly string[] };
    const lowest = 'plan' in own && own.plan.kind === 'planned' ? own.plan.lowestChargeShare : undefined;
    if ('missing' in own || (own.plan.kind === 'planned' && lowest === undefined)) {
      const missing = 'missing' in own ? own.missing : ['battery and alternator of its vehicle'];
      return undecided({ ...data, missing }, openPiece(drive.winch, 'Enter the figures'));
    }
    return lowest !== undefined && fallsShort(lowest, least) ? found({ ...data, lowest }) : undefined;
  },
  title: ({ lowest }) => rich`The battery falls to ${percent(lowest)}`,
  detail: ({ least }) => rich`At least ${percent(least)} is to stay. Keep the engine at a fast idle, rest longer, or lower the pull.`,
  question: ({ name, missing }) => rich`Will the battery last? Not on record for ${name}: ${missing.join(', ')}.`,
});
