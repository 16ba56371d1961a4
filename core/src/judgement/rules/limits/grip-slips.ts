import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, chooseAnother, notFound, openPiece, pieceName, type Rule, useSubject } from '../../rule.ts';

export const gripSlips: Rule = {
  code: 'grip-slips',
  severity: 'stop',
  softenable: false,
  why: 'A grip past its slip load melts on the rope and lets go.',
  needs: 'slip load of every grip, the chain it holds',
  asks: 'At what load does this grip slip?',
  check: ({ checks }) =>
    checks.flatMap(({ place, plannedN, greatestN }): readonly Answer[] => {
      const { owner } = place;
      if (owner.kind !== 'use' || owner.piece?.kind !== 'prusik-loop' || place.kind !== 'body') return [];
      const subject = useSubject(owner.use);
      const slips = owner.piece.attributes.slipLoadN;
      const most = Math.max(plannedN ?? 0, greatestN ?? 0);
      if (slips === undefined)
        return [
          {
            kind: 'undecided',
            subject,
            question: rich`At what load does ${pieceName(owner.piece)} slip?`,
            fixes: [openPiece(owner.piece, 'Enter its slip load')],
          },
        ];
      if (!exceeds(most, slips)) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`${pieceName(owner.piece)} would slip`,
          detail: rich`It would carry ${force(most)} and slips at ${force(slips)}. Use a second grip beside it, or a knot and a connector.`,
          fixes: [chooseAnother(owner.use)],
        },
      ];
    }),
};
