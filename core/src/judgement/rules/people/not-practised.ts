import { rich } from '../../../quantity/format.ts';
import { type Answer, type Fix, notFound, type Rule } from '../../rule.ts';

export const notPractised: Rule = {
  code: 'not-practised',
  severity: 'caution',
  softenable: true,
  why: 'A rig laid for the first time under stress is laid wrong.',
  needs: 'the operator’s practised layouts',
  asks: 'Has the operator practised this layout?',
  check: ({ rig }) =>
    rig.bodies.flatMap((body): readonly Answer[] => {
      if (body.kind !== 'person' || body.duty !== 'operator') return [];
      const subject = { kind: 'body', id: body.id } as const;
      if (body.practised === true) return [notFound(subject)];
      if (body.practised === undefined) {
        const fixes: readonly Fix[] = [
          { kind: 'edits', label: 'Yes, practised', edits: [{ kind: 'change-body', body: { ...body, practised: true } }] },
        ];
        return [{ kind: 'undecided', subject, question: rich`Has ${body.label} practised this layout?`, fixes }];
      }
      return [
        {
          kind: 'found',
          subject,
          title: rich`${body.label} has not practised this layout`,
          detail: rich`Let somebody who has lay it out, or practise it dry first.`,
        },
      ];
    }),
};
