import type { GearFacts } from '../../../gear/gear-facts.ts';
import { isClass, numberAt, ropeDiameterOf, traitsOf } from '../../../gear/traits.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { type ChosenUse, isChosen } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, ticked, usesOfClass } from '../../ask/speak.ts';

export const softOnSharpEdge = rigRule({
  code: 'soft-on-sharp-edge',
  severity: 'fix',
  softenable: false,
  why: 'Fibre under load is cut by an edge that a thumb barely feels.',
  needs: ['use.piece', 'gear.edgeRadiusM', 'gear.ropeDiameterM', 'answers', 'policy'],
  asks: 'Are the edges rounded where the soft shackle lies?',
  subjects: lyingOnEdges,
  about: ({ use }) => aboutUse(use),
  answer: (rig, { use, rock, point }) => {
    const name = pieceName(use.piece);
    const questionId = `soft-on-sharp-edge.${use.use.id}`;
    if (point === undefined) return ticked(rig, questionId, edgeData(name, rock, true));
    const data = edgeData(name, pieceName(point), false);
    const radiusM = numberAt(point, 'edgeRadiusM');
    const ropeM = ropeDiameterOf(use.piece);
    if (radiusM === undefined || ropeM === undefined) {
      const asked = ticked(rig, questionId, data);
      return asked?.kind === 'undecided' ? { ...asked, fixes: openPiece(point, 'Enter the edge radius') } : asked;
    }
    return fallsShort(radiusM, ropeM * rig.policy.judging.edgePerRope.value)
      ? found({ ...data, radiusM, ropeM }, chooseAnother(use, 'Choose a steel shackle'))
      : undefined;
  },
  title: ({ name, over }) => rich`${name} lies on a sharp edge of ${over}`,
  detail: ({ rock, radiusM, ropeM }) => {
    if (rock) return rich`Pad it with timber or a sleeve, or take a chain or a wire strop there.`;
    return radiusM === undefined || ropeM === undefined
      ? rich`Use a steel shackle there, or a sleeve made for it.`
      : rich`Edge radius ${smallLength(radiusM)}, rope ${smallLength(ropeM)}; at least a quarter of the rope is asked for. Use a steel shackle there.`;
  },
  question: ({ name, over, rock }) =>
    rock
      ? rich`Are the edges of ${over} rounded or padded where ${name} lies on them?`
      : rich`Are the edges of ${over} rounded where ${name} lies on them?`,
});

/** Sizes in metres, where both are on record. */
interface EdgeData {
  readonly [key: string]: string | boolean | number | undefined;
  readonly name: string;
  readonly over: string;
  readonly rock: boolean;
  readonly radiusM?: number;
  readonly ropeM?: number;
}

const edgeData = (name: string, over: string, rock: boolean): EdgeData => ({ name, over, rock });

interface OnEdge {
  readonly use: ChosenUse;
  /** The rock or structure it goes round, or the vehicle's point that it lies on. */
  readonly rock: string;
  readonly point?: GearFacts;
}

/** Fibre that goes round a rock or a structure, and soft shackles on points of vehicles. */
function lyingOnEdges(rig: ResolvedRig): readonly OnEdge[] {
  const onRocks = rig.chains.flatMap(({ point, first }): readonly OnEdge[] => {
    const body = point?.on.body;
    if ((body?.kind !== 'rock' && body?.kind !== 'structure') || !isChosen(first) || !traitsOf(first.piece).soft) return [];
    return [{ use: first, rock: body.label }];
  });
  const onPoints = usesOfClass(rig, 'soft-shackle').flatMap((use): readonly OnEdge[] => {
    const { inner } = use;
    return inner && isClass(inner.piece, 'recovery-point', 'receiver-mount') ? [{ use, rock: '', point: inner.piece }] : [];
  });
  return [...onRocks, ...onPoints];
}
