import { drumOf } from '../../../moment/drives.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

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
    return drum.kind === 'known' ? leftAbove(drum.wrapsLeft, drum.wrapsWanted) : Number.POSITIVE_INFINITY;
  },
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    if (drum.kind !== 'known') return undefined;
    const { wrapsLeft, wrapsWanted, usableM, lineOutM } = drum;
    return found({ wraps: wrapsLeft, wrapsWanted, usableM, outM: lineOutM, down: moment.travelM > 0, atM: moment.travelM });
  },
  title: ({ wraps, down, atM }) => rich`Only ${wraps.toFixed(1)} wraps stay on the drum${down ? rich` after ${length(atM)}` : rich``}`,
  detail: ({ wrapsWanted, usableM, outM, down }) =>
    rich`${String(wrapsWanted)} are asked for: ${length(usableM)} of line may be out, and ${length(outM)} is${down ? ' by then' : ''}. Take a nearer anchor, or put an extension in the anchor leg.`,
});
