import { ropeLawOf } from '../hazards/rope-energy.ts';
import { shownState } from '../judgement/report/drawing-facts.ts';
import { pieceName } from '../judgement/rule.ts';
import type { Assessment } from '../moment/assessment.ts';
import { gearOf } from '../resolved/rig-network.ts';
import { usesOf } from '../rig/references.ts';
import type { Lanyard, PieceUse } from '../rig/rig.ts';
import { bodyOfPoint, pointPosition } from '../rig/site-geometry.ts';
import { distance, type Vec3 } from '../statics/vec3.ts';
import { massOf, nominalStrengthN } from './what-leaves.ts';

/** A lanyard with what it catches and how far it has to reach. */
export interface LanyardFacts {
  readonly lanyard: Lanyard;
  readonly use: PieceUse;
  readonly name: string;
  /** Tied to something that stands still. */
  readonly fixed: boolean;
  /** The piece moves while the load does. */
  readonly travels: boolean;
  readonly lengthM: number | undefined;
  /** The greatest span between its two ends through the travel, metres. */
  readonly needsM: number;
  /** Force at which it has taken up what would fly, and the force at which it breaks, newtons. */
  readonly arrestN: number | undefined;
  readonly breaksN: number | undefined;
}

export function lanyardsOf(assessment: Assessment): readonly LanyardFacts[] {
  return (assessment.rig.lanyards ?? []).flatMap((lanyard) => {
    const use = usesOf(assessment.rig).find((entry) => entry.use.id === lanyard.useId)?.use;
    return use ? [factsOf(assessment, lanyard, use)] : [];
  });
}

function factsOf(assessment: Assessment, lanyard: Lanyard, use: PieceUse): LanyardFacts {
  const { rig, gear } = assessment;
  const piece = lanyard.gearId === undefined ? undefined : gear.get(lanyard.gearId);
  const lengthM = piece && 'lengthM' in piece.attributes ? piece.attributes.lengthM : undefined;
  const held = gearOf(use, gear);
  const travels = travelsWithLoad(assessment, use);
  const tied = lanyard.to.kind === 'point' ? bodyOfPoint(rig, lanyard.to.pointId) : undefined;
  const fixed = lanyard.to.kind === 'point' && tied?.id !== rig.load.bodyId;
  return {
    lanyard,
    use,
    name: held ? pieceName(held) : 'the piece',
    fixed,
    travels,
    lengthM,
    needsM: spanM(assessment, lanyard, use) + (fixed && travels ? rig.load.travelM : 0),
    ...strength(assessment, { use, lengthM, gearId: lanyard.gearId }),
  };
}

/** Whether a piece hangs on the load, or on something in the air that moves with the lines. */
function travelsWithLoad({ rig }: Assessment, use: PieceUse): boolean {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  if (chain === undefined) return true;
  if (chain.from.kind === 'joint') return true;
  return bodyOfPoint(rig, chain.from.pointId)?.id === rig.load.bodyId;
}

function placeOf(assessment: Assessment, use: PieceUse): Vec3 | undefined {
  const state = shownState(assessment)?.state;
  const place = assessment.network.chains.find(({ chain }) => chain.pieces.some(({ id }) => id === use.id));
  return state && place ? state.positions[place.tip] : undefined;
}

function spanM(assessment: Assessment, { to }: Lanyard, use: PieceUse): number {
  const { rig } = assessment;
  const point = to.kind === 'point' ? rig.points.find(({ id }) => id === to.pointId) : undefined;
  const at = placeOf(assessment, use);
  return point && at ? distance(pointPosition(rig, point), at) : 0;
}

interface Tied {
  readonly use: PieceUse;
  readonly lengthM: number | undefined;
  readonly gearId: string | undefined;
}

/**
 * The lanyard takes up ½mv² of what it holds, at most the line's energy: by its own law E = MBS·L·ε_b/(p + 1)·s^((p + 1)/p),
 * s = F/MBS, so F = MBS·((p + 1)·E/(MBS·L·ε_b))^(p/(p + 1)).
 */
function strength(assessment: Assessment, { use, lengthM, gearId }: Tied): Pick<LanyardFacts, 'arrestN' | 'breaksN'> {
  const { gear, policy } = assessment;
  const piece = gearId === undefined ? undefined : gear.get(gearId);
  const breaksN = piece && nominalStrengthN(piece);
  const kind = piece && ropeLawOf(piece);
  const own = massOf(assessment, use);
  const flight = assessment.breaks
    .flatMap(({ energyJ, flights }) => flights.map((entry) => ({ ...entry, energyJ })))
    .find(({ chainId }) => assessment.rig.chains.some(({ id, pieces }) => id === chainId && pieces.some((entry) => entry.id === use.id)));
  if (
    breaksN === undefined ||
    kind === undefined ||
    lengthM === undefined ||
    own === undefined ||
    flight?.energyJ === undefined ||
    !flight.massKg
  )
    return { arrestN: undefined, breaksN };
  const law = policy.stretch.laws[kind];
  const energyJ = (flight.energyJ * own) / flight.massKg;
  const { exponent: p, elongation } = law;
  return { arrestN: breaksN * (((p + 1) * energyJ) / (breaksN * lengthM * elongation)) ** (p / (p + 1)), breaksN };
}
