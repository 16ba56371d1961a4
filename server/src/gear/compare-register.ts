import { type GearView, type ImportFault, type ImportRowView, type RegisterRow, registerColumns } from '@wainrope/contract';
import { basisWords, canonicalJson, force, formatFigure, type Mark } from '@wainrope/core';
import type { Whereabouts } from '../team/team.repository.ts';
import type { Tell } from '../threads/in-thread.ts';
import { type Packed, unpack } from '../threads/packed.ts';
import { turnedBack } from './counters.ts';
import { mergeRegisterRow, registerRowOf, rowChanges } from './merge-register-row.ts';
import type { ReadLine } from './read-register.ts';

export interface CompareInput {
  readonly lines: Packed<readonly ReadLine[]>;
  /** Pieces of the register that have a tag of the file. */
  readonly existing: readonly GearView[];
  readonly whereabouts: Whereabouts;
}

/** What bringing a row in would do. */
export interface PlannedRow {
  readonly view: ImportRowView;
  /** As it would stand in the register; missing where it has faults or is empty. */
  readonly row?: RegisterRow;
  /** The piece that has its tag. */
  readonly before?: GearView;
  readonly inspectionIsNew?: boolean;
}

/** Rows of a file held against the register: what is new, what would change and how, what cannot be. */
export function compareRegister({ lines: packed, existing, whereabouts }: CompareInput, tell: Tell): readonly PlannedRow[] {
  const lines = unpack(packed);
  const byTag = new Map(existing.map((gear) => [gear.tag.toLowerCase(), gear]));
  const seen = new Map<string, number>();
  const vehicles = [...whereabouts.vehicleNames.values()];
  return lines.map((line, index) => {
    tell(index, lines.length);
    if (line.isEmpty) return { view: { row: line.line, outcome: 'empty', changes: [], faults: [], understood: [] } };
    const faults = [...line.faults, ...tagFaults(line, seen), ...vehicleFaults(line, vehicles)];
    return plannedRow({ ...line, faults }, byTag, whereabouts);
  });
}

function plannedRow({ line, cells, row, faults }: ReadLine, byTag: ReadonlyMap<string, GearView>, whereabouts: Whereabouts): PlannedRow {
  const tag = cells.tag?.trim();
  const name = row?.name ?? cells.name;
  const head = { row: line, ...(tag && { tag }), ...(name && { name }), ...(row && { kind: row.kind }) };
  if (!row || faults.length > 0) return { view: { ...head, outcome: 'faulty', changes: [], faults, understood: [] } };
  const before = byTag.get(row.tag.toLowerCase());
  const understood = row.marks.map(markWords);
  if (!before)
    return { row, inspectionIsNew: row.inspection !== undefined, view: { ...head, outcome: 'new', changes: [], faults: [], understood } };
  const old = registerRowOf(before, whereabouts);
  const merged = mergeRegisterRow(old, row, cells);
  if (merged.state !== old.state) {
    const message = `${merged.tag} is ${old.state} in the register. Its state changes by an inspection, by quarantine or by retiring it; empty this cell to leave it.`;
    return { view: { ...head, outcome: 'faulty', changes: [], faults: [{ column: 'state', message }], understood: [] } };
  }
  const inspectionIsNew = merged.inspection !== undefined && canonicalJson(old.inspection) !== canonicalJson(merged.inspection);
  // A newer inspection settles the overloads before it.
  const counted = inspectionIsNew ? { ...before, overloadsSinceInspection: 0 } : before;
  const lower = turnedBack(counted, { ...before, ...merged });
  if (lower.length > 0) {
    const found = lower.map(({ path, message }) => ({ column: columnOf(path), message }));
    return { view: { ...head, outcome: 'faulty', changes: [], faults: found, understood: [] } };
  }
  const changes = [...rowChanges(old, merged)];
  const outcome = changes.length > 0 ? 'changed' : 'unchanged';
  return { row: merged, before, inspectionIsNew, view: { ...head, outcome, changes, faults: [], understood } };
}

/** The heading under which a counter stands in the file. */
const columnOf = (path: string): string =>
  (path === 'overloadsSinceInspection' ? undefined : registerColumns.find(({ attribute }) => `attributes.${attribute?.key}` === path))
    ?.key ?? 'overloads_since_inspection';

function tagFaults({ line, cells }: ReadLine, seen: Map<string, number>): readonly ImportFault[] {
  const key = (cells.tag ?? '').trim().toLowerCase();
  if (key === '') return [];
  const earlier = seen.get(key);
  if (earlier !== undefined) return [{ column: 'tag', message: `The tag stands already on line ${earlier}; one of the two must go.` }];
  seen.set(key, line);
  return [];
}

function vehicleFaults({ row }: ReadLine, vehicles: readonly string[]): readonly ImportFault[] {
  const vehicle = row?.vehicle?.toLowerCase();
  if (vehicle === undefined || vehicles.some((name) => name.toLowerCase() === vehicle)) return [];
  return [{ column: 'vehicle', message: `No vehicle is called “${row?.vehicle}”; known are ${vehicles.join(', ') || 'none'}.` }];
}

/** A mark as understood, and what is unclear about it. */
function markWords({ asWritten, basis, readings, settingDecided }: Mark): string {
  const values = readings.map(({ forceN }) => formatFigure(force(forceN)));
  const size = values.length === 1 ? values[0] : `${values[0]} to ${values.at(-1)}, the ton is not stated`;
  return `“${asWritten}”: ${size}, ${basisWords[basis]}${settingDecided ? ', thousands or decimals by the team’s setting' : ''}`;
}
