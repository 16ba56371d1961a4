import { rich } from '../../../quantity/format.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import { type Answer, chooseAnother, notFound, pieceName, type Rule, useSubject } from '../../rule.ts';

const METAL = ['steel-shackle', 'closed-link', 'carabiner', 'winch-hook', 'rope-lock-plate'];

export const metalBetweenStretch: Rule = {
  code: 'metal-between-stretch',
  severity: 'stop',
  softenable: false,
  why: 'A shackle between two stretch ropes is a shot when one of them parts.',
  needs: 'what joins the ropes of a stretch pull',
  check: ({ rig, gear }) =>
    rig.lines.flatMap(({ ropes }) =>
      ropes.slice(1, -1).flatMap((use, index): readonly Answer[] => {
        const [before, piece, after] = [ropes[index], use, ropes[index + 2]].map((entry) => entry && gearOf(entry, gear));
        if (!piece || before?.kind !== 'stretch-rope' || after?.kind !== 'stretch-rope') return [];
        if (METAL.every((kind) => kind !== piece.kind)) return [notFound(useSubject(use))];
        return [
          {
            kind: 'found',
            subject: useSubject(use),
            title: rich`${pieceName(piece)} joins two stretch ropes`,
            detail: rich`Use a soft shackle, or loop them through each other with a soft spacer.`,
            fixes: [chooseAnother(use, 'Choose a soft shackle')],
          },
        ];
      }),
    ),
};
