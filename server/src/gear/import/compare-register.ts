import {
  type GearView,
  type ImportFault,
  type ImportRowView,
  LONGEST_NOTE,
  type RegisterRow,
  registerColumns,
  saidIn,
  type UntaggedRow,
} from '@wainrope/contract';
import { basisWords, canonicalJson, force, formatFigure, keyWords, type Mark } from '@wainrope/core';
import type { Whereabouts } from '../../team/team.repository.ts';
import type { Tell } from '../../threads/in-thread.ts';
import { type Packed, unpack } from '../../threads/packed.ts';
import { turnedBack } from '../counters.ts';
import { MadeTags, type TakenTag } from './made-tags.ts';
import { mergeRegisterRow, registerRowOf, rowChanges } from './merge-register-row.ts';
import { type ReadLine, tagsOf } from './read-register.ts';

export interface CompareInput {
  readonly lines: Packed<readonly ReadLine[]>;
  /** Pieces of the register that have a tag of the file. */
  readonly existing: readonly GearView[];
  /** Every tag of the register, where tags are to be made. */
  readonly taken: readonly TakenTag[];
  readonly whereabouts: Whereabouts;
  readonly today: string;
}

/** One piece of a row as it would stand in the register. */
export interface PlannedPiece {
  readonly row: RegisterRow;
  /** The piece that has its tag. */
  readonly before?: GearView;
  readonly inspectionIsNew: boolean;
}

/** What bringing a row in would do. */
export interface PlannedRow {
  readonly view: ImportRowView;
  /** None where the row has faults, waits for an answer or stands for no piece. */
  readonly pieces: readonly PlannedPiece[];
}

interface Register {
  readonly byTag: ReadonlyMap<string, GearView>;
  readonly whereabouts: Whereabouts;
  readonly today: string;
  readonly tags: MadeTags;
  /** Lines by the tags that stand on them. */
  readonly seen: Map<string, number>;
}

/** Rows of a file held against the register: what is new, what would change and how, what cannot be. */
export function compareRegister({ lines: packed, existing, taken, whereabouts, today }: CompareInput, tell: Tell): readonly PlannedRow[] {
  const lines = unpack(packed);
  const written = lines.flatMap(({ cells, pieces }) => tagsOf(cells, pieces).map((tag) => tag.toLowerCase()));
  const register: Register = {
    byTag: new Map(existing.map((gear) => [gear.tag.toLowerCase(), gear])),
    whereabouts,
    today,
    tags: new MadeTags(taken, written),
    seen: new Map(),
  };
  return lines.map((line, index) => {
    tell(index, lines.length);
    return plannedRow(line, register);
  });
}

const NOTHING = { changes: [], faults: [], understood: [] };

function plannedRow(line: ReadLine, register: Register): PlannedRow {
  const { stands, why, questions } = line;
  if (stands === 'empty') return { view: { row: line.line, outcome: 'empty', ...NOTHING }, pieces: [] };
  const head = headOf(line);
  if (stands === 'aside')
    return { view: { ...head, outcome: 'aside', ...NOTHING, understood: why === undefined ? [] : [why] }, pieces: [] };
  const faults = [...line.faults, ...tagFaults(line, register.seen), ...dayFaults(line, register.today)];
  const understood = [...(line.row?.marks.map(markWords) ?? []), ...line.said];
  if (faults.length > 0) return { view: { ...head, outcome: 'faulty', changes: [], faults, understood }, pieces: [] };
  if (!line.row || questions.some(({ optional }) => !optional))
    return { view: { ...head, outcome: 'asked', changes: [], faults: [], understood }, pieces: [] };
  const { row, said } = placed(line.row, register.whereabouts);
  return planned({ ...head, understood: [...understood, ...said] }, line, tagged(row, line, register), register);
}

type Head = Pick<ImportRowView, 'row' | 'tag' | 'tagIsMade' | 'name' | 'kind' | 'kindIsGuessed' | 'pieces' | 'understood'>;

function headOf({ line, cells, row, guessed, pieces }: ReadLine): Head {
  const [tag, name, kind] = [saidIn(cells.tag), row?.name ?? saidIn(cells.name) ?? saidIn(cells.class), row?.kind ?? guessed];
  return {
    row: line,
    understood: [],
    ...(tag && { tag }),
    ...(name && { name }),
    ...(kind && { kind }),
    ...(guessed && { kindIsGuessed: true }),
    ...(pieces > 1 && { pieces }),
  };
}

interface Tagged {
  readonly rows: readonly RegisterRow[];
  readonly made: boolean;
}

function tagged(row: UntaggedRow, { cells, pieces }: ReadLine, { tags }: Register): Tagged {
  const own = tagsOf(cells, pieces);
  const made = own.length === 0;
  const all = made ? Array.from({ length: pieces }, () => tags.make(row.kind)) : own;
  return { rows: all.map((tag) => ({ ...row, tag })), made };
}

/** The row with each of its pieces held against the register; what one of them refuses refuses the row. */
function planned(head: Head, line: ReadLine, { rows, made }: Tagged, register: Register): PlannedRow {
  const [first] = rows;
  const view = { ...head, ...(first && { tag: first.tag }), ...(made && { tagIsMade: true }) };
  const held = rows.map((row) => heldAgainst(row, line, register));
  const faults = held.flatMap((piece) => ('faults' in piece ? piece.faults : []));
  if (faults.length > 0) return { view: { ...view, outcome: 'faulty', changes: [], faults }, pieces: [] };
  const pieces = held.flatMap((piece) => ('faults' in piece ? [] : [piece]));
  const changes = [...new Set(pieces.flatMap((piece) => piece.changes))];
  const isNew = pieces.some(({ before }) => before === undefined);
  const outcome = isNew ? 'new' : changes.length > 0 ? 'changed' : 'unchanged';
  return { view: { ...view, outcome, changes, faults: [] }, pieces };
}

type Held = (PlannedPiece & { readonly changes: readonly string[] }) | { readonly faults: readonly ImportFault[] };

function heldAgainst(row: RegisterRow, line: ReadLine, register: Register): Held {
  const held = mergedWith(row, line, register);
  const note = 'faults' in held ? '' : (held.row.note ?? '');
  if (note.length <= LONGEST_NOTE) return held;
  const message = `With what has no place of its own the note has ${note.length} characters; at most ${LONGEST_NOTE} fit here.`;
  return { faults: [{ column: 'note', message }] };
}

function mergedWith(row: RegisterRow, { cells, guessed }: ReadLine, { byTag, whereabouts }: Register): Held {
  const before = byTag.get(row.tag.toLowerCase());
  if (!before) return { row, inspectionIsNew: row.inspection !== undefined, changes: [] };
  const old = registerRowOf(before, whereabouts);
  // What the register knows stands before a guess.
  const sure = guessed && guessed !== old.kind ? { ...row, kind: old.kind, attributes: old.attributes } : row;
  const merged = mergeRegisterRow(old, sure, cells);
  if (merged.state !== old.state) {
    const message = `${merged.tag} is ${keyWords(old.state)} in the register. Its state changes by an inspection, by quarantine or by retiring it; empty this cell to leave it.`;
    return { faults: [{ column: 'state', message }] };
  }
  const inspectionIsNew = merged.inspection !== undefined && canonicalJson(old.inspection) !== canonicalJson(merged.inspection);
  // A newer inspection settles the overloads before it.
  const counted = inspectionIsNew ? { ...before, overloadsSinceInspection: 0 } : before;
  const lower = turnedBack(counted, { ...before, ...merged });
  if (lower.length > 0) return { faults: lower.map(({ path, message }) => ({ column: columnOf(path), message })) };
  return { row: merged, before, inspectionIsNew, changes: rowChanges(old, merged) };
}

/** The heading under which a counter stands in the file. */
const columnOf = (path: string): string =>
  (path === 'overloadsSinceInspection' ? undefined : registerColumns.find(({ attribute }) => `attributes.${attribute?.key}` === path))
    ?.key ?? 'overloads_since_inspection';

function tagFaults({ line, cells, pieces }: ReadLine, seen: Map<string, number>): readonly ImportFault[] {
  return tagsOf(cells, pieces).flatMap((tag) => {
    const key = tag.toLowerCase();
    const earlier = seen.get(key);
    if (earlier === undefined) {
      seen.set(key, line);
      return [];
    }
    return [{ column: 'tag', text: tag, message: `Line ${earlier} has this tag already; give one of the two another.` }];
  });
}

/** Nobody has inspected a piece yet on a day to come. */
function dayFaults({ row, cells }: ReadLine, today: string): readonly ImportFault[] {
  const on = row?.inspection?.on;
  if (on === undefined || on <= today) return [];
  return [
    { column: 'inspected_on', text: cells.inspected_on ?? on, message: `Inspected on ${on}, which is still to come (today is ${today}).` },
  ];
}

/** A vehicle that the register does not know is kept in the note. */
function placed(row: UntaggedRow, { vehicleNames }: Whereabouts): { readonly row: UntaggedRow; readonly said: readonly string[] } {
  const { vehicle, ...rest } = row;
  if (vehicle === undefined || [...vehicleNames.values()].some((name) => name.toLowerCase() === vehicle.toLowerCase()))
    return { row, said: [] };
  const note = [row.note, `Vehicle: ${vehicle}`].filter(Boolean).join('; ');
  return { row: { ...rest, note }, said: [`No vehicle is called “${vehicle}”: kept in the note`] };
}

/** A mark as understood, and what is unclear about it. */
function markWords({ asWritten, basis, readings, settingDecided }: Mark): string {
  const values = readings.map(({ forceN }) => formatFigure(force(forceN)));
  const size = values.length === 1 ? values[0] : `${values[0]} to ${values.at(-1)}, the ton is not stated`;
  return `“${asWritten}”: ${size}, ${basisWords[basis]}${settingDecided ? ', thousands or decimals by the team’s setting' : ''}`;
}
