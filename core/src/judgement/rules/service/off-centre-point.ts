import { length, rich } from '../../../quantity/format.ts';
import { bodyOfChain, pointOfChain } from '../../../rig/site-geometry.ts';
import { answerUses, pieceName, type Rule, usesOfClass } from '../../rule.ts';

/** Beyond this share of the vehicle's width from its centre line one point alone turns it noticeably. */
const SHARE = 0.15;

export const offCentrePoint: Rule = {
  code: 'off-centre-point',
  severity: 'note',
  softenable: true,
  why: 'A pull beside the centre line turns the vehicle as it comes.',
  needs: 'where the point sits on the vehicle',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'recovery-point'), ({ use, piece }) => {
      const chain = assessment.rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
      const point = chain && pointOfChain(assessment.rig, chain);
      const body = chain && bodyOfChain(assessment.rig, chain);
      // The legs of a bridle share the pull across the centre line.
      if (chain?.to !== undefined) return undefined;
      if (point?.place.kind !== 'on-vehicle' || body?.kind !== 'vehicle') return undefined;
      const off = Math.abs(point.place.leftM);
      return off > body.widthM * SHARE
        ? {
            title: rich`${pieceName(piece)} sits ${length(off)} off the centre line`,
            detail: rich`The vehicle will turn towards the other side; steer for it, or use a bridle on two points.`,
          }
        : undefined;
    }),
};
