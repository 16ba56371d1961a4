import type { DrumState } from '../../../moment/drum-state.ts';
import type { Moment } from '../../../moment/moment.ts';
import { ropePerTravel } from '../../../moment/winch-work.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { drumState } from '../../../winch/drum-layers.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';
import { drumOf } from './drums.ts';

export const tooFewWraps = momentRule({
  code: 'too-few-wraps',
  severity: 'stop',
  softenable: false,
  why: 'The wraps on the drum hold the line, not its fixing; with too few it slips or tears off.',
  needs: ['gear.drumDiameterM', 'gear.drumWidthM', 'gear.ropeDiameterM', 'gear.lengthM', 'gear.reserveWraps', 'line.way', 'load.travel'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => {
    const drum = drumOf(moment, drive);
    return drum.kind === 'known' ? leftAbove(wrapsLeft(moment, drum).wraps, drum.wrapsWanted) : Number.POSITIVE_INFINITY;
  },
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    if (drum.kind !== 'known') return undefined;
    const { wraps, paidOutM } = wrapsLeft(moment, drum);
    const { wrapsWanted, usableM, lineOutM } = drum;
    return found({ wraps, wrapsWanted, usableM, outM: lineOutM + paidOutM, down: paidOutM > 0 });
  },
  title: ({ wraps, down }) => rich`Only ${wraps.toFixed(1)} wraps stay on the drum${down ? ' when it is down' : ''}`,
  detail: ({ wrapsWanted, usableM, outM, down }) =>
    rich`${String(wrapsWanted)} are asked for: ${length(usableM)} of line may be out, and ${length(outM)} is${down ? ' when it is down' : ''}. Take a nearer anchor, or put an extension in the anchor leg.`,
});

/** Wraps that stay at the least: what a rig that lowers will pay out counts as paid out. */
function wrapsLeft(moment: Moment, { drum, lineOutM }: Extract<DrumState, { kind: 'known' }>) {
  const { rig } = moment.rig;
  const paidOutM = rig.purpose === 'lower' ? rig.load.travelM * Math.abs(ropePerTravel(moment) ?? 0) : 0;
  return { paidOutM, wraps: drumState(drum, lineOutM + paidOutM)?.wrapsLeft ?? 0 };
}
