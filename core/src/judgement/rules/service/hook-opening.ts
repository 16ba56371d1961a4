import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, pieceName, ticked, usesOfClass } from '../../ask/speak.ts';

export const hookOpening = rigRule({
  code: 'hook-opening',
  severity: 'fix',
  softenable: true,
  why: 'A hook that straightens throws itself towards its back: with the opening up, into the ground.',
  needs: ['use.piece', 'gear.class', 'answers'],
  asks: 'Does the hook’s opening face up?',
  subjects: (rig) => usesOfClass(rig, 'winch-hook'),
  about: aboutUse,
  answer: (rig, { use, piece }) => ticked(rig, `hook-opening.${use.id}`, { name: pieceName(piece) }),
  title: ({ name }) => rich`The opening of ${name} faces down`,
  detail: () => rich`Turn it up before tensioning.`,
  question: ({ name }) => rich`Does the opening of ${name} face up?`,
});
