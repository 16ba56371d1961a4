import { drumOf } from '../../../moment/drives.ts';
import { rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, openPiece, undecided, winchDrives } from '../../ask/speak.ts';

export const layerUndecided = momentRule({
  code: 'layer-undecided',
  severity: 'caution',
  softenable: false,
  why: 'Wraps left and the pull on the working layer follow from the sizes of drum and rope.',
  needs: ['gear.drumDiameterM', 'gear.drumWidthM', 'gear.ropeDiameterM', 'gear.lengthM', 'line.way'],
  asks: 'How many wraps stay on the drum, and on which layer does it work?',
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => (drumOf(moment, drive).kind === 'sizes-unknown' && drive.winch ? undefined : 1),
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    if (drum.kind !== 'sizes-unknown' || !drive.winch) return undefined;
    return undecided({ missing: drum.missing }, openPiece(drive.winch, 'Enter the sizes'));
  },
  title: ({ missing }) => rich`How many wraps stay on the drum, and on which layer does it work? Not on record: ${missing.join(', ')}.`,
  detail: () => rich``,
});
