import { angle, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const shackleSideLoad = rigRule({
  code: 'shackle-side-load',
  severity: 'stop',
  softenable: false,
  why: 'A shackle is made to be pulled along its bow; beyond a right angle nothing is known.',
  needs: ['use.piece', 'use.bow-angle'],
  subjects: (rig) => usesOfClass(rig, 'steel-shackle'),
  about: aboutUse,
  answer: (_, { use, piece }) => {
    const offRad = use.bowAngleRad ?? 0;
    return offRad > Math.PI / 2 + RIGHT_ANGLE_TOLERANCE_RAD ? found({ name: pieceName(piece), offRad }) : undefined;
  },
  title: ({ name }) => rich`${name} is loaded sideways`,
  detail: ({ offRad }) => rich`${angle(offRad)} off the bow’s axis; at most 90° is allowed. Turn it into line.`,
});

/** A right angle typed in degrees is still one after its way through radians. */
const RIGHT_ANGLE_TOLERANCE_RAD = 1e-9;
