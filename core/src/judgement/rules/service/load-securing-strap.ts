import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const loadSecuringStrap = rigRule({
  code: 'load-securing-strap',
  severity: 'stop',
  softenable: false,
  why: 'Ratchet straps hold loads down; they are neither made nor marked for pulling.',
  needs: ['use.piece', 'gear.class', 'gear.marks', 'policy'],
  subjects: (rig) => usesOfClass(rig, 'load-securing-strap'),
  about: aboutUse,
  answer: ({ policy: { schools } }, use) => {
    const limited = use.piece.marks.some(({ basis }) => basis === 'wll');
    if (limited && schools.securingStrapAsLastResort) return undefined;
    return found({ name: pieceName(use.piece), unlimited: schools.securingStrapAsLastResort }, chooseAnother(use));
  },
  title: ({ name }) => rich`${name} is a load-securing strap`,
  detail: ({ unlimited }) =>
    unlimited
      ? rich`This team allows one by its marked working limit alone, and none is on record. Choose another piece.`
      : rich`It may not be used in any rig.`,
});
