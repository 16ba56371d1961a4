import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, pieceName, ticked, usesOfClass } from '../../ask/speak.ts';

export const pinSide = rigRule({
  code: 'pin-side',
  severity: 'fix',
  softenable: true,
  why: 'Rope or strap running over a screw pin turns it out.',
  needs: ['use.piece', 'answers'],
  asks: 'Is the pin on the side that stands still?',
  subjects: (rig) => usesOfClass(rig, 'steel-shackle'),
  about: aboutUse,
  answer: (rig, { use, piece }) => ticked(rig, `pin-side.${use.id}`, { name: pieceName(piece) }),
  title: ({ name }) => rich`${name}: pin on the running side or not seated`,
  detail: () => rich`Turn the shackle round and seat the pin by hand.`,
  question: ({ name }) => rich`Is the pin of ${name} fully seated and on the side that does not move?`,
});
