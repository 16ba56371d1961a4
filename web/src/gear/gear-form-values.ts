import { GearInput, type GearView, readAttribute, writeAttribute } from '@wainrope/contract';
import {
  type DecimalMark,
  type Field,
  type GearClass,
  gearClasses,
  type MarkBasis,
  type MarkSource,
  parseDate,
  type TonUnit,
} from '@wainrope/core';

/** What is no plain text in the form. */
interface ChosenValues {
  readonly kind: GearClass | '';
  readonly state: GearView['state'];
  readonly marks: {
    readonly asWritten: string;
    readonly basis: MarkBasis | '';
    readonly source: MarkSource;
    readonly confirmedUnit: TonUnit | '';
  }[];
  readonly attributes: { readonly [key: string]: string };
}

/** What stands in the form’s fields, everything as typed: a field for whatever a person enters about a piece. */
export type GearFormValues = ChosenValues & { readonly [F in Exclude<keyof GearInput, keyof ChosenValues>]: string };

export const emptyForm: GearFormValues = {
  tag: '',
  kind: '',
  name: '',
  state: 'in-use',
  maker: '',
  model: '',
  batch: '',
  owner: '',
  kitId: '',
  vehicleId: '',
  madeOn: '',
  boughtOn: '',
  firstUsedOn: '',
  renewedUntil: '',
  note: '',
  overloadsSinceInspection: '0',
  marks: [{ asWritten: '', basis: '', source: 'stamped', confirmedUnit: '' }],
  attributes: {},
};

/** A piece as the form shows it; measures in the unit their kind is usually typed in. */
export function formOf(gear: GearView): GearFormValues {
  const fields: { readonly [key: string]: Field } = gearClasses[gear.kind].fields;
  const attributes = Object.fromEntries(
    Object.entries(gear.attributes as Record<string, string | number | boolean>).map(([key, value]) => [
      key,
      fields[key] ? typedAttribute(fields[key], value) : String(value),
    ]),
  );
  const {
    tag,
    kind,
    name,
    state,
    maker = '',
    model = '',
    batch = '',
    owner = '',
    kitId = '',
    vehicleId = '',
    madeOn = '',
    boughtOn = '',
    firstUsedOn = '',
    renewedUntil = '',
    note = '',
  } = gear;
  return {
    tag,
    kind,
    name,
    state,
    maker,
    model,
    batch,
    owner,
    kitId,
    vehicleId,
    madeOn,
    boughtOn,
    firstUsedOn,
    renewedUntil,
    note,
    overloadsSinceInspection: String(gear.overloadsSinceInspection),
    marks: gear.marks.map(({ asWritten, basis, source, confirmedUnit }) => ({
      asWritten,
      basis,
      source,
      confirmedUnit: confirmedUnit ?? ('' as const),
    })),
    attributes,
  };
}

/** The form for the next piece of the same sort: its tag counted on, nothing that is one piece's own. */
export function anotherOf(values: GearFormValues): GearFormValues {
  const attributes = Object.fromEntries(Object.entries(values.attributes).filter(([key]) => key !== 'pullsUsed'));
  return { ...values, tag: nextTag(values.tag), attributes, state: 'in-use', overloadsSinceInspection: '0', note: '' };
}

/** `SH-09` → `SH-10`; a tag that ends in no figure is to be typed. */
function nextTag(tag: string): string {
  const [, stem = '', figures] = /^(.*?)(\d{1,9})$/.exec(tag.trim()) ?? [];
  return figures === undefined ? '' : `${stem}${String(Number(figures) + 1).padStart(figures.length, '0')}`;
}

/** Millimetres for small lengths where that loses nothing, else as the register’s file has it. */
function typedAttribute(field: Field, value: string | number | boolean): string {
  if (field.type !== 'small-length' || typeof value !== 'number') return writeAttribute(field, value);
  const millimetres = `${Number((value * 1000).toPrecision(12))} mm`;
  const back = readAttribute(field, millimetres, '.');
  return back.ok && back.value === value ? millimetres : writeAttribute(field, value);
}

export interface FormFault {
  readonly path: string;
  readonly message: string;
}

export type FormOutcome = { readonly ok: true; readonly input: GearInput } | { readonly ok: false; readonly faults: readonly FormFault[] };

/** The dates of a piece, each as far as it is known, from what was typed. */
function datesOf(values: GearFormValues, faults: FormFault[]): PartialDates {
  const dates: PartialDates = {};
  for (const key of PARTIAL) {
    if (values[key].trim() === '') continue;
    const parsed = parseDate(values[key]);
    if (parsed.kind === 'date') dates[key] = parsed.date;
    else if (parsed.kind === 'fault') faults.push({ path: key, message: parsed.message });
    else
      faults.push({ path: key, message: `“${values[key]}” may be ${parsed.dayFirst} or ${parsed.monthFirst}; write it as one of these.` });
  }
  return dates;
}
const PARTIAL = ['madeOn', 'boughtOn', 'firstUsedOn'] as const;
type PartialDates = { [key in (typeof PARTIAL)[number]]?: string };

/** The form as the API takes it, or every field that cannot be read. */
export function inputOf(values: GearFormValues, decimal: DecimalMark): FormOutcome {
  const faults: FormFault[] = [];
  if (values.kind === '') return { ok: false, faults: [{ path: 'kind', message: 'Choose a class.' }] };
  const attributes: Record<string, unknown> = {};
  for (const [key, field] of Object.entries<Field>(gearClasses[values.kind].fields)) {
    const text = values.attributes[key]?.trim() ?? '';
    if (text === '') continue;
    const read = readAttribute(field, text, decimal);
    if (read.ok) attributes[key] = read.value;
    else faults.push({ path: `attributes.${key}`, message: read.message });
  }
  if (!/^\d{1,6}$/.test(values.overloadsSinceInspection.trim()))
    faults.push({ path: 'overloadsSinceInspection', message: 'Expected a whole number, 0 or more.' });
  const dates = datesOf(values, faults);
  if (faults.length > 0) return { ok: false, faults };
  const { tag, kind, name, state, marks: typedMarks, attributes: _read, overloadsSinceInspection, ...optional } = values;
  const given = Object.fromEntries(
    Object.entries({ ...optional, ...dates })
      .map(([key, value]) => [key, value.trim()])
      .filter(([, value]) => value !== ''),
  );
  const marks = typedMarks
    .filter(({ asWritten }) => asWritten.trim() !== '')
    .map(({ asWritten, basis, source, confirmedUnit }) => ({
      asWritten: asWritten.trim(),
      source,
      ...(basis !== '' && { basis }),
      ...(confirmedUnit !== '' && { confirmedUnit }),
    }));
  const input = Object.assign(new GearInput(), {
    tag: tag.trim(),
    kind,
    name: name.trim() || gearClasses[values.kind].label,
    state,
    marks,
    attributes,
    overloadsSinceInspection: Number(overloadsSinceInspection),
    ...given,
  });
  return { ok: true, input };
}
