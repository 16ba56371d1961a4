import { drumOf } from '../../../moment/drives.ts';
import { length, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

export const lineTooShort = momentRule({
  code: 'line-too-short',
  severity: 'stop',
  softenable: false,
  why: 'There is less rope than the rig needs.',
  needs: ['gear.lengthM', 'line.way', 'body.stands'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => (drumOf(moment, drive).kind === 'too-short' ? -1 : 1),
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    return drum.kind === 'too-short' ? found({ lineOutM: drum.lineOutM, ropeM: drum.ropeM }) : undefined;
  },
  title: () => rich`The line is too short`,
  detail: ({ lineOutM, ropeM }) =>
    rich`The rig needs ${length(lineOutM)} from the drum; the line is ${length(ropeM)}. Take a nearer anchor, or put an extension in the anchor leg.`,
});
