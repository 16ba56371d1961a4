import { rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { itself, undecided, wholeRig } from '../../ask/speak.ts';

export const pathNotDrawn = actRule({
  code: 'path-not-drawn',
  severity: 'caution',
  softenable: false,
  why: 'A vehicle that is pulled to one side follows its wheels or the rope, and the two do not end in the same place.',
  needs: ['load.path', 'body.heading', 'line.way'],
  asks: 'Which way will the vehicle go?',
  subjects: wholeRig,
  about: itself,
  answer: ({ pathAsked, rig }) =>
    pathAsked === undefined ? undefined : undecided({ label: rig.load.body.label, aside: pathAsked === 'along-force' }),
  title: ({ label, aside }) =>
    rich`Which way will ${label} go? The rope pulls well off its heading, and ${aside ? 'towards the rope' : 'straight on'} is the worse. Draw its path.`,
  detail: () => rich``,
});
