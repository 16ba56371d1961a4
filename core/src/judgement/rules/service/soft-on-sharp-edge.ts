import { gearClasses } from '../../../gear/gear-classes.ts';
import type { Assessment } from '../../../moment/assessment.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import { bodyOfChain } from '../../../rig/site-geometry.ts';
import {
  type Answer,
  chooseAnother,
  neighbours,
  notFound,
  openPiece,
  pieceName,
  type Rule,
  ticked,
  useSubject,
  usesOfClass,
} from '../../rule.ts';

export const softOnSharpEdge: Rule = {
  code: 'soft-on-sharp-edge',
  severity: 'fix',
  softenable: false,
  why: 'Fibre under load is cut by an edge that a thumb barely feels.',
  needs: 'edge radius of the point, rope diameter of the soft shackle',
  asks: 'Are the edges rounded where the soft shackle lies?',
  check: (assessment) => [
    ...onRocks(assessment),
    ...usesOfClass(assessment, 'soft-shackle').map(({ use, piece }): Answer => {
      const { inner } = neighbours(assessment, use);
      const subject = useSubject(use);
      if (inner?.piece.kind !== 'recovery-point' && inner?.piece.kind !== 'receiver-mount') return notFound(subject);
      const radius = inner.piece.attributes.edgeRadiusM;
      const rope = piece.attributes.ropeDiameterM;
      const bad = {
        title: rich`${pieceName(piece)} lies on a sharp edge of ${pieceName(inner.piece)}`,
        detail: rich`Use a steel shackle there, or a sleeve made for it.`,
      };
      if (radius === undefined || rope === undefined) {
        const answer = ticked(assessment, {
          code: 'soft-on-sharp-edge',
          subject,
          question: rich`Are the edges of ${pieceName(inner.piece)} rounded where ${pieceName(piece)} lies on them?`,
          ifNo: bad,
        });
        return answer.kind === 'undecided' ? { ...answer, fixes: [openPiece(inner.piece, 'Enter the edge radius')] } : answer;
      }
      if (!fallsShort(radius, rope / 4)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        ...bad,
        detail: rich`Edge radius ${smallLength(radius)}, rope ${smallLength(rope)}; at least a quarter of the rope is asked for. Use a steel shackle there.`,
        fixes: [chooseAnother(use, 'Choose a steel shackle')],
      };
    }),
  ],
};

/** Fibre that goes round a rock or a structure: only somebody there can tell how sharp it is. */
function onRocks(assessment: Assessment): readonly Answer[] {
  const { rig, gear } = assessment;
  return rig.chains.flatMap((chain): readonly Answer[] => {
    const body = bodyOfChain(rig, chain);
    const first = chain.pieces[0];
    const piece = first && gearOf(first, gear);
    if ((body?.kind !== 'rock' && body?.kind !== 'structure') || !first || !piece || !gearClasses[piece.kind].soft) return [];
    return [
      ticked(assessment, {
        code: 'soft-on-sharp-edge',
        subject: useSubject(first),
        question: rich`Are the edges of ${body.label} rounded or padded where ${pieceName(piece)} lies on them?`,
        ifNo: {
          title: rich`${pieceName(piece)} lies on a sharp edge of ${body.label}`,
          detail: rich`Pad it with timber or a sleeve, or take a chain or a wire strop there.`,
        },
      }),
    ];
  });
}
