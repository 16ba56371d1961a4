import type { GearFacts } from '../gear/gear-facts.ts';
import { joinedLengthM } from '../gear/traits.ts';
import { judge } from '../judgement/judge.ts';
import type { Report } from '../judgement/report/report.ts';
import { carefulSchools } from '../policy/schools.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit } from '../rig/edits.ts';
import { usesOf } from '../rig/references.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import { type BagPiece, candidatesFor } from '../rigging/candidates.ts';
import { applied, fillEdits } from '../rigging/fill-pieces.ts';
import { goesIn } from '../rigging/goes-in.ts';
import { neededLengthM } from '../rigging/needed-length.ts';
import type { Bag, BagInHand, Carrier, LightestBag } from './answers.ts';
import { carriedIn, carriedKg, isCarried } from './carried.ts';

/** Rigs that are judged before a search gives up. */
const MOST_TRIALS = 120;

/**
 * The lightest bag of the register that does what a rig has to do: in it no piece is found to be a stop or a fix in its place over
 * the whole act, nothing is found that was not found before, and, unless the search had to give up, no single piece can be exchanged
 * for a lighter one. What is bolted to a vehicle stays as it is. Pauses after every rig that it judges; tells how many so far.
 */
export function* lightestBag(subject: Case, pieces: readonly BagPiece[]): Generator<number, LightestBag> {
  const filling = fillEdits(subject.rig, { pieces, today: subject.asOf });
  const gear = [...subject.gear, ...pieces.flatMap(({ facts }) => (subject.gear.some(({ id }) => id === facts.id) ? [] : [facts]))];
  const full = { ...subject, rig: applied(subject.rig, filling), gear };
  const search = searchOf(full, pieces);
  const [found, trials] = yield* lightened(search);
  const without = search.slots.filter(({ use }) => found.wrong.has(use.id)).map(({ use }) => use.id);
  const now = bagOf(subject, judge(subject).verdict);
  const isWhole = trials < MOST_TRIALS;
  if (without.length > 0) return { now, without, trials, isWhole };
  const before = new Map(usesOf(subject.rig).map(({ use }) => [use.id, use.gearId]));
  const edits = usesOf(found.subject.rig).flatMap(({ use: { id, gearId } }) =>
    gearId === before.get(id) ? [] : [{ kind: 'choose-piece' as const, useId: id, gearId }],
  );
  return { now, lightest: bagOf(found.subject, found.verdict), edits, without, trials, isWhole };
}

interface Slot {
  readonly use: PieceUse;
  /** What may serve there and is long enough, the lightest first and what has no weight on record last. */
  readonly options: readonly Option[];
}

interface Option {
  readonly facts: GearFacts;
  readonly massKg: number | undefined;
}

interface Search {
  readonly subject: Case;
  readonly slots: readonly Slot[];
}

interface Tried {
  readonly subject: Case;
  readonly verdict: Report['verdict'];
  /** Every stop and fix that is found. */
  readonly found: ReadonlySet<string>;
  /** Places whose piece is wrong there, or has not been chosen. */
  readonly wrong: ReadonlySet<string>;
}

/** Exchanges one piece after another for the lightest that does, until none can be; and how many rigs that took. */
function* lightened(search: Search): Generator<number, readonly [Tried, number]> {
  let now = triedWith(search, search.subject);
  let trials = 1;
  for (let changed = true; changed; ) {
    changed = false;
    for (const slot of search.slots)
      for (const option of lighterOf(search, now, slot)) {
        if (trials >= MOST_TRIALS) return [now, trials];
        yield ++trials;
        const other = triedWith(search, withPiece(now.subject, slot.use.id, option.facts));
        if (other.wrong.has(slot.use.id) || [...other.found].some((id) => !now.found.has(id))) continue;
        [now, changed] = [other, true];
        break;
      }
  }
  return [now, trials];
}

/**
 * What might take a piece's place: lighter ones that lie nowhere else and go in beside what they meet. Of what has no weight on record
 * nobody knows what is lighter, so that it stays; only where a piece is wrong, all are looked at.
 */
function lighterOf({ slots }: Search, { subject: { rig, gear, policy }, wrong }: Tried, { use: { id }, options }: Slot): readonly Option[] {
  const chosen = new Map(usesOf(rig).map(({ use }) => [use.id, use]));
  const use = chosen.get(id);
  if (use === undefined) return [];
  const byId = (gearId: string | undefined) => gear.find((piece) => piece.id === gearId);
  const piece = byId(use.gearId);
  const ownKg = piece && carriedKg(piece, policy);
  const elsewhere = new Set(slots.flatMap((slot) => (slot.use.id === id ? [] : [chosen.get(slot.use.id)?.gearId])));
  const isLighter = ({ massKg }: Option) => wrong.has(id) || (massKg !== undefined && ownKg !== undefined && massKg < ownKg);
  return options.filter((option) => isLighter(option) && !elsewhere.has(option.facts.id) && goesIn(option.facts, rig, use, byId));
}

function searchOf(subject: Case, pieces: readonly BagPiece[]): Search {
  const { rig, policy, asOf: today } = subject;
  const portable = usesOf(rig).filter(({ use }) => isCarried(use));
  // A piece may go from one place to another.
  const bare = portable.reduce((state, { use }) => applyEdit(state, { kind: 'choose-piece', useId: use.id, gearId: undefined }).rig, rig);
  const byId = (gearId: string | undefined) => subject.gear.find(({ id }) => id === gearId);
  const slots = portable.map(({ use }): Slot => {
    const neededM = neededLengthM(rig, use, byId);
    const options = candidatesFor(pieces, { rig: bare, use: { ...use, gearId: undefined }, today, vehicleId: undefined }, carefulSchools)
      .filter(({ whyNot, piece }) => whyNot === undefined && piece.vehicleId === undefined)
      .filter(({ piece }) => neededM === undefined || (joinedLengthM(piece.facts) ?? 0) >= neededM)
      .map(({ piece: { facts } }) => ({ facts, massKg: carriedKg(facts, policy) }));
    return { use, options: options.sort((a, b) => rank(a) - rank(b)) };
  });
  return { subject, slots };
}

const rank = ({ massKg = Number.MAX_VALUE }: Option): number => massKg;

function withPiece(subject: Case, useId: string, { id: gearId }: GearFacts): Case {
  return { ...subject, rig: applyEdit(subject.rig, { kind: 'choose-piece', useId, gearId }).rig };
}

function triedWith({ slots }: Search, subject: Case): Tried {
  const { verdict, findings, places } = judge(subject);
  const against = findings.filter(({ severity, undecided }) => !undecided && (severity === 'stop' || severity === 'fix'));
  const told = new Set(against.map(({ subject: { id } }) => id));
  const chosen = new Map(usesOf(subject.rig).map(({ use }) => [use.id, use.gearId]));
  const wrong = slots.flatMap(({ use: { id } }) => {
    const isWrong = told.has(id) || places.some((place) => place.subject.id === id && told.has(place.id));
    return isWrong || chosen.get(id) === undefined ? [id] : [];
  });
  return { subject, verdict, found: new Set(against.map(({ id }) => id)), wrong: new Set(wrong) };
}

function bagOf(subject: Case, verdict: Report['verdict']): Bag {
  const pieces = carriedIn(subject).map(({ piece: { id: gearId, tag, name }, massKg }): BagInHand => ({ gearId, tag, name, massKg }));
  return {
    pieces,
    massKg: pieces.reduce((sum, { massKg = 0 }) => sum + massKg, 0),
    unweighed: pieces.filter(({ massKg }) => massKg === undefined).map(({ gearId }) => gearId),
    carriers: sharedOut(pieces, carriersOf(subject.rig)),
    verdict,
  };
}

/** Those who are there to carry: people by name, then the rest of the crew. */
function carriersOf({ bodies }: Rig): readonly string[] {
  const named = bodies.flatMap((body) => (body.kind === 'person' ? [body.label] : []));
  const crew = bodies.reduce((sum, body) => sum + (body.kind === 'crew' ? body.people : 0), 0);
  return [...named, ...Array.from({ length: Math.max(0, crew - named.length) }, () => '')];
}

/** The heaviest piece first, always to whoever carries least. */
function sharedOut(pieces: readonly BagInHand[], people: readonly string[]): readonly Carrier[] {
  const loads = people.map((name) => ({ name, pieces: [] as BagInHand[], massKg: 0 }));
  for (const piece of [...pieces].sort((a, b) => (b.massKg ?? 0) - (a.massKg ?? 0))) {
    const least = loads.reduce<(typeof loads)[number] | undefined>(
      (now, load) => (now && now.massKg <= load.massKg ? now : load),
      undefined,
    );
    least?.pieces.push(piece);
    if (least) least.massKg += piece.massKg ?? 0;
  }
  return loads.filter(({ pieces: own }) => own.length > 0);
}
