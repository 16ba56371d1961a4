import { numberAt, traitsOf } from '../gear/traits.ts';
import { spanLengthM, stopAt, vectorAt } from '../moment/forces.ts';
import type { LoadState, Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import { holdingGrips } from '../pull/regrip.ts';
import { fallsShort } from '../quantity/tolerance.ts';
import type { ResolvedChain, ResolvedLine, ResolvedTie, ResolvedUse } from '../resolved/parts.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Body } from '../rig/rig.ts';
import { applied } from '../rigging/fill-pieces.ts';
import { subtract, unit, type Vec3, ZERO } from '../statics/vec3.ts';
import { lanyardStrength } from './lanyards.ts';
import type { LeftLoaded } from './left.ts';
import { leftAt, strainedIn } from './left-loaded.ts';
import type { Caught, InTheWay, Leaving, LetGo, LetGoAsked, Running } from './let-go.ts';
import { runners, runRoomM, runsByN } from './runs-away.ts';
import {
  type Flight,
  flightOfUses,
  mostStoring,
  ropeMassOf,
  storedOf,
  strapTags,
  stretchesOf,
  stretchesOfTie,
  tieTensionN,
} from './what-leaves.ts';
import { isSheltered, lineRoomM, roomAtTie } from './zones-of-rig.ts';

/**
 * What happens if one thing of a rig lets go in a moment of its act: a piece, a winch’s brake, the hands on a rope. Forces are those of
 * the check that is asked for. Undefined where nothing of that name is there, or where what is pulled then is not known.
 */
export function letGo(moment: Moment, { subjectId, check }: Omit<LetGoAsked, 'travelM'>): LetGo | undefined {
  const found = foundIn(moment.rig, subjectId);
  if (found === undefined) return undefined;
  const states = check === 'greatest' ? moment.states.greatest : moment.states.planned;
  const slack = slackened(moment.rig, found);
  const [first] = slack;
  const state = first ? mostStoring(moment.rig, first, states) : hardest(states, found);
  if (state === undefined) return undefined;
  const stored = storedIn(moment.rig, slack, state);
  const leaves = leavingOf(moment, found, { state, check, energyJ: stored?.energyJ, slack });
  const held = found.kind === 'brake' || found.kind === 'hands' ? holdingGrips(moment.rig, found.line).map(({ piece }) => piece.tag) : [];
  const left = held.length > 0 ? undefined : leftWithout(moment, found, slack, state);
  const runs = held.length > 0 ? [] : runningFrom(moment, slack);
  return {
    subjectId,
    manner: found.kind,
    atM: moment.travelM,
    check,
    tensionN: tensionOf(moment, found, state, check),
    ...stored,
    lines: slack.map(({ line }) => line.id),
    leaves,
    undamped: undampedOf(moment, found, slack),
    inTheWay: inTheWayOf(moment, { leaves, slack, tie: found.kind === 'back-anchor' ? found.tie : undefined, runs }),
    left,
    runs,
    fallsBack: held.length === 0 && slack.length > 0 && mayFallBack(moment.rig),
    exemptM: moment.rig.policy.care.damperExemptM.value,
    stillPulling: moment.rig.drives.filter(({ line }) => !slack.includes(line)).length,
    heldBy: held,
  };
}

/** Of what goes slack nowhere: the state in which it carries most. */
const hardest = (states: readonly LoadState[], found: Found): LoadState | undefined =>
  states.reduce<LoadState | undefined>(
    (most, state) => (most === undefined || carried(state, found) > carried(most, found) ? state : most),
    undefined,
  );

const carried = ({ balance, scale }: LoadState, found: Found): number =>
  found.kind === 'piece' ? scale * (balance.forces.chainSizes[found.chain.index] ?? 0) : scale;

/** Something that is being set upright, or drawn up a deck, comes back by its own weight, on level ground too. */
const mayFallBack = ({ rig: { load } }: ResolvedRig): boolean => load.task?.kind === 'right' || load.task?.kind === 'deck';

/** What is to let go, found in the rig. */
type Found =
  | { readonly kind: 'piece'; readonly use: ResolvedUse; readonly chain: ResolvedChain }
  | { readonly kind: 'rope'; readonly use: ResolvedUse; readonly line: ResolvedLine }
  | { readonly kind: 'brake'; readonly line: ResolvedLine }
  | { readonly kind: 'hands'; readonly line: ResolvedLine }
  | { readonly kind: 'back-anchor'; readonly use: ResolvedUse; readonly tie: ResolvedTie };

function foundIn({ uses, drives }: ResolvedRig, subjectId: string): Found | undefined {
  const use = uses.find((entry) => entry.use.id === subjectId);
  if (use === undefined) {
    const drive = drives.find(({ kind, line }) => kind === 'hand' && line.line.id === subjectId);
    return drive && { kind: 'hands', line: drive.line };
  }
  const { seat } = use;
  if (seat.kind === 'chain') return { kind: 'piece', use, chain: seat.chain };
  if (seat.kind === 'rope') return { kind: 'rope', use, line: seat.line };
  return seat.kind === 'drive' ? { kind: 'brake', line: seat.line } : { kind: 'back-anchor', use, tie: seat.tie };
}

/** The lines that go slack: those that it holds or is part of; of one leg of a bridle none, since the others hold on. */
function slackened({ lines, chains }: ResolvedRig, found: Found): readonly ResolvedLine[] {
  if (found.kind === 'back-anchor') return [];
  if (found.kind !== 'piece') return [found.line];
  const own = lines.filter(({ stops }) => stops.some(({ chain }) => chain === found.chain));
  if (own.length > 0) return own;
  if (isLegOfMore(found.chain, chains)) return [];
  const { to } = found.chain.chain;
  const beyond = chains.filter(({ chain }) => to?.kind === 'joint' && chain.from.kind === 'joint' && chain.from.jointId === to.jointId);
  return lines.filter(({ stops }) => stops.some(({ chain }) => chain !== undefined && beyond.includes(chain)));
}

/** Whether other chains end in the same joint in the air. */
function isLegOfMore(own: ResolvedChain, chains: readonly ResolvedChain[]): boolean {
  const { to } = own.chain;
  return (
    to?.kind === 'joint' && chains.some(({ chain }) => chain !== own.chain && chain.to?.kind === 'joint' && chain.to.jointId === to.jointId)
  );
}

/** What the lines that go slack store together, and how far they stretch; undefined where a strength or a rope is not known. */
function storedIn({ policy }: ResolvedRig, slack: readonly ResolvedLine[], state: LoadState) {
  let [energyJ, stretchM] = [0, 0];
  for (const line of slack) {
    const stored = storedOf(policy, stretchesOf(line, state));
    if (stored === undefined) return undefined;
    energyJ += stored.energyJ;
    stretchM += stored.stretchM;
  }
  return slack.length > 0 ? { energyJ, stretchM } : undefined;
}

function tensionOf(moment: Moment, found: Found, state: LoadState, check: LetGoAsked['check']): number | undefined {
  if (found.kind === 'back-anchor') return tieTensionN(moment, found.tie.index, check);
  if (found.kind === 'piece') return carried(state, found);
  return state.scale * (state.balance.forces.spans[found.line.firstSpan] ?? Number.NaN);
}

interface Parting {
  readonly state: LoadState;
  readonly check: LetGoAsked['check'];
  readonly energyJ: number | undefined;
  readonly slack: readonly ResolvedLine[];
}

/** What leaves, part by part. Of a brake or of hands nothing does: the rope runs out. */
function leavingOf(moment: Moment, found: Found, { state, check, energyJ, slack }: Parting): readonly Leaving[] {
  const { rig } = moment;
  if (found.kind === 'brake' || found.kind === 'hands') return [];
  if (found.kind === 'back-anchor') return tieLeaving(moment, found, check);
  const stretches = slack.map((line) => stretchesOf(line, state));
  const ropeKg = stretches.reduce<number | undefined>((sum, each) => {
    const own = ropeMassOf(rig.policy, each);
    return sum === undefined || own === undefined ? undefined : sum + own;
  }, 0);
  if (found.kind === 'rope') {
    const [from, to, at] = longestSpan(found.line, found.use, state);
    return [to, from].map((end, index) =>
      leaving(
        moment,
        flightOfUses(
          [],
          { chainId: `${found.use.use.id}.${index}`, from: at, along: unit(subtract(end, at)) ?? ZERO },
          { energyJ, ropeKg },
        ),
        [],
      ),
    );
  }
  const { chain, use } = found;
  const outward = chain.uses.slice(chain.uses.indexOf(use));
  const along = unit(vectorAt(state.balance.forces.chains, chain.index)) ?? ZERO;
  const from = state.balance.equilibrium.positions[chain.tip] ?? ZERO;
  const flight = flightOfUses(outward, { chainId: chain.chain.id, from, along }, { energyJ, ropeKg });
  return [leaving(moment, tornOff(flight, use), outward)];
}

/** A point that tears off its vehicle flies too; its mass is on no record, so how hard is not known. */
function tornOff(flight: Flight, { piece }: ResolvedUse): Flight {
  if (piece === undefined || traitsOf(piece).flies !== 'bolted-on' || numberAt(piece, 'massKg') !== undefined) return flight;
  const { massKg: _kg, momentumNs: _momentum, speedMPerS: _speed, ...way } = flight;
  return { ...way, massUnknownOf: [piece.tag, ...flight.massUnknownOf] };
}

/** The ends of the longest strand that a rope lies in, and its middle. */
function longestSpan(line: ResolvedLine, use: ResolvedUse, { balance }: LoadState): readonly [Vec3, Vec3, Vec3] {
  const reach = line.reaches.find(({ rope }) => rope === use);
  let [best, bestM, endM] = [0, -1, 0];
  for (let span = line.spans.length - 1; span >= 0; span--) {
    const startM = endM + spanLengthM(line, span, balance);
    const toM = line.reaches[0] === reach ? Number.POSITIVE_INFINITY : (reach?.toEndM ?? 0);
    const lyingM = Math.min(startM, toM) - Math.max(endM, reach?.fromEndM ?? 0);
    if (lyingM > bestM) [best, bestM] = [span, lyingM];
    endM = startM;
  }
  const [from, to] = [stopAt(line, best, balance), stopAt(line, best + 1, balance)];
  return [from, to, { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2, z: (from.z + to.z) / 2 }];
}

function tieLeaving(moment: Moment, { tie, use }: Extract<Found, { kind: 'back-anchor' }>, check: LetGoAsked['check']): readonly Leaving[] {
  const { positions, rig } = moment;
  const [at, held] = [positions[tie.vehicle.index] ?? ZERO, positions[tie.anchor.index] ?? ZERO];
  const stretches = stretchesOfTie(tie, tieTensionN(moment, tie.index, check));
  const energy = { energyJ: storedOf(rig.policy, stretches)?.energyJ, ropeKg: ropeMassOf(rig.policy, stretches), ropes: strapTags(tie) };
  const order = tie.uses.indexOf(use);
  // Each half springs back to what still holds it.
  const halves = [
    { uses: tie.uses.slice(0, order), from: at, to: held, end: 'anchor' },
    { uses: tie.uses.slice(order + 1), from: held, to: at, end: 'vehicle' },
  ];
  return halves
    .filter(({ uses }) => uses.length > 0)
    .map(({ uses, from, to, end }) => {
      const way = { chainId: `${tie.id}.${end}`, from, along: unit(subtract(to, from)) ?? ZERO };
      return leaving(moment, flightOfUses(uses, way, energy), uses);
    });
}

function leaving({ rig }: Moment, flight: Flight, uses: readonly ResolvedUse[]): Leaving {
  const hard = uses.filter(({ piece }) => piece && traitsOf(piece).flies === 'with-its-mass');
  return {
    ...flight,
    pieces: uses.flatMap(({ piece, use }) =>
      piece ? [{ useId: use.id, tag: piece.tag, name: piece.name, isHard: hard.some((own) => own.use === use) }] : [],
    ),
    caughtBy: uses.flatMap((use) => caughtBy(rig, use, flight)),
  };
}

/** The lanyards of a piece that would fly, and whether each stops it. */
function caughtBy(rig: ResolvedRig, own: ResolvedUse, flight: Flight): readonly Caught[] {
  return rig.lanyards.flatMap((lanyard) => {
    if (lanyard.use !== own || lanyard.piece === undefined) return [];
    // As it is judged: what it holds takes its share of the energy by its mass.
    const energyJ =
      flight.massKg === undefined || flight.momentumNs === undefined ? undefined : flight.momentumNs ** 2 / (2 * flight.massKg);
    const held = own.seat.kind === 'chain' ? own.seat.chain.chain.id : '';
    const { arrestN, breaksN } = lanyardStrength(
      lanyard,
      energyJ === undefined ? [] : [{ lineId: '', atM: 0, energyJ, flights: [{ ...flight, chainId: held }] }],
      rig,
    );
    const holds = arrestN === undefined || breaksN === undefined ? undefined : arrestN <= breaksN;
    return [{ tag: lanyard.piece.tag, useId: own.use.id, arrestN, breaksN, holds }];
  });
}

/** Legs that whip without a damper which counts; short ones need none. */
function undampedOf({ rig, shown }: Moment, found: Found, slack: readonly ResolvedLine[]) {
  if (found.kind === 'brake' || found.kind === 'hands' || shown === undefined) return [];
  return slack.flatMap((line) =>
    line.spans.flatMap((_, strand) =>
      line.damped[strand] === 'yes' || fallsShort(spanLengthM(line, strand, shown.balance), rig.policy.care.damperExemptM.value)
        ? []
        : [{ lineId: line.line.id, strand }],
    ),
  );
}

/** What the rest carries: of a rig without a leg of a bridle at the same pull, of one without its lines with the load on the slope. */
function leftWithout(moment: Moment, found: Found, slack: readonly ResolvedLine[], state: LoadState): LeftLoaded | undefined {
  if (slack.length > 0)
    return leftAt(
      moment,
      slack.map(({ line }) => line.id),
    );
  if (found.kind !== 'piece') return undefined;
  const { rig } = moment;
  const others = applied(rig.rig, [{ kind: 'remove', list: 'chains', id: found.chain.chain.id }]);
  const without = resolveRig({ ...rig.subject, rig: others });
  const there = momentAt(without, { travelM: moment.travelM });
  const held = there.balances !== undefined;
  return { lineId: found.chain.chain.id, atM: moment.travelM, runsByN: 0, held, strained: held ? strainedIn(there, state.scale) : [] };
}

/** What rolls then: the load where its lines are gone. */
function runningFrom(moment: Moment, slack: readonly ResolvedLine[]): readonly Running[] {
  if (slack.length === 0) return [];
  return runners(moment.rig).flatMap((runner) => {
    const byN = runner.isLoad ? runsByN(moment, runner) : 0;
    return byN > 0 ? [{ bodyId: runner.body.id, label: runner.body.label, byN }] : [];
  });
}

interface Ways {
  readonly leaves: readonly Leaving[];
  readonly slack: readonly ResolvedLine[];
  readonly tie: ResolvedTie | undefined;
  readonly runs: readonly Running[];
}

/** Everybody and everything that stands where parts fly, where the line may whip, or where something rolls; nearest first. */
function inTheWayOf(moment: Moment, { leaves, slack, tie, runs }: Ways): readonly InTheWay[] {
  const { rig } = moment;
  const found = standing(rig).flatMap((body): readonly InTheWay[] => {
    const about = { bodyId: body.id, label: body.label, what: body.kind, sheltered: isSheltered(body) };
    const runner = runners(rig).find(
      (entry) => runs.some(({ bodyId }) => bodyId === entry.body.id) && entry.body.id !== body.id && runRoomM(moment, entry, body) < 0,
    );
    // A cab is no protection from what rolls.
    if (runner) return [{ ...about, sheltered: false, why: 'runs', farM: Math.hypot(body.xM - moment.pose.xM, body.yM - moment.pose.yM) }];
    const flown = leaves.flatMap((flight) => alongM(moment, flight, body) ?? []);
    if (flown.length > 0) return [{ ...about, why: 'flies', farM: Math.min(...flown) }];
    const at = { x: body.xM, y: body.yM };
    const roomM = Math.min(...slack.map((line) => lineRoomM(moment, line, at)), ...(tie ? [roomAtTie(moment, tie, at)] : []));
    const whips = leaves.length > 0 && roomM <= 0;
    return whips ? [{ ...about, why: 'zone', farM: Math.min(...leaves.map(({ from }) => Math.hypot(from.x - at.x, from.y - at.y))) }] : [];
  });
  return [...found].sort((a, b) => Number(a.sheltered) - Number(b.sheltered) || a.farM - b.farM);
}

/** People, animals, crews, and vehicles that no line pulls on. */
const standing = ({ bodies, load }: ResolvedRig): readonly Body[] =>
  bodies.flatMap((on): readonly Body[] => {
    const { body, points } = on;
    if (body.kind === 'vehicle') return points.length === 0 && on !== load.on ? [body] : [];
    return body.kind === 'person' || body.kind === 'animal' || body.kind === 'crew' ? [body] : [];
  });

/** How far along its way a part meets a body, metres; undefined where it passes it by. */
function alongM({ rig: { policy } }: Moment, { from, along }: Flight, body: Body): number | undefined {
  const size = Math.hypot(along.x, along.y);
  if (!(size > 0)) return undefined;
  const [ux, uy] = [along.x / size, along.y / size];
  const [x, y] = [body.xM - from.x, body.yM - from.y];
  const aheadM = x * ux + y * uy;
  const half = 'widthM' in body ? body.widthM / 2 : 0;
  return aheadM > 0 && Math.abs(x * uy - y * ux) <= policy.zones.corridorM.value + half ? aheadM : undefined;
}
