import type { Equilibrium } from '../statics/network.ts';
import { type Vec3, vec3 } from '../statics/vec3.ts';
import type { Balances, Moment, Trail } from './moment.ts';

/** Balances to begin the next ones from. */
export type WarmStart = Pick<Balances, 'hauling' | 'frictionless'> & Partial<Balances>;

/** A step may be so many times as long as the one before it and still be foretold from it. */
const FARTHEST = 1.5;

/**
 * Where the balances of a travel are first looked for: carried on in a straight line from the two moments before, which leaves an
 * error of the second order; else where they were last. It decides nothing but how soon they are found.
 */
export function warmStart(before: Moment | undefined, travelM: number): WarmStart | undefined {
  const balances = before?.balances;
  const trail = before?.trail;
  if (before === undefined || balances === undefined || trail === undefined) return balances;
  const share = (travelM - before.travelM) / (before.travelM - trail.travelM);
  if (!(share > 0 && share <= FARTHEST)) return balances;
  return {
    ...balances,
    hauling: { ...balances.hauling, equilibrium: carriedOn(trail.hauling, balances.hauling.equilibrium, share) },
    frictionless: { ...balances.frictionless, equilibrium: carriedOn(trail.frictionless, balances.frictionless.equilibrium, share) },
  };
}

/** The trail that a moment leaves behind the one that follows it. */
export function trailOf(before: Moment | undefined): Trail | undefined {
  if (before?.balances === undefined) return undefined;
  const { hauling, frictionless } = before.balances;
  return { travelM: before.travelM, hauling: hauling.equilibrium, frictionless: frictionless.equilibrium };
}

function carriedOn(from: Equilibrium, to: Equilibrium, share: number): Equilibrium {
  // Another number of slack members is another problem: it is begun where it was.
  if (from.slackLinks.length !== to.slackLinks.length || from.slackRopes.length !== to.slackRopes.length) return to;
  return {
    ...to,
    positions: to.positions.map((at, node) => beyond(from.positions[node] ?? at, at, share)),
    strandTensions: to.strandTensions.map((strands, rope) =>
      strands.map((tension, strand) => heading(from.strandTensions[rope]?.[strand] ?? tension, tension, share)),
    ),
    linkTensions: to.linkTensions.map((tension, link) => heading(from.linkTensions[link] ?? tension, tension, share)),
  };
}

function beyond(from: Vec3, to: Vec3, share: number): Vec3 {
  return vec3(to.x + share * (to.x - from.x), to.y + share * (to.y - from.y), to.z + share * (to.z - from.z));
}

/** A tension carried on; one that is taut is not foretold slack. */
function heading(from: number, to: number, share: number): number {
  const next = to + share * (to - from);
  return next > 0 ? next : to;
}
