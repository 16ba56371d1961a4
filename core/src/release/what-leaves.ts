import type { GearFacts } from '../gear/gear-facts.ts';
import { elongationAt, flightOf, ropeEnergyJ, ropeLawOf, ropeMassKg } from '../hazards/rope-energy.ts';
import { shownState } from '../judgement/report/drawing-facts.ts';
import type { Gathered, LoadState } from '../moment/assessment.ts';
import { chainForce, spanLengthM, spanTension, stopAt } from '../moment/rig-forces.ts';
import { type ChainPlace, gearOf, type LineWalk } from '../resolved/rig-network.ts';
import { ropeSpans } from '../resolved/rope-places.ts';
import type { PieceUse } from '../rig/rig.ts';
import { unit, type Vec3, ZERO } from '../statics/vec3.ts';

/** What leaves a place if it lets go, and which way. Momentum and speed are upper bounds: all energy in these parts alone. */
export interface Flight {
  readonly chainId: string;
  readonly from: Vec3;
  /** Unit direction, along the strand away from the break, a pulley along its bisector. */
  readonly along: Vec3;
  /** Hardware that flies and a third of the rope that moves, kg; missing where a mass is not on record. */
  readonly massKg?: number;
  readonly momentumNs?: number;
  readonly speedMPerS?: number;
  readonly massUnknownOf: readonly string[];
}

export interface BreakFigures {
  readonly lineId: string;
  /** Energy in all its strands at the greatest pull, else at the planned one, joules; missing where a strength is not known. */
  readonly energyJ?: number;
  /** Stretch of the whole line under that load, metres. */
  readonly stretchM?: number;
  readonly flights: readonly Flight[];
}

/** A stretch of one rope under one tension. */
export interface Stretched {
  readonly piece: GearFacts;
  readonly lengthM: number;
  readonly tensionN: number;
}

/** What every line does if it breaks or lets go at the checked load. */
export function breaksOf(assessment: Gathered): readonly BreakFigures[] {
  const state = assessment.states.greatest[0] ?? shownState(assessment);
  if (state === undefined) return [];
  return assessment.network.lines.map((walk) => breakOf(assessment, walk, state));
}

function breakOf(assessment: Gathered, walk: LineWalk, state: LoadState): BreakFigures {
  const stretches = stretchesOf(assessment, walk, state);
  const energies = stretches?.map((part) => energyOf(assessment, part));
  const known = energies?.every((entry) => entry !== undefined) === true;
  const energyJ = known ? energies.reduce((sum, entry) => sum + (entry?.energyJ ?? 0), 0) : undefined;
  const stretchM = known ? energies.reduce((sum, entry) => sum + (entry?.stretchM ?? 0), 0) : undefined;
  const ropeKg = ropeMassOf(assessment, stretches);
  const flights = assessment.network.chains
    .filter(({ chain }) => walk.stops.some(({ chainId }) => chainId === chain.id))
    .map((place) => flightFrom(assessment, place, state, { energyJ, ropeKg }));
  return { lineId: walk.line.id, ...(energyJ !== undefined && { energyJ }), ...(stretchM !== undefined && { stretchM }), flights };
}

/** Each strand split into the ropes that lie in it; undefined where a rope of the line is not chosen. */
export function stretchesOf(assessment: Gathered, walk: LineWalk, { state, scale: factor }: LoadState): readonly Stretched[] | undefined {
  const ropes = ropeSpans(walk, assessment).map(({ use, fromEndM, toEndM }) => ({ piece: gearOf(use, assessment.gear), fromEndM, toEndM }));
  if (ropes.some(({ piece }) => piece === undefined)) return undefined;
  const lengths = walk.spans.map((_, span) => spanLengthM(walk, span, state));
  return walk.spans.flatMap((_, span) => {
    const tensionN = factor * spanTension(walk, span, state);
    const end = lengths.slice(span + 1).reduce((sum, length) => sum + length, 0);
    const start = end + (lengths[span] ?? 0);
    return ropes.flatMap(({ piece, fromEndM, toEndM }, order) => {
      // The first rope reaches back to the drum, however long the register says it is.
      const lengthM = Math.min(start, order === 0 ? Number.POSITIVE_INFINITY : toEndM) - Math.max(end, fromEndM);
      return piece && lengthM > 0 ? [{ piece, lengthM, tensionN }] : [];
    });
  });
}

/**
 * Nominal breaking strength of a piece as its stiffness goes by, newtons: the highest mark by its largest reading, no factor in,
 * a basket mark halved. A stiffer rope stores less and pulls harder; what it may carry is judged elsewhere.
 */
export function nominalStrengthN({ marks }: GearFacts): number | undefined {
  const strengths = marks.flatMap(({ basis, readings }) => {
    const most = Math.max(...readings.map(({ forceN }) => forceN));
    if (basis === 'mbs' || basis === 'unstated') return [most];
    return basis === 'basket-mbs' ? [most / 2] : [];
  });
  return strengths.length === 0 ? undefined : Math.max(...strengths);
}

function energyOf({ policy }: Gathered, { piece, lengthM, tensionN }: Stretched) {
  const kind = ropeLawOf(piece);
  const mbsN = nominalStrengthN(piece);
  if (kind === undefined || mbsN === undefined) return undefined;
  const law = policy.stretch.laws[kind];
  return { energyJ: ropeEnergyJ(law, mbsN, lengthM, tensionN), stretchM: lengthM * elongationAt(law, mbsN, tensionN) };
}

function ropeMassOf({ policy }: Gathered, stretches: readonly Stretched[] | undefined): number | undefined {
  if (stretches === undefined) return undefined;
  let total = 0;
  for (const { piece, lengthM } of stretches) {
    const kind = ropeLawOf(piece);
    const diameterM = 'ropeDiameterM' in piece.attributes ? piece.attributes.ropeDiameterM : undefined;
    if (kind === undefined || diameterM === undefined) return undefined;
    total += ropeMassKg(policy.stretch.laws[kind], diameterM, lengthM);
  }
  return total;
}

interface Energy {
  readonly energyJ: number | undefined;
  readonly ropeKg: number | undefined;
}

function flightFrom(assessment: Gathered, place: ChainPlace, state: LoadState, { energyJ, ropeKg }: Energy): Flight {
  const along = unit(chainForce(assessment.network, place, state.state)) ?? ZERO;
  const hardware = place.chain.pieces.map((use) => ({ use, massKg: massOf(assessment, use) }));
  const unknown = hardware.filter(({ massKg }) => massKg === undefined).map(({ use }) => gearOf(use, assessment.gear)?.tag ?? use.id);
  const massKg =
    unknown.length > 0 || ropeKg === undefined ? undefined : hardware.reduce((sum, entry) => sum + (entry.massKg ?? 0), ropeKg / 3);
  const flight = energyJ !== undefined && massKg !== undefined && massKg > 0 ? flightOf(energyJ, massKg) : undefined;
  return {
    chainId: place.chain.id,
    from: state.state.positions[place.tip] as Vec3,
    along,
    ...(massKg !== undefined && { massKg }),
    ...flight,
    massUnknownOf: ropeKg === undefined ? [...unknown, 'the line'] : unknown,
  };
}

/** Mass of a piece that may fly; soft pieces without a mass on record weigh little beside metal and count as nothing. */
export function massOf({ gear }: Pick<Gathered, 'gear'>, use: PieceUse): number | undefined {
  const piece = gearOf(use, gear);
  if (piece === undefined) return undefined;
  if ('massKg' in piece.attributes && piece.attributes.massKg !== undefined) return piece.attributes.massKg;
  return piece.kind === 'recovery-point' || ropeLawOf(piece) !== undefined ? 0 : undefined;
}

/** The stops of a line as points, first end first. */
export const pathOf = (walk: LineWalk, { state }: LoadState): readonly Vec3[] => walk.stops.map((_, stop) => stopAt(walk, stop, state));
