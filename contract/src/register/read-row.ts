import type { GearClass } from '@wainrope/core';
import { filled } from '../every-field.ts';
import { partsOfRow, registerColumns } from './columns.ts';
import type { CellFault, Cells, ReadRowSettings, RegisterRow, RowQuestion, RowReader } from './register-row.ts';
import { quantityOf } from './row-quantity.ts';
import { LONGEST_NOTE } from './single-columns.ts';

/** A row without a tag is complete but for that; it is given one when it is brought in. */
export type UntaggedRow = Omit<RegisterRow, 'tag'> & { readonly tag?: string };

export interface ReadRow {
  /** Missing where the row has a fault or waits for an answer. */
  readonly row?: UntaggedRow;
  readonly faults: readonly CellFault[];
  readonly questions: readonly RowQuestion[];
  /** The class was guessed by the words of the row. */
  readonly guessed?: GearClass;
  /** What was read otherwise than it is written, or kept in the note. */
  readonly said: readonly string[];
  /** How many pieces the row stands for, 0 or more. */
  readonly pieces: number;
}

/** What people write where nothing is known. */
const NOTHING =
  /^(?:[-–—._?*/\s]+|n\.?\s?\/?\s?a\.?|n\/?k|none|nil|null|unknown|unk\.?|not known|not marked|unmarked|illegible|tb[acd]|#n\/a|blank)$/i;

/** What stands in a cell; undefined where it says nothing. */
export const saidIn = (cell: string | undefined): string | undefined => {
  const text = cell?.trim();
  return text === undefined || text === '' || NOTHING.test(text) ? undefined : text;
};

/** Reads one row of a register file. Every fault of the row is listed; a row with faults is never stored in part. */
export function readRegisterRow(cells: Cells, settings: ReadRowSettings): ReadRow {
  const faults: CellFault[] = [];
  const questions: RowQuestion[] = [];
  const said: string[] = [];
  const kept: string[] = [];
  let kind: GearClass | undefined;
  let guessed: GearClass | undefined;
  const reader: RowReader = {
    cell: (column) => saidIn(cells[column]),
    refuse: (column, message) => {
      faults.push({ column, message });
      return undefined;
    },
    ask: (question) => {
      if (!questions.some(({ about, word }) => about === question.about && word === question.word)) questions.push(question);
      return undefined;
    },
    guess: (found) => {
      guessed = found;
    },
    say: (words) => said.push(words),
    keep: (column, text) => {
      kept.push(`${settings.headings?.[column] ?? labelOf(column)}: ${text}`);
      return undefined;
    },
    settings,
    kind: () => kind,
  };
  kind = partsOfRow.kind.read(reader);
  const pieces = quantityOf(reader) ?? 1;
  const row = partsRead(reader, kind);
  if (kept.length > 0) said.push(`Kept in the note: ${kept.join('; ')}`);
  const noted = row && withKept(row, kept, reader);
  const told = { faults, questions, said, pieces, ...(guessed && { guessed }) };
  return faults.length > 0 || questions.some(({ optional }) => !optional) || noted === undefined ? told : { ...told, row: noted };
}

const labelOf = (column: string): string => registerColumns.find(({ key }) => key === column)?.label ?? column;

function withKept(row: UntaggedRow, kept: readonly string[], { refuse }: RowReader): UntaggedRow | undefined {
  if (kept.length === 0) return row;
  const note = [row.note, ...kept].filter((part) => part !== undefined).join('; ');
  if (note.length <= LONGEST_NOTE) return { ...row, note };
  return refuse('note', `With what has no place of its own the note has ${note.length} characters; at most ${LONGEST_NOTE} fit here.`);
}

/** Every part of the row, whatever became of the others, so that all their faults are told at once. */
function partsRead(reader: RowReader, kind: GearClass | undefined): UntaggedRow | undefined {
  const [tag, name, state] = [partsOfRow.tag.read(reader), partsOfRow.name.read(reader), partsOfRow.state.read(reader)];
  const [marks, attributes] = [partsOfRow.marks.read(reader), partsOfRow.attributes.read(reader)];
  const overloadsSinceInspection = partsOfRow.overloadsSinceInspection.read(reader);
  const rest: RestOfRow = {
    maker: partsOfRow.maker.read(reader),
    model: partsOfRow.model.read(reader),
    batch: partsOfRow.batch.read(reader),
    owner: partsOfRow.owner.read(reader),
    kit: partsOfRow.kit.read(reader),
    vehicle: partsOfRow.vehicle.read(reader),
    madeOn: partsOfRow.madeOn.read(reader),
    boughtOn: partsOfRow.boughtOn.read(reader),
    firstUsedOn: partsOfRow.firstUsedOn.read(reader),
    inspection: partsOfRow.inspection.read(reader),
    renewedUntil: partsOfRow.renewedUntil.read(reader),
    note: partsOfRow.note.read(reader),
  };
  if (!kind || !name || !state || !marks || !attributes || overloadsSinceInspection === undefined) return undefined;
  return { kind, name, state, marks, attributes, overloadsSinceInspection, ...(tag !== undefined && { tag }), ...filled(rest) };
}

type Needed = 'tag' | 'kind' | 'name' | 'state' | 'marks' | 'attributes' | 'overloadsSinceInspection';
type RestOfRow = { readonly [P in Exclude<keyof RegisterRow, Needed>]-?: RegisterRow[P] | undefined };
