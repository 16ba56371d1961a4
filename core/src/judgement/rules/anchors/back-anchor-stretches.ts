import { rich } from '../../../quantity/format.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import { type Answer, chooseAnother, notFound, pieceName, type Rule, useSubject } from '../../rule.ts';

export const backAnchorStretches: Rule = {
  code: 'back-anchor-stretches',
  severity: 'stop',
  softenable: false,
  why: 'A back-anchor that stretches lets the vehicle slide and then throws it back.',
  needs: 'class of every piece of a back-anchor',
  check: ({ rig, gear }) =>
    (rig.backAnchors ?? []).flatMap(({ pieces }) =>
      pieces.map((use): Answer => {
        const piece = gearOf(use, gear);
        if (piece?.kind !== 'stretch-rope') return notFound(useSubject(use));
        return {
          kind: 'found',
          subject: useSubject(use),
          title: rich`${pieceName(piece)} stretches: not in a back-anchor`,
          detail: rich`Use a static strap or a chain.`,
          fixes: [chooseAnother(use, 'Choose a static strap')],
        };
      }),
    ),
};
