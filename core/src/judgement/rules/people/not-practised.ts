import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found, undecided } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const notPractised = rigRule({
  code: 'not-practised',
  severity: 'caution',
  softenable: true,
  why: 'A rig laid for the first time under stress is laid wrong.',
  needs: ['person.duty', 'person.practised'],
  asks: 'Has the operator practised this layout?',
  subjects: operators,
  about: aboutBody,
  answer: (_, body) => {
    const { label, practised } = body;
    if (practised === true) return undefined;
    if (practised === false) return found({ label });
    return undecided({ label }, [
      { kind: 'edits', label: 'Yes, practised', edits: [{ kind: 'change-body', body: { ...body, practised: true } }] },
    ]);
  },
  title: ({ label }) => rich`${label} has not practised this layout`,
  detail: () => rich`Let somebody who has lay it out, or practise it dry first.`,
  question: ({ label }) => rich`Has ${label} practised this layout?`,
});
