import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const securingStrapLastResort = rigRule({
  code: 'securing-strap-last-resort',
  severity: 'fix',
  softenable: true,
  why: 'It was made to hold a load still on a deck: a steady short pull only, and only when nothing better is at hand.',
  needs: ['use.piece', 'gear.class', 'policy'],
  subjects: (rig) => usesOfClass(rig, 'load-securing-strap'),
  about: aboutUse,
  answer: ({ policy: { schools } }, use) =>
    schools.securingStrapAsLastResort ? found({ name: pieceName(use.piece) }, chooseAnother(use)) : undefined,
  title: ({ name }) => rich`${name} is a last resort`,
  detail: () =>
    rich`It holds loads down, and its ratchet and hooks were never made to be pulled on. Take a strap made for pulling if there is any.`,
});
