import {
  type DecimalMark,
  type Field,
  type GearClass,
  type GearState,
  type Grade,
  gearClasses,
  gearClassNames,
  gearStates,
  grades,
  type Mark,
  type MarkBasis,
  type MarkSource,
  markBases,
  markSources,
  parseMark,
  parseQuantity,
  type TonUnit,
  tonUnits,
} from '@wainrope/core';
import { readCalendarCell } from './calendar-cell.ts';
import { MARKS_IN_FILE, recogniseClass, registerColumns } from './columns.ts';

/** A row of the register as it would be stored. Kit and vehicle are still names. */
export interface RegisterRow {
  readonly tag: string;
  readonly kind: GearClass;
  readonly name: string;
  readonly state: GearState;
  readonly marks: readonly Mark[];
  readonly attributes: { readonly [key: string]: string | number | boolean };
  readonly overloadsSinceInspection: number;
  readonly inspection?: { readonly on: string; readonly grade: Grade; readonly nextDue?: string; readonly by?: string };
  readonly maker?: string;
  readonly model?: string;
  readonly owner?: string;
  readonly kit?: string;
  readonly vehicle?: string;
  readonly madeOn?: string;
  readonly boughtOn?: string;
  readonly firstUsedOn?: string;
  readonly renewedUntil?: string;
  readonly note?: string;
}

export interface CellFault {
  readonly column: string;
  readonly message: string;
}

export interface ReadRowSettings {
  readonly decimal: DecimalMark;
  /** Units written in headings, by column. */
  readonly units: { readonly [column: string]: string };
  /** Which ton a maker means, by its name in lower case, where somebody has confirmed it once. */
  readonly tonOfMaker?: ReadonlyMap<string, TonUnit>;
}

export type Cells = { readonly [column: string]: string };
export type ReadRow = { readonly row?: RegisterRow; readonly faults: readonly CellFault[] };

/** Reads one row of a register file. Every fault of the row is listed; a row with faults is never stored in part. */
export function readRegisterRow(cells: Cells, settings: ReadRowSettings): ReadRow {
  const faults: CellFault[] = [];
  const refuse = (column: string, message: string): undefined => {
    faults.push({ column, message });
    return undefined;
  };
  const cell = (column: string): string | undefined => cells[column]?.trim() || undefined;
  const words = (column: string, most: number): string | undefined => {
    const value = cell(column);
    return value !== undefined && value.length > most ? refuse(column, `${value.length} characters; at most ${most} fit here.`) : value;
  };
  const day = (column: string): string | undefined => {
    const value = cell(column);
    if (value === undefined) return undefined;
    const read = readCalendarCell(value);
    return read.ok ? read.day : refuse(column, read.message);
  };
  const kind = kindOf(cell('class'), refuse);
  const tag = words('tag', 40) ?? refuse('tag', 'The tag is empty; every piece needs one.');
  const head = {
    tag,
    kind,
    state: stateOf(cell('state'), refuse),
    marks: marksOf(cell, settings, refuse),
    overloadsSinceInspection: overloadsOf(cell('overloads_since_inspection'), refuse),
  };
  const attributes = kind ? attributesOf(kind, cell, settings, refuse) : {};
  const name = words('name', 120) ?? (kind && gearClasses[kind].label);
  const extra = {
    inspection: inspectionOf(
      { on: day('inspected_on'), nextDue: day('next_due'), grade: cell('grade'), by: words('inspected_by', 120) },
      refuse,
    ),
    maker: words('maker', 120),
    model: words('model', 120),
    owner: words('owner', 120),
    kit: words('kit', 80),
    vehicle: words('vehicle', 80),
    madeOn: day('made_on'),
    boughtOn: day('bought_on'),
    firstUsedOn: day('first_used_on'),
    renewedUntil: day('renewed_until'),
    note: words('note', 2000),
  };
  if (faults.length > 0 || !tag || !kind || !name || !head.state) return { faults };
  const given = Object.fromEntries(Object.entries(extra).filter(([, value]) => value !== undefined));
  return { faults, row: { ...head, tag, kind, name, state: head.state, attributes, ...given } };
}

type Refuse = (column: string, message: string) => undefined;
type CellReader = (column: string) => string | undefined;

function kindOf(cell: string | undefined, refuse: Refuse): GearClass | undefined {
  if (cell === undefined) return refuse('class', 'The class is empty; say what the piece is, for example “tree strap”.');
  return (
    recogniseClass(cell) ??
    refuse(
      'class',
      `“${cell}” is not a class known here; expected for example ${gearClassNames
        .slice(0, 4)
        .map((known) => gearClasses[known].label)
        .join(', ')}.`,
    )
  );
}

function stateOf(cell: string | undefined, refuse: Refuse): GearState | undefined {
  if (cell === undefined) return 'in-use';
  const name = cell.toLowerCase().replace(/[\s_]+/g, '-');
  const alias: { readonly [word: string]: GearState } = {
    ok: 'in-use',
    good: 'in-use',
    active: 'in-use',
    quarantine: 'quarantined',
    scrapped: 'retired',
    destroyed: 'retired',
  };
  return (
    gearStates.find((state) => state === name) ??
    alias[name] ??
    refuse('state', `“${cell}” is not a state; expected ${gearStates.join(', ')}.`)
  );
}

function overloadsOf(cell: string | undefined, refuse: Refuse): number {
  if (cell === undefined) return 0;
  if (/^\d{1,6}$/.test(cell)) return Number(cell);
  refuse('overloads_since_inspection', `“${cell}” is not a count; expected a whole number.`);
  return 0;
}

function inspectionOf(
  parts: { on: string | undefined; nextDue: string | undefined; grade: string | undefined; by: string | undefined },
  refuse: Refuse,
): RegisterRow['inspection'] {
  const { on, nextDue, by } = parts;
  if (on === undefined && parts.grade === undefined) return undefined;
  if (on === undefined) return refuse('inspected_on', 'A grade without the date of its inspection; add the date.');
  const grade = grades.find((entry) => entry === parts.grade?.toUpperCase());
  if (grade === undefined)
    return refuse(
      'grade',
      parts.grade === undefined
        ? 'An inspection without a grade; expected A, B, C or D.'
        : `“${parts.grade}” is not a grade; expected A, B, C or D.`,
    );
  if (nextDue !== undefined && nextDue < on) return refuse('next_due', `Due ${nextDue}, before the inspection of ${on}.`);
  return { on, grade, ...(nextDue && { nextDue }), ...(by && { by }) };
}

function marksOf(cell: CellReader, { decimal, units, tonOfMaker }: ReadRowSettings, refuse: Refuse): readonly Mark[] {
  const marks: Mark[] = [];
  const makersTon = tonOfMaker?.get(cell('maker')?.toLowerCase() ?? '');
  const read = (column: string, basis: MarkBasis | undefined, source: MarkSource) => {
    const text = cell(column);
    if (text === undefined) return;
    const confirmedUnit = oneOf(tonUnits, cell(`${column}_unit`), (message) => refuse(`${column}_unit`, message)) ?? makersTon;
    const parsed = parseMark(withUnit(text, units[column]), {
      source,
      decimal,
      ...(basis && { basis }),
      ...(confirmedUnit && { confirmedUnit }),
    });
    if (parsed.kind === 'fault') refuse(column, parsed.message);
    else marks.push(parsed.mark);
  };
  for (let no = 1; no <= MARKS_IN_FILE; no++) {
    const basis = oneOf(markBases, cell(`mark_${no}_basis`), (message) => refuse(`mark_${no}_basis`, message));
    const source = oneOf(markSources, cell(`mark_${no}_source`), (message) => refuse(`mark_${no}_source`, message));
    read(`mark_${no}`, basis, source ?? 'label');
  }
  const loose = oneOf(markSources, cell('mark_1') === undefined ? cell('mark_1_source') : undefined, () => undefined) ?? 'label';
  read('wll', 'wll', loose);
  read('mbs', 'mbs', loose);
  return marks;
}

/** A bare number takes the unit that its heading names. */
function withUnit(text: string, unit: string | undefined): string {
  return unit !== undefined && /^[\d.,\s]+$/.test(text) ? `${text} ${unit}` : text;
}

function oneOf<T extends string>(options: readonly T[], text: string | undefined, refuse: (message: string) => undefined): T | undefined {
  if (text === undefined) return undefined;
  const name = text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[\s_]+/g, '-');
  return (
    options.find((option) => option.replaceAll(' ', '-') === name) ??
    refuse(`“${text}” is not known here; expected one of ${options.join(', ')}.`)
  );
}

function attributesOf(kind: GearClass, cell: CellReader, settings: ReadRowSettings, refuse: Refuse): RegisterRow['attributes'] {
  const found: Record<string, string | number | boolean> = {};
  const fields: { readonly [key: string]: Field } = gearClasses[kind].fields;
  for (const column of registerColumns) {
    const text = cell(column.key);
    if (column.attribute === undefined || text === undefined) continue;
    const field = fields[column.attribute.key];
    if (field === undefined) {
      refuse(column.key, `A ${gearClasses[kind].label.toLowerCase()} has no “${column.label}”; empty the cell or correct the class.`);
      continue;
    }
    const value = readAttribute(field, withUnit(text, settings.units[column.key]), settings.decimal);
    if (value.ok) found[column.attribute.key] = value.value;
    else refuse(column.key, value.message);
  }
  return found;
}

type AttributeCell = { readonly ok: true; readonly value: string | number | boolean } | { readonly ok: false; readonly message: string };

/** Reads one attribute as typed: quantities with their unit, choices by name, yes or no. SI out. */
export function readAttribute(field: Field, text: string, decimal: DecimalMark): AttributeCell {
  switch (field.type) {
    case 'text':
      return text.length <= 200 ? { ok: true, value: text } : { ok: false, message: `${text.length} characters; at most 200 fit here.` };
    case 'flag': {
      const word = text.toLowerCase();
      if (['yes', 'y', 'true', '1'].includes(word)) return { ok: true, value: true };
      return ['no', 'n', 'false', '0'].includes(word)
        ? { ok: true, value: false }
        : { ok: false, message: `“${text}” is neither yes nor no.` };
    }
    case 'choice': {
      const name = text
        .toLowerCase()
        .replace(/[’']/g, '')
        .replace(/[\s_]+/g, '-');
      const option = field.options.find((entry) => entry === name);
      return option
        ? { ok: true, value: option }
        : { ok: false, message: `“${text}” is not known here; expected one of ${field.options.join(', ')}.` };
    }
    case 'count':
    case 'number':
      return readNumber(field, text, decimal);
    default:
      return readMeasure(field, text, decimal);
  }
}

function readNumber(field: Extract<Field, { readonly max: number }>, text: string, decimal: DecimalMark): AttributeCell {
  const value = Number(decimal === ',' ? text.replace(',', '.') : text);
  if (!Number.isFinite(value) || value < 0 || value > field.max)
    return { ok: false, message: `“${text}” is not a number from 0 to ${field.max}.` };
  if (field.type === 'count' && !Number.isInteger(value)) return { ok: false, message: `“${text}” is not a whole number.` };
  return { ok: true, value };
}

function readMeasure(field: Extract<Field, { readonly max: number }>, text: string, decimal: DecimalMark): AttributeCell {
  const dimension = field.type === 'mass' ? 'mass' : field.type === 'force' ? 'force' : 'length';
  const negative = field.signed === true && /^\s*[-−]/.test(text);
  if (field.signed && /^\s*[-−]?\s*0+([.,]0+)?\s*(m|mm|cm|in|ft)?\s*$/.test(text)) return { ok: true, value: 0 };
  const parsed = parseQuantity(negative ? text.replace(/^\s*[-−]/, '') : text, { dimension, decimal });
  if (parsed.kind === 'fault') return { ok: false, message: parsed.message };
  if (parsed.kind === 'ambiguous') return { ok: false, message: `“${text}” does not say which ton; write tonne, short ton or long ton.` };
  const value = parsed.reading.valueSi * (negative ? -1 : 1);
  if (Math.abs(value) > field.max) return { ok: false, message: `“${text}” is beyond the most allowed here.` };
  return { ok: true, value };
}
