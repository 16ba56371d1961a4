import { angle, rich } from '../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, type Rule, useSubject } from '../rule.ts';
import { treeChains } from './straps-on-trees.ts';

/** Angle between the legs, degrees: found above the first, up to the second. */
const RANGE_DEG = [120, Infinity] as const;

export const strapLegsTooWide: Rule = {
  code: 'strap-legs-too-wide',
  severity: 'stop',
  softenable: false,
  why: 'The wider a strap’s legs stand apart, the more each of them carries.',
  needs: 'strap length, trunk diameter',
  check: (assessment) =>
    treeChains(assessment).map(({ use, piece, basket }): Answer => {
      const subject = useSubject(use);
      const degrees = ((basket?.legAngleRad ?? 0) * 180) / Math.PI;
      const wide = degrees > RANGE_DEG[0] * (1 + 1e-9) && degrees <= RANGE_DEG[1] * (1 + 1e-9);
      if (use.hitch !== 'basket' || !wide || !basket || !piece) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`The legs of ${piece.tag} stand ${angle(basket.legAngleRad)} apart`,
        detail: rich`Each leg carries ${basket.legShare.toFixed(2)} of the load; keep them within 90°. Take a longer strap.`,
        fixes: [chooseAnother(use, 'Choose a longer strap')],
      };
    }),
};
