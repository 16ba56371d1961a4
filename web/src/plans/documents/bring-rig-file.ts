import { type Rig, readRigFile, usesOf } from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';

export type Brought =
  | {
      readonly ok: true;
      readonly name: string;
      readonly rig: Rig /** Pieces of the file that this register does not have: their places are open. */;
      readonly unknown: readonly string[];
    }
  | { readonly ok: false; readonly message: string };

/** A rig file as a plan of this team: its pieces are found by tag and class, its vehicles by their names; what is not here stays open. */
export function bringRigFile(
  text: string,
  pieces: readonly RegisterPiece[],
  vehicles: readonly { readonly vehicleId: string; readonly name: string }[],
): Brought {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return { ok: false, message: 'This is not a rig file: it is not JSON.' };
  }
  const file = readRigFile(parsed);
  if (!file.ok) {
    const [first] = file.faults;
    return {
      ok: false,
      message: `This rig file is not understood: ${first?.path || 'at its beginning'}: ${first?.message}${file.faults.length > 1 ? `, and ${file.faults.length - 1} more` : ''}.`,
    };
  }
  const { name, rig, gear } = file.value.case;
  // A tag alone is not enough: another team's SS-01 may be quite another thing.
  const byTag = new Map(pieces.map(({ gear: piece }) => [nameOf(piece.tag, piece.kind), piece.gearId]));
  const own = new Set(pieces.map(({ gear: piece }) => piece.gearId));
  const known = new Map(
    gear.flatMap(({ id, tag, kind }) => {
      const gearId = own.has(id) ? id : byTag.get(nameOf(tag ?? id, kind));
      return gearId === undefined ? [] : [[id, gearId] as const];
    }),
  );
  const vehicleOf = new Map(vehicles.map((vehicle) => [vehicle.name.toLowerCase(), vehicle.vehicleId]));
  const named = JSON.parse(JSON.stringify(rig), (key, value) => (key === 'gearId' ? known.get(value) : value)) as Rig;
  const unknown = gear.filter(({ id }) => !known.has(id)).map(({ tag, name: words }) => tag ?? words);
  return { ok: true, name, unknown, rig: settled(named, known, vehicleOf) };
}

const nameOf = (tag: string, kind: string) => `${tag.toLowerCase()} ${kind}`;

/** Only what can stand without its piece stays: dampers and tools that are not here go; vehicles are the team's by name. */
function settled(rig: Rig, known: ReadonlyMap<string, string>, vehicleOf: ReadonlyMap<string, string>): Rig {
  return {
    ...rig,
    bodies: rig.bodies.map((body) => {
      if (body.kind !== 'vehicle') return body;
      const { vehicleId: _foreign, ...rest } = body;
      const vehicleId = vehicleOf.get(body.label.toLowerCase());
      return vehicleId === undefined ? rest : { ...rest, vehicleId };
    }),
    dampers: rig.dampers.filter(({ gearId }) => gearId !== undefined),
    ...(rig.tools && { tools: rig.tools.flatMap((id) => known.get(id) ?? []) }),
  };
}

/** How many places of a rig have no piece. */
export const openPlaces = (rig: Rig): number => usesOf(rig).filter(({ use }) => use.gearId === undefined).length;
