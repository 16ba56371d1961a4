import { drumOf, plannedOf } from '../../../moment/drives.ts';
import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';
import { stallFacts } from '../../ask/winch-facts.ts';

export const winchStalls = momentRule({
  code: 'winch-stalls',
  severity: 'stop',
  softenable: false,
  why: 'The planned pull is more than this winch can give at all.',
  needs: [...stallFacts, 'line.way', 'situation'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => {
    const drum = drumOf(moment, drive);
    if (drum.kind === 'no-winch') return Number.POSITIVE_INFINITY;
    return leftBelow(plannedOf(moment, drive.index), drum.ratedN * drum.stallFactor);
  },
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    if (drum.kind === 'no-winch') return undefined;
    return found({ plannedN: plannedOf(moment, drive.index), stallN: drum.ratedN * drum.stallFactor });
  },
  title: () => rich`The winch will stall`,
  detail: ({ plannedN, stallN }) =>
    rich`It must pull ${force(plannedN)} and stalls near ${force(stallN)}. Add a part to the line, or dig and use boards first.`,
});
