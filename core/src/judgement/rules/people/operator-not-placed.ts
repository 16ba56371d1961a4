import { rich } from '../../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../../rule.ts';

export const operatorNotPlaced: Rule = {
  code: 'operator-not-placed',
  severity: 'caution',
  softenable: true,
  why: 'The operator’s place decides whether a broken line hits anybody.',
  needs: 'people on the site',
  asks: 'Where does the operator stand?',
  check: ({ rig, drives }) => {
    if (!drives.some(({ kind }) => kind === 'winch')) return [];
    const placed = rig.bodies.some((body) => body.kind === 'person' && body.duty === 'operator');
    const told = rig.answers['operator-not-placed.rig'];
    if (placed || told === 'yes') return [notFound(rigSubject)];
    if (told === 'no')
      return [
        {
          kind: 'found',
          subject: rigSubject,
          title: rich`The operator has no safe place`,
          detail: rich`In the cab, behind a thick tree, or outside every circle and corridor; never in line with the rope.`,
          fixes: [{ kind: 'edits', label: 'Done now', edits: [{ kind: 'answer', questionId: 'operator-not-placed.rig', answer: 'yes' }] }],
        },
      ];
    return [
      {
        kind: 'undecided',
        subject: rigSubject,
        question: rich`Does the operator stand in the cab, behind a shelter, or outside every zone?`,
        questionId: 'operator-not-placed.rig',
      },
    ];
  },
};
