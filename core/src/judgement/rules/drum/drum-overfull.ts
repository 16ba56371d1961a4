import { drumOf } from '../../../moment/drives.ts';
import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

export const drumOverfull = momentRule({
  code: 'drum-overfull',
  severity: 'caution',
  softenable: true,
  why: 'With the whole line in, the top layer comes too near the edge of the flange.',
  needs: ['gear.flangeDiameterM', 'gear.drumDiameterM', 'gear.drumWidthM', 'gear.ropeDiameterM', 'gear.lengthM'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => {
    const drum = drumOf(moment, drive);
    return drum.kind === 'known' && drum.overfull === true ? -1 : 1;
  },
  answer: () => found({}),
  title: () => rich`The drum is over-full`,
  detail: () =>
    rich`The line needs more layers than the flange holds with one to spare. Watch the drum as the line comes in, or fit a shorter line.`,
});
