import { type Edit, gearClasses, gearIdsOf, type Rig } from '@wainrope/core';
import type { RegisterPiece } from '../register/use-register.ts';
import type { Leg } from './findings/finding-groups.ts';

/** Dampers of the register that may be used and hang nowhere in this rig yet. */
export function freeDampers(pieces: readonly RegisterPiece[], rig: Rig): readonly string[] {
  const used = new Set(gearIdsOf(rig));
  return pieces.flatMap(({ gear: { gearId, kind, state } }) =>
    gearClasses[kind].damps && state === 'in-use' && !used.has(gearId) ? [gearId] : [],
  );
}

/** Why none can be hung: there is none, none may be used, or all hang in this rig. */
export function noDamperWords(pieces: readonly RegisterPiece[]): string {
  const dampers = pieces.filter(({ gear }) => gearClasses[gear.kind].damps && gear.state !== 'retired');
  const make = 'A coat or a blanket will do: add it to the register as a damper.';
  if (dampers.length === 0) return `There is not a damper in the register. ${make}`;
  if (dampers.every(({ gear }) => gear.state !== 'in-use')) return `Every damper in the register is in quarantine. ${make}`;
  return `Every damper that may be used is in this rig already. ${make}`;
}

/** A damper hung on each of these legs that has none, as far as there are any; and why not on all. */
export function hungDampers(rig: Rig, legs: readonly Leg[], pieces: readonly RegisterPiece[]) {
  const bare = legs.filter((leg) => !rig.dampers.some(({ lineId, strand }) => lineId === leg.lineId && strand === leg.strand));
  const free = freeDampers(pieces, rig);
  const edits = bare.flatMap(({ lineId, strand }, index): readonly Edit[] => {
    const gearId = free[index];
    const id = `damper-${lineId}-${strand + 1}`;
    return gearId === undefined ? [] : [{ kind: 'put', list: 'dampers', entry: { id, lineId, strand, gearId } }];
  });
  return { edits, lacking: bare.length > free.length ? noDamperWords(pieces) : undefined };
}
