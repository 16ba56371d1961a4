import { GearInput, type GearView, readAttribute, writeAttribute } from '@wainrope/contract';
import { type DecimalMark, type Field, type GearClass, gearClasses, type MarkBasis, type MarkSource, type TonUnit } from '@wainrope/core';

/** What stands in the form’s fields: everything as typed. */
export interface GearFormValues {
  readonly tag: string;
  readonly kind: GearClass | '';
  readonly name: string;
  readonly state: GearView['state'];
  readonly maker: string;
  readonly model: string;
  readonly owner: string;
  readonly kitId: string;
  readonly vehicleId: string;
  readonly madeOn: string;
  readonly boughtOn: string;
  readonly firstUsedOn: string;
  readonly renewedUntil: string;
  readonly note: string;
  readonly overloadsSinceInspection: string;
  readonly marks: {
    readonly asWritten: string;
    readonly basis: MarkBasis | '';
    readonly source: MarkSource;
    readonly confirmedUnit: TonUnit | '';
  }[];
  readonly attributes: { readonly [key: string]: string };
}

export const emptyForm: GearFormValues = {
  tag: '',
  kind: '',
  name: '',
  state: 'in-use',
  maker: '',
  model: '',
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

/** Millimetres for small lengths where that loses nothing, else the register’s own loss-free form. */
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
  if (faults.length > 0) return { ok: false, faults };
  const optional = ['maker', 'model', 'owner', 'kitId', 'vehicleId', 'madeOn', 'boughtOn', 'firstUsedOn', 'renewedUntil', 'note'] as const;
  const given = Object.fromEntries(optional.map((key) => [key, values[key].trim()]).filter(([, value]) => value !== ''));
  const marks = values.marks
    .filter(({ asWritten }) => asWritten.trim() !== '')
    .map(({ asWritten, basis, source, confirmedUnit }) => ({
      asWritten: asWritten.trim(),
      source,
      ...(basis !== '' && { basis }),
      ...(confirmedUnit !== '' && { confirmedUnit }),
    }));
  const input = Object.assign(new GearInput(), {
    tag: values.tag.trim(),
    kind: values.kind,
    name: values.name.trim() || gearClasses[values.kind].label,
    state: values.state,
    marks,
    attributes,
    overloadsSinceInspection: Number(values.overloadsSinceInspection),
    ...given,
  });
  return { ok: true, input };
}
