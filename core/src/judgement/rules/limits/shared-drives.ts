import { percent, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { driveName, found, itself, wholeRig } from '../../ask/speak.ts';

export const sharedDrives = momentRule({
  code: 'shared-drives',
  severity: 'note',
  softenable: true,
  why: 'Winches that pull together share by their ratings only while somebody watches both.',
  needs: ['sharing', 'gear.marks'],
  subjects: (rig) => (rig.drives.length < 2 ? [] : wholeRig()),
  about: itself,
  margin: () => -1,
  answer: ({ drives, rig }) => {
    const whole = drives.reduce((sum, { share }) => sum + share, 0);
    const parts = drives.map(({ drive, share }) => ({ name: driveName(drive), share: share / whole }));
    return found({ parts, statedBy: rig.rig.sharing?.statedBy });
  },
  title: () => rich`Several drives share the pull`,
  detail: ({ parts, statedBy }) => {
    const each = parts.flatMap(({ name, share }, index) => rich`${index === 0 ? '' : ', '}${name} ${percent(share)}`);
    return rich`${each}; ${statedBy ? `stated by ${statedBy}` : 'by their rated pulls on the working layers'}. Somebody watches each drum, and all stop together.`;
  },
});
