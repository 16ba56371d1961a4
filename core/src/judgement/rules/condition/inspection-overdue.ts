import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const inspectionOverdue = rigRule({
  code: 'inspection-overdue',
  severity: 'caution',
  softenable: true,
  why: 'The condition counted on is older than the team allows.',
  needs: ['use.piece', 'gear.inspection', 'day'],
  subjects: chosenUses,
  about: aboutUse,
  answer: ({ asOf }, use) => {
    const { inspection } = use.piece;
    const due = inspection?.nextDue;
    if (inspection === undefined || due === undefined || due >= asOf) return undefined;
    return found({ name: pieceName(use.piece), due, on: inspection.on }, chooseAnother(use));
  },
  title: ({ name }) => rich`${name} is overdue for inspection`,
  detail: ({ due, on }) => rich`Due ${due}, last inspected ${on}. Look it over now or take another.`,
});
