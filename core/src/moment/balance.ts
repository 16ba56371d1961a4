import type { ResolvedLine } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Rig } from '../rig/rig.ts';
import { otherWay } from '../statics/bend-tension.ts';
import type { Equilibrium, Motion, Network, StaticsFailure, StaticsOutcome } from '../statics/network.ts';
import { solveNetwork } from '../statics/solve-network.ts';
import { drumAt } from './drum-state.ts';
import { forcesOf, pathLengthM } from './forces.ts';
import type { Balance, Balances, DriveState, Forces, LoadState } from './moment.ts';
import type { WarmStart } from './warm-start.ts';

/** Shares follow the working layers and the layers the balance; they settle at once or after a round or two. */
const SHARING_ROUNDS = 4;

export interface Balanced {
  readonly drives: readonly DriveState[];
  readonly balances: Balances | undefined;
  readonly failure: StaticsFailure | undefined;
}

/** Which ways friction may act: lowering too where the rig lowers or holds. */
export function motionsOf({ purpose }: Rig): readonly Motion[] {
  return purpose === 'lower' || purpose === 'hold' ? ['hauling', 'frictionless', 'lowering'] : ['hauling', 'frictionless'];
}

/** The balance of the rig with its drives at their shares, and the drums in that balance; `before` is a neighbouring one to begin from. */
export function balanceRig(rig: ResolvedRig, network: Network, before: WarmStart | undefined): Balanced {
  let drives = withShares(drivesAt(rig, before?.hauling.forces), rig.rig);
  let driven = drivenBy(network, drives, ({ share }) => share);
  let outcome = solveNetwork(driven, 'hauling', before?.hauling.equilibrium);
  let forces = outcome.kind === 'solved' ? forcesOf(rig, outcome) : undefined;
  for (let round = 0; round < SHARING_ROUNDS && outcome.kind === 'solved'; round++) {
    const next = withShares(drivesAt(rig, forces), rig.rig);
    const same = next.every(({ share }, index) => share === drives[index]?.share);
    drives = next;
    if (same) break;
    driven = drivenBy(network, drives, ({ share }) => share);
    outcome = solveNetwork(driven, 'hauling', outcome);
    forces = outcome.kind === 'solved' ? forcesOf(rig, outcome) : undefined;
  }
  if (outcome.kind !== 'solved' || forces === undefined) return { drives, balances: undefined, failure: failureOf(outcome) };
  const hauling: Balance = { motion: 'hauling', bridlesBack: false, equilibrium: outcome, forces };
  return { drives, ...otherBalances(rig, driven, hauling, before) };
}

const failureOf = (outcome: StaticsOutcome): StaticsFailure | undefined => (outcome.kind === 'solved' ? undefined : outcome);

/** Beside hauling: without friction, lowering, and with running bridles the other way, where the rig asks for them. */
function otherBalances(rig: ResolvedRig, driven: Network, hauling: Balance, before: WarmStart | undefined): Omit<Balanced, 'drives'> {
  const from = hauling.equilibrium;
  const frictionless = solveNetwork(driven, 'frictionless', before?.frictionless.equilibrium ?? from);
  if (frictionless.kind !== 'solved') return { balances: undefined, failure: frictionless };
  const runs = rig.lines.some(({ runningBridle }) => runningBridle);
  const back = runs ? solveNetwork(withBridlesBack(rig.lines, driven), 'hauling', from) : undefined;
  const lowering = motionsOf(rig.rig).includes('lowering') ? solveNetwork(driven, 'lowering', from) : undefined;
  for (const outcome of [back, lowering])
    if (outcome !== undefined && outcome.kind !== 'solved') return { balances: undefined, failure: outcome };
  const balance = (motion: Motion, equilibrium: Equilibrium, bridlesBack = false): Balance => ({
    motion,
    bridlesBack,
    equilibrium,
    forces: forcesOf(rig, equilibrium),
  });
  const balances: Balances = {
    hauling,
    frictionless: balance('frictionless', frictionless),
    ...(lowering?.kind === 'solved' && { lowering: balance('lowering', lowering) }),
    ...(back?.kind === 'solved' && { bridlesBack: balance('hauling', back, true) }),
  };
  return { balances, failure: undefined };
}

/** The same network with friction in its running bridles acting the other way: either leg may be the one that holds back. */
export function withBridlesBack(lines: readonly ResolvedLine[], network: Network): Network {
  const bridles = lines.filter(({ runningBridle }) => runningBridle).flatMap(({ spans }) => spans.map(({ rope }) => rope));
  return {
    ...network,
    ropes: network.ropes.map((rope, index) => (bridles.includes(index) ? { ...rope, bends: rope.bends.map(otherWay) } : rope)),
  };
}

/** Every drive in a given balance; shares of 1 until they are settled. */
function drivesAt({ drives }: ResolvedRig, forces: Forces | undefined): readonly DriveState[] {
  return drives.map((drive): DriveState => {
    if (drive.kind !== 'winch') return { drive, share: 1, drum: { kind: 'no-winch' }, ratedN: drive.ratedN, greatestN: drive.greatestN };
    const drum = drumAt(drive.sizes, forces && pathLengthM(drive.line, forces));
    const known = drum.kind !== 'no-winch';
    return { drive, share: 1, drum, ratedN: known ? drum.ratedN : undefined, greatestN: known ? drum.greatestN : undefined };
  });
}

/**
 * How the drives share: as a person states, else by what each is rated for on its working layer; the first counts 1.
 * Where one of them is unknown they count alike.
 */
function withShares(drives: readonly DriveState[], { sharing }: Rig): readonly DriveState[] {
  if (drives.length === 1) return drives;
  const wanted = drives.map(({ drive, ratedN }) =>
    sharing === undefined ? ratedN : sharing.shares.find(({ lineId }) => lineId === drive.line.line.id)?.share,
  );
  const first = wanted[0];
  const known = first !== undefined && wanted.every((share) => share !== undefined && share > 0);
  return drives.map((state, index) => ({ ...state, share: known ? (wanted[index] ?? 0) / first : 1 }));
}

/** The network with its driven ropes at given tensions. */
export function drivenBy(network: Network, drives: readonly DriveState[], tensionOf: (drive: DriveState) => number): Network {
  const ropes = [...network.ropes];
  for (const state of drives) {
    const index = state.drive.line.spans[0]?.rope ?? -1;
    const rope = ropes[index];
    if (rope !== undefined) ropes[index] = { ...rope, pull: { kind: 'driven', tension: tensionOf(state) } };
  }
  return { ...network, ropes };
}

export interface Greatest {
  readonly greatest: readonly LoadState[];
  readonly failure: StaticsFailure | undefined;
}

/** All drives at their greatest together. Several share differently there, which moves the rig: it is solved anew. */
export function greatestStates(rig: ResolvedRig, network: Network, drives: readonly DriveState[], unit: readonly LoadState[]): Greatest {
  const first = drives[0]?.greatestN;
  if (first === undefined || drives.some(({ greatestN }) => greatestN === undefined)) return { greatest: [], failure: undefined };
  if (drives.length === 1) return { greatest: unit.map(({ balance }) => ({ balance, scale: first })), failure: undefined };
  const together = drivenBy(network, drives, ({ greatestN }) => (greatestN ?? 0) / first);
  const greatest: LoadState[] = [];
  for (const { balance } of unit) {
    const driven = balance.bridlesBack ? withBridlesBack(rig.lines, together) : together;
    const outcome = solveNetwork(driven, balance.motion, balance.equilibrium);
    if (outcome.kind !== 'solved') return { greatest: [], failure: outcome };
    greatest.push({ balance: { ...balance, equilibrium: outcome, forces: forcesOf(rig, outcome) }, scale: first });
  }
  return { greatest, failure: undefined };
}
