import { percent, rich } from '../../../quantity/format.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';

/** Below this share of strength a bend is called tight: about D/d 3 for fibre, 4 for wire. */
const TIGHT = 0.75;

export const tightBend: Rule = {
  code: 'tight-bend',
  severity: 'caution',
  softenable: true,
  why: 'Rope bent tightly carries its load on its outer strands alone.',
  needs: 'tread diameter of the pulley, rope diameter',
  asks: 'How wide are rope and tread at this bend?',
  check: ({ places }) =>
    places
      .filter(({ kind }) => kind === 'bend')
      .map((place): Answer => {
        const bend = place.locals[0];
        if (bend === undefined)
          return {
            kind: 'undecided',
            subject: ownerSubject(place),
            question: rich`How wide are the rope and the tread at the ${place.where}? Without both the bend cannot be judged.`,
          };
        if (bend.factor > TIGHT * (1 + 1e-9)) return notFound(ownerSubject(place));
        return {
          kind: 'found',
          subject: ownerSubject(place),
          title: rich`${ownerName(place)} is bent tightly`,
          detail: rich`At the ${place.where} (${bend.name}) ${percent(bend.factor)} of its strength is left. Use a wider ring or block.`,
        };
      }),
};
