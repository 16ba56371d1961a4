import { rich } from '../../../quantity/format.ts';
import { loadBody } from '../../../rig/site-geometry.ts';
import { type Rule, rigSubject, ticked, winchDrives } from '../../rule.ts';

export const ownerNotTold: Rule = {
  code: 'owner-not-told',
  severity: 'fix',
  softenable: true,
  why: 'Damage is likely enough that its owner must have agreed to the risk first.',
  needs: 'who owns the load',
  asks: 'Has the owner been told of the risks and agreed?',
  check: (assessment) =>
    loadBody(assessment.rig).kind === 'vehicle' && !winchDrives(assessment).some(({ body }) => body?.id === assessment.rig.load.bodyId)
      ? [
          ticked(assessment, {
            code: 'owner-not-told',
            subject: rigSubject,
            question: rich`Has the owner of the stuck vehicle been told of the risks and agreed?`,
            ifNo: {
              title: rich`The owner has not been told`,
              detail: rich`Tell the owner what may break and who decides; write down the name and the time.`,
            },
          }),
        ]
      : [],
};
