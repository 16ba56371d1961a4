import type { GearFacts } from '../gear/gear-facts.ts';
import { flyingMassKg, lengthOf, ropeDiameterOf, ropeLawOf } from '../gear/traits.ts';
import { elongationAt, flightOf, ropeEnergyJ, ropeMassKg } from '../hazards/rope-energy.ts';
import { spanLengthM, vectorAt } from '../moment/forces.ts';
import type { LoadState, Moment } from '../moment/moment.ts';
import type { Policy } from '../policy/policy.ts';
import type { Act } from '../pull/act.ts';
import type { Margins, Track } from '../pull/margins.ts';
import type { ResolvedChain, ResolvedLine, ResolvedTie, ResolvedUse } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { subtract, unit, type Vec3, ZERO } from '../statics/vec3.ts';

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
  /** Where on the way it stores most, metres. */
  readonly atM: number;
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

/** The state of the greatest check in which a line stores most, else the planned one; the first where its energy is not known. */
export const breakState = (moment: Moment, line: ResolvedLine): LoadState | undefined =>
  mostStoring(moment.rig, line, moment.states.greatest) ?? moment.shown;

/** The state of some in which a line stores most; the first where its energy is not known, nothing of none. */
export function mostStoring({ policy }: ResolvedRig, line: ResolvedLine, states: readonly LoadState[]): LoadState | undefined {
  const [first] = states;
  const ropes = storingOf(policy, line);
  if (first === undefined || ropes === undefined) return first;
  return states.reduce((worst, state) => (storedIn(ropes, line, state) > storedIn(ropes, line, worst) ? state : worst), first);
}

/** What the ropes of a line store: E = c·length·tension^q, c and q by their law and strength; undefined where one is not known. */
interface Storing {
  readonly fromEndM: number;
  readonly toEndM: number;
  readonly factor: number;
  readonly power: number;
}

function storingOf({ stretch }: Policy, { reaches }: ResolvedLine): readonly Storing[] | undefined {
  const all: Storing[] = [];
  for (const [order, { rope, fromEndM, toEndM }] of reaches.entries()) {
    const kind = rope.piece && ropeLawOf(rope.piece);
    const mbsN = rope.piece && nominalStrengthN(rope.piece);
    if (kind === undefined || mbsN === undefined) return undefined;
    const { elongation, exponent } = stretch.laws[kind];
    const power = (exponent + 1) / exponent;
    // The first rope reaches back to the drum, however long the register says it is.
    const reachM = order === 0 ? Number.POSITIVE_INFINITY : toEndM;
    all.push({ fromEndM, toEndM: reachM, power, factor: (mbsN ** (1 - power) * elongation) / (exponent + 1) });
  }
  return all;
}

/** Energy of all strands of a line in one state, joules. */
function storedIn(ropes: readonly Storing[], line: ResolvedLine, { balance, scale: factor }: LoadState): number {
  let [energyJ, endM] = [0, 0];
  for (let span = line.spans.length - 1; span >= 0; span--) {
    const startM = endM + spanLengthM(line, span, balance);
    const tensionN = factor * (balance.forces.spans[line.firstSpan + span] ?? 0);
    for (const rope of ropes) {
      const lengthM = Math.min(startM, rope.toEndM) - Math.max(endM, rope.fromEndM);
      if (lengthM > 0) energyJ += rope.factor * lengthM * tensionN ** rope.power;
    }
    endM = startM;
  }
  return energyJ;
}

/** What every line of a rig stores, as a margin whose least is the most: minus its energy, joules. */
export function energyMargins({ lines, policy }: ResolvedRig): Margins {
  const stored = lines.map((line) => storingOf(policy, line));
  return {
    count: lines.length,
    at: ({ states, shown }, index) => {
      const [line, ropes] = [lines[index], stored[index]];
      if (line === undefined || ropes === undefined) return Number.NaN;
      let most = Number.NaN;
      for (const state of states.greatest.length > 0 || shown === undefined ? states.greatest : [shown]) {
        const energyJ = storedIn(ropes, line, state);
        if (!(energyJ <= most)) most = energyJ;
      }
      return -most;
    },
  };
}

/** What every line and every back-anchor does if it breaks or lets go, in the moment of the act in which it stores most. */
export function breaksOf(act: Act, energies: readonly Track[]): readonly BreakFigures[] {
  const { rig, start } = act;
  const lines = rig.lines.flatMap((line, index) => {
    const moment = energies[index]?.moment ?? start;
    const state = breakState(moment, line);
    return state === undefined ? [] : [{ ...breakOf(moment, line, state), atM: moment.travelM }];
  });
  return [...lines, ...rig.ties.flatMap((tie) => tieBreak(act, tie) ?? [])];
}

/** The moment in which a back-anchor takes most of all, in the greatest check, else as planned; undefined where it takes nothing. */
function tieMoment({ rig, places }: Act, { index }: ResolvedTie): { readonly moment: Moment; readonly tensionN: number } | undefined {
  const own = rig.places.find(({ load }) => load.kind === 'back-anchor' && load.tie === index);
  const { greatest, planned } = places[own?.index ?? -1] ?? {};
  const moment = greatest ?? planned;
  if (moment === undefined) return undefined;
  const tensionN = tieTensionN(moment, index, greatest ? 'greatest' : 'planned');
  return tensionN > 0 ? { moment, tensionN } : undefined;
}

/** The most that one back-anchor takes over the states of a check in a moment, newtons; of like ones its share. */
export function tieTensionN({ rig, ties }: Moment, index: number, check: keyof Moment['ties']): number {
  const own = rig.ties[index];
  const like = rig.ties.filter((other) => other.likeTie === own?.likeTie).length;
  return Math.max(0, ...ties[check].map((all) => all[index] ?? 0)) * (like > 1 ? (own?.share ?? 1) : 1);
}

/** Straps, ropes and chains of a back-anchor under the greatest tension that it takes; undefined where one is not known. */
export function tieStretches(act: Act, tie: ResolvedTie): readonly Stretched[] | undefined {
  const most = tieMoment(act, tie);
  return most && stretchesOfTie(tie, most.tensionN);
}

/** The same under a given tension: undefined where a piece is not chosen, or the length of one that stretches is not on record. */
export function stretchesOfTie({ uses }: ResolvedTie, tensionN: number): readonly Stretched[] | undefined {
  const stretches: Stretched[] = [];
  for (const { piece, use } of uses) {
    if (piece === undefined) return undefined;
    const lengthM = lengthOf(piece);
    // A soft shackle has no length to speak of.
    if (ropeLawOf(piece) === undefined || (use.role === 'connector' && lengthM === undefined)) continue;
    if (lengthM === undefined) return undefined;
    stretches.push({ piece, lengthM, tensionN });
  }
  return stretches;
}

/** What all of a line's stretches store, and how much they stretch; undefined where one of them is not known. */
export function storedOf(
  policy: Policy,
  stretches: readonly Stretched[] | undefined,
): { readonly energyJ: number; readonly stretchM: number } | undefined {
  let [energyJ, stretchM] = [0, 0];
  for (const part of stretches ?? []) {
    const entry = energyOf(policy, part);
    if (entry === undefined) return undefined;
    energyJ += entry.energyJ;
    stretchM += entry.stretchM;
  }
  return stretches && { energyJ, stretchM };
}

/** The straps, ropes and chains of a back-anchor by their tags. */
export const strapTags = ({ uses }: ResolvedTie): readonly string[] =>
  uses.flatMap(({ piece, use }) => (piece && ropeLawOf(piece) !== undefined && use.role !== 'connector' ? [piece.tag] : []));

function tieBreak(act: Act, tie: ResolvedTie): BreakFigures | undefined {
  const most = tieMoment(act, tie);
  if (most === undefined) return undefined;
  const stretches = tieStretches(act, tie);
  const { policy } = act.rig;
  const stored = storedOf(policy, stretches);
  const { positions } = most.moment;
  const [at, held] = [positions[tie.vehicle.index] ?? ZERO, positions[tie.anchor.index] ?? ZERO];
  const flights = [
    { from: at, towards: held, end: 'vehicle' },
    { from: held, towards: at, end: 'anchor' },
  ].map(({ from, towards, end }) =>
    flightOfUses(
      tie.uses,
      { chainId: `${tie.id}.${end}`, from, along: unit(subtract(towards, from)) ?? ZERO },
      { energyJ: stored?.energyJ, ropeKg: ropeMassOf(policy, stretches), ropes: strapTags(tie) },
    ),
  );
  return {
    lineId: tie.id,
    atM: most.moment.travelM,
    ...stored,
    flights,
  };
}

function breakOf({ rig }: Moment, line: ResolvedLine, state: LoadState): Omit<BreakFigures, 'atM'> {
  const { policy } = rig;
  const stretches = stretchesOf(line, state);
  const stored = storedOf(policy, stretches);
  const ropeKg = ropeMassOf(policy, stretches);
  const flights = rig.chains
    .filter((chain) => line.stops.some((stop) => stop.chain === chain))
    .map((chain) => flightFrom(chain, state, { energyJ: stored?.energyJ, ropeKg }));
  return { lineId: line.line.id, ...stored, flights };
}

/** Each strand split into the ropes that lie in it; undefined where a rope of the line is not chosen. */
export function stretchesOf(line: ResolvedLine, { balance, scale: factor }: LoadState): readonly Stretched[] | undefined {
  const ropes = line.reaches.map(({ rope, fromEndM, toEndM }) => ({ piece: rope.piece, fromEndM, toEndM }));
  if (ropes.some(({ piece }) => piece === undefined)) return undefined;
  const stretches: Stretched[] = [];
  const lengths = line.spans.map((_, span) => spanLengthM(line, span, balance));
  for (let span = 0; span < lengths.length; span++) {
    const tensionN = factor * (balance.forces.spans[line.firstSpan + span] ?? 0);
    const end = lengths.slice(span + 1).reduce((sum, length) => sum + length, 0);
    const start = end + (lengths[span] ?? 0);
    ropes.forEach(({ piece, fromEndM, toEndM }, order) => {
      // The first rope reaches back to the drum, however long the register says it is.
      const lengthM = Math.min(start, order === 0 ? Number.POSITIVE_INFINITY : toEndM) - Math.max(end, fromEndM);
      if (piece && lengthM > 0) stretches.push({ piece, lengthM, tensionN });
    });
  }
  return stretches;
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

function energyOf({ stretch }: Policy, { piece, lengthM, tensionN }: Stretched) {
  const kind = ropeLawOf(piece);
  const mbsN = nominalStrengthN(piece);
  if (kind === undefined || mbsN === undefined) return undefined;
  const law = stretch.laws[kind];
  return { energyJ: ropeEnergyJ(law, mbsN, lengthM, tensionN), stretchM: lengthM * elongationAt(law, mbsN, tensionN) };
}

export function ropeMassOf({ stretch }: Policy, stretches: readonly Stretched[] | undefined): number | undefined {
  if (stretches === undefined) return undefined;
  let total = 0;
  for (const { piece, lengthM } of stretches) {
    const kind = ropeLawOf(piece);
    const diameterM = ropeDiameterOf(piece);
    if (kind === undefined || diameterM === undefined) return undefined;
    total += ropeMassKg(stretch.laws[kind], diameterM, lengthM);
  }
  return total;
}

interface Energy {
  readonly energyJ: number | undefined;
  readonly ropeKg: number | undefined;
  /** What the rope is called where its mass is not known. */
  readonly ropes?: readonly string[];
}

function flightFrom(chain: ResolvedChain, { balance }: LoadState, { energyJ, ropeKg }: Energy): Flight {
  const along = unit(vectorAt(balance.forces.chains, chain.index)) ?? ZERO;
  return flightOfUses(
    chain.uses,
    { chainId: chain.chain.id, from: balance.equilibrium.positions[chain.tip] ?? ZERO, along },
    { energyJ, ropeKg },
  );
}

export function flightOfUses(
  uses: readonly ResolvedUse[],
  way: Pick<Flight, 'chainId' | 'from' | 'along'>,
  { energyJ, ropeKg, ropes = ['the line'] }: Energy,
): Flight {
  const masses = uses.map(massOf);
  const unknown = uses.filter((_, index) => masses[index] === undefined).map(({ piece, use }) => piece?.tag ?? use.id);
  const massKg = unknown.length > 0 || ropeKg === undefined ? undefined : masses.reduce<number>((sum, own) => sum + (own ?? 0), ropeKg / 3);
  const flight = energyJ !== undefined && massKg !== undefined && massKg > 0 ? flightOf(energyJ, massKg) : undefined;
  return {
    ...way,
    ...(massKg !== undefined && { massKg }),
    ...flight,
    massUnknownOf: ropeKg === undefined ? [...unknown, ...ropes] : unknown,
  };
}

/** Mass of what flies from a use, kg; undefined where it is not chosen or its mass is not on record. */
export const massOf = ({ piece }: ResolvedUse): number | undefined => piece && flyingMassKg(piece);
