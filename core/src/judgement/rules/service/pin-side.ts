import type { Schools } from '../../../policy/schools.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, pieceName, ticked, usesOfClass } from '../../ask/speak.ts';

/** What this team does with a seated pin, in words that follow. */
const BACK_WORDS: { readonly [B in Schools['pinBackOff']]: string } = {
  none: '',
  'eighth-turn': ', turned back an eighth of a turn',
  'quarter-turn': ', turned back a quarter of a turn',
  'half-turn': ', turned back half a turn',
};

export const pinSide = rigRule({
  code: 'pin-side',
  severity: 'fix',
  softenable: true,
  why: 'Rope or strap running over a screw pin turns it out.',
  needs: ['use.piece', 'answers', 'policy'],
  asks: 'Is the pin on the side that stands still?',
  subjects: (rig) => usesOfClass(rig, 'steel-shackle'),
  about: aboutUse,
  answer: (rig, { use, piece }) =>
    ticked(rig, `pin-side.${use.id}`, { name: pieceName(piece), back: BACK_WORDS[rig.policy.schools.pinBackOff] }),
  title: ({ name }) => rich`${name}: pin on the running side or not seated`,
  detail: ({ back }) => rich`Turn the shackle round and seat the pin by hand${back}.`,
  question: ({ name, back }) => rich`Is the pin of ${name} fully seated${back} and on the side that does not move?`,
});
