import { percent, rich } from '../../../quantity/format.ts';
import { driveName } from '../../report/report-figures.ts';
import { type Rule, rigSubject } from '../../rule.ts';

export const sharedDrives: Rule = {
  code: 'shared-drives',
  severity: 'note',
  softenable: true,
  why: 'Winches that pull together share by their ratings only while somebody watches both.',
  needs: 'how several drives share the pull',
  check: ({ drives, rig }) => {
    if (drives.length < 2) return [];
    const whole = drives.reduce((sum, { share }) => sum + share, 0);
    const parts = drives.flatMap((drive, index) => rich`${index === 0 ? '' : ', '}${driveName(drive)} ${percent(drive.share / whole)}`);
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`Several drives share the pull`,
        detail: rich`${parts}; ${rig.sharing ? `stated by ${rig.sharing.statedBy}` : 'by their rated pulls on the working layers'}. Somebody watches each drum, and all stop together.`,
      },
    ];
  },
};
