import { rich } from '../../../quantity/format.ts';
import type { ChosenUse } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';
import { towRopes } from './tow-ropes.ts';

export const stretchInWinchRig = rigRule({
  code: 'stretch-in-winch-rig',
  severity: 'stop',
  softenable: false,
  why: 'A stretch rope stores energy that a winch rig lets go all at once when anything fails.',
  needs: ['use.piece', 'gear.class', 'use.role'],
  subjects: inWinchRig,
  about: aboutUse,
  answer: (_, use) => found({ name: pieceName(use.piece) }, chooseAnother(use)),
  title: ({ name }) => rich`${name} must not be in a winch rig`,
  detail: () => rich`Use a static strap or an extension.`,
});

/** Stretch ropes anywhere but in the rope of a tow or in a back-anchor, which have rules of their own. */
function inWinchRig(rig: ResolvedRig): readonly ChosenUse[] {
  const towed = new Set<ChosenUse>(towRopes(rig).map(({ rope }) => rope));
  return usesOfClass(rig, 'stretch-rope').filter((use) => !towed.has(use) && use.seat.kind !== 'back-anchor');
}
