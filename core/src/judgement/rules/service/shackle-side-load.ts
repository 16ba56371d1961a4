import { offTheBowRad } from '../../../moment/shackle-angle.ts';
import { angle, rich } from '../../../quantity/format.ts';
import { shackleInPoint } from '../../../resolved/places-of-rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutUse, found, openPiece, pieceName, undecided, usesOfClass } from '../../ask/speak.ts';

export const shackleSideLoad = momentRule({
  code: 'shackle-side-load',
  severity: 'stop',
  softenable: false,
  why: 'A shackle is made to be pulled along its bow; beyond a right angle nothing is known.',
  needs: ['use.piece', 'use.bow-angle', 'gear.swing', 'line.way', 'point.mount', 'body.heading', 'policy'],
  asks: 'Which way does the point let its shackle swing?',
  subjects: (rig) => usesOfClass(rig, 'steel-shackle').map((use) => ({ use, inPoint: shackleInPoint(use) })),
  about: ({ use }) => aboutUse(use),
  margin: (moment, { use, inPoint }) => {
    const stated = use.use.bowAngleRad;
    if (stated !== undefined) return Math.PI / 2 + RIGHT_ANGLE_TOLERANCE_RAD - stated;
    const { balances, rig } = moment;
    if (inPoint === undefined || inPoint.swing !== undefined || balances === undefined) return Number.POSITIVE_INFINITY;
    // Where its point may let it follow or not, it is asked once that makes a difference worth asking for.
    const askedRad = (rig.policy.judging.bowAskedDeg.value * Math.PI) / 180;
    return offTheBowRad({ ...moment, balance: balances.hauling }, inPoint) > askedRad * (1 + 1e-9) ? undefined : 1;
  },
  answer: (moment, { use, inPoint }) => {
    const name = pieceName(use.piece);
    const stated = use.use.bowAngleRad;
    if (stated !== undefined) return found({ name, offRad: stated });
    const { balances } = moment;
    if (inPoint === undefined || balances === undefined) return undefined;
    const point = [use.inner, use.outer].find((other) => other?.use.role === 'point')?.piece;
    return undecided(
      { name, offRad: offTheBowRad({ ...moment, balance: balances.hauling }, inPoint) },
      point && openPiece(point, 'Enter how it swings'),
    );
  },
  title: ({ name }) => rich`${name} is loaded sideways`,
  detail: ({ offRad }) => rich`${angle(offRad)} off the bow’s axis; at most 90° is allowed. Turn it into line.`,
  question: ({ name, offRad }) =>
    rich`Which way does its point let ${name} swing: level, upright or both? If it does not follow, its load is ${angle(offRad)} off its bow, which is counted until somebody says.`,
});

/** A right angle typed in degrees is still one after its way through radians. */
const RIGHT_ANGLE_TOLERANCE_RAD = 1e-9;
