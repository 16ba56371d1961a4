import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const stretchNotAllowed = rigRule({
  code: 'stretch-not-allowed',
  severity: 'stop',
  softenable: false,
  why: 'This team has decided not to use stretch ropes.',
  needs: ['use.piece', 'gear.class', 'policy'],
  subjects: (rig) => usesOfClass(rig, 'stretch-rope'),
  about: aboutUse,
  answer: ({ policy }, use) => (policy.stretch.allowed ? undefined : found({ name: pieceName(use.piece) }, chooseAnother(use))),
  title: ({ name }) => rich`${name}: stretch ropes are not used here`,
  detail: () => rich`Winch it out, or change the team’s policy first.`,
});
