import { force, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

export const limitedByStatement = momentRule({
  code: 'limited-by-statement',
  severity: 'note',
  softenable: true,
  why: 'The greatest pull rests on a person’s word that a load cell or limiter holds it.',
  needs: ['limiter', 'gear.marks'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: ({ drives }, { index }) => {
    const drum = drives[index]?.drum;
    return drum !== undefined && drum.kind !== 'no-winch' && drum.limitedBy !== undefined ? -1 : 1;
  },
  answer: ({ drives }, { index }) => {
    const drum = drives[index]?.drum;
    if (drum === undefined || drum.kind === 'no-winch' || drum.limitedBy === undefined) return undefined;
    return found({ greatestN: drum.greatestN, statedBy: drum.limitedBy });
  },
  title: ({ greatestN }) => rich`The greatest pull is held to ${force(greatestN)}`,
  detail: ({ statedBy }) => rich`Stated by ${statedBy}; the winch alone could give more.`,
});
