import { rich } from '../../../quantity/format.ts';
import { type Rule, rigSubject, ticked, winchDrives } from '../../rule.ts';

export const heldOnPark: Rule = {
  code: 'held-on-park',
  severity: 'stop',
  softenable: false,
  why: 'A parking pawl breaks at a load that the brakes would have held.',
  needs: 'a look at the winching vehicle',
  asks: 'Is the winching vehicle out of gear with all its brakes on?',
  check: (assessment) =>
    winchDrives(assessment).some(({ body }) => body?.kind === 'vehicle' && body.id !== assessment.rig.load.bodyId)
      ? [
          ticked(assessment, {
            code: 'held-on-park',
            subject: rigSubject,
            question: rich`Is the winching vehicle out of gear with all its brakes on?`,
            ifNo: {
              title: rich`The winching vehicle is held by its selector alone`,
              detail: rich`Take it out of gear, put all brakes on and chock the wheels.`,
            },
          }),
        ]
      : [],
};
