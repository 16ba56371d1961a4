import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, wholeRig, winchDrives } from '../../ask/speak.ts';
import { operators } from './operators.ts';

const QUESTION = 'operator-not-placed.rig';

export const operatorNotPlaced = rigRule({
  code: 'operator-not-placed',
  severity: 'caution',
  softenable: true,
  why: 'The operator’s place decides whether a broken line hits anybody.',
  needs: ['person.duty', 'answers'],
  asks: 'Where does the operator stand?',
  subjects: (rig) => (winchDrives(rig).length > 0 && operators(rig).length === 0 ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, QUESTION, {}),
  title: () => rich`The operator has no safe place`,
  detail: () => rich`In the cab, behind a thick tree, or outside every circle and corridor; never in line with the rope.`,
  question: () => rich`Does the operator stand in the cab, behind a shelter, or outside every zone?`,
});
