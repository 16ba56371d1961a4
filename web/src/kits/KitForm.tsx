import type { KitDetail } from '@wainrope/contract';
import { gearClasses, gearClassNames, parseQuantity, type Terrain, terrainLists, terrains, type Wanted } from '@wainrope/core';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { type UseFormReturn, useFieldArray, useForm } from 'react-hook-form';
import { problemOf, useChangeKitMutation } from '../api/wainrope-api.ts';
import { Chosen } from '../fields/Chosen.tsx';
import { named } from '../fields/named.ts';
import { useTeam } from '../register/use-register.ts';
import { ConflictNote } from '../shell/ConflictNote.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { terrainWords } from './kit-words.ts';

interface FormLine {
  readonly kind: Wanted['kind'];
  readonly count: string;
  readonly least: string;
}

interface FormValues {
  readonly name: string;
  readonly terrain: Terrain | '';
  readonly vehicleId: string;
  readonly note: string;
  readonly lines: FormLine[];
}

const lineOf = ({ kind, count, leastWllN }: Wanted): FormLine => ({
  kind,
  count: String(count),
  least: leastWllN === undefined ? '' : `${leastWllN / 1000} kN`,
});

const formOf = (kit: KitDetail): FormValues => ({
  name: kit.name,
  terrain: kit.terrain ?? '',
  vehicleId: kit.vehicleId ?? '',
  note: kit.note ?? '',
  lines: kit.wanted.map(lineOf),
});

type ReadLines = { readonly ok: true; readonly wanted: readonly Wanted[] } | { readonly ok: false; readonly message: string };

/** The packing list as typed; the first line that is not understood is named. */
export function readLines(lines: readonly FormLine[], decimal: '.' | ','): ReadLines {
  const wanted: Wanted[] = [];
  for (const { kind, count, least } of lines) {
    const pieces = Number(count);
    const label = gearClasses[kind].label;
    if (!Number.isInteger(pieces) || pieces < 1 || pieces > 100)
      return { ok: false, message: `${label}: “${count}” is not a count from 1 to 100.` };
    if (least.trim() === '') {
      wanted.push({ kind, count: pieces });
      continue;
    }
    const parsed = parseQuantity(least, { dimension: 'force', decimal });
    if (parsed.kind !== 'understood')
      return {
        ok: false,
        message: `${label}: ${parsed.kind === 'fault' ? parsed.message : `“${least}” can be read as more than one ton; write t, kN or lbf.`}`,
      };
    wanted.push({ kind, count: pieces, leastWllN: parsed.reading.valueSi });
  }
  return { ok: true, wanted };
}

/** A kit as typed: what it stands on, what somebody else saved meanwhile, and saving it. */
function useKitForm(kit: KitDetail, done: () => void) {
  const { team } = useTeam();
  const [base, setBase] = useState(kit);
  const [conflict, setConflict] = useState<KitDetail>();
  const [fault, setFault] = useState<string>();
  const [change, { error, isLoading }] = useChangeKitMutation();
  const form = useForm<FormValues>({ defaultValues: formOf(kit) });
  const { handleSubmit, reset } = form;
  /** From here on the form stands on what somebody else saved. */
  const settle = () => {
    if (conflict) setBase(conflict);
    setConflict(undefined);
  };
  const submit = handleSubmit(async ({ name, terrain, vehicleId, note, lines }) => {
    const read = readLines(lines, team?.decimalMark ?? '.');
    setFault(read.ok ? undefined : read.message);
    if (!read.ok) return;
    const input = { name, wanted: read.wanted, ...(terrain && { terrain }), ...(vehicleId && { vehicleId }), ...(note && { note }) };
    const answer = await change({ kitId: kit.kitId, kitChange: { ...input, rowVersion: base.rowVersion } });
    if (answer.data) return done();
    const refused = problemOf(answer.error);
    if (refused.status === 409) setConflict(refused.current as KitDetail);
  });
  const takeTheirs = () => {
    if (conflict) reset(formOf(conflict));
    settle();
  };
  return { form, conflict, takeTheirs, settle, fault, error, isLoading, submit };
}

/** Name, ground, vehicle and packing list of a kit. */
export function KitForm({ kit, done }: { readonly kit: KitDetail; readonly done: () => void }) {
  const { form, conflict, takeTheirs, settle, fault, error, isLoading, submit } = useKitForm(kit, done);
  const { getValues } = form;
  const problem = error && problemOf(error);
  const faults = faultsByPath(problem);
  return (
    <form className="border-b-2 border-ink py-4" onSubmit={submit} noValidate>
      {conflict && (
        <ConflictNote what={conflict.name} takeTheirs={takeTheirs} keepMine={settle}>
          <p>
            Theirs: {conflict.name}, {conflict.wanted.length} lines. Yours: {getValues('name')}, {getValues('lines').length} lines.
          </p>
        </ConflictNote>
      )}
      <KitFields form={form} fault={faults.name} />
      <PackingList form={form} />
      {fault && (
        <p role="alert" className="text-rust">
          {fault}
        </p>
      )}
      {problem?.status !== 409 && <FormProblem error={error} shown={['name']} />}
      <div className="flex gap-2 pt-3">
        <button type="submit" className="action-main" disabled={isLoading}>
          Save
        </button>
      </div>
    </form>
  );
}

interface PartProps {
  readonly form: UseFormReturn<FormValues>;
}

function KitFields({ form: { register, control }, fault }: PartProps & { readonly fault: string | undefined }) {
  const { team } = useTeam();
  const vehicles = (team?.vehicles ?? []).map(({ vehicleId, name }) => [vehicleId, name] as const);
  return (
    <div className="grid gap-3 sm:grid-cols-4">
      <Labelled label="Name" fault={fault}>
        <input {...register('name')} />
      </Labelled>
      <Chosen
        control={control}
        name="terrain"
        label="Ground"
        options={['', ...terrains]}
        words={(entry) => (entry === '' ? 'any' : terrainWords[entry])}
      />
      <Chosen control={control} name="vehicleId" label="Travels on" {...named(vehicles, 'no vehicle')} />
      <Labelled label="Note">
        <input {...register('note')} />
      </Labelled>
    </div>
  );
}

/** What the kit should hold, line by line, or as a ground asks for it. */
function PackingList({ form: { register, control, setValue } }: PartProps) {
  const { fields, append, remove, replace } = useFieldArray({ control, name: 'lines' });
  return (
    <>
      <h3 className="pt-4 text-lg">Should hold</h3>
      <div className="flex flex-wrap gap-2 pt-1">
        {terrains.map((entry) => (
          <button
            key={entry}
            type="button"
            className="action"
            onClick={() => {
              replace(terrainLists[entry].map(lineOf));
              setValue('terrain', entry);
            }}
          >
            List for {terrainWords[entry].toLowerCase()}
          </button>
        ))}
      </div>
      <ul className="pt-2">
        {fields.map((field, index) => (
          <li
            key={field.id}
            className="grid grid-cols-[4rem_1fr_auto] items-end gap-2 border-b border-rule py-1.5 sm:grid-cols-[5rem_1.5fr_1fr_auto]"
          >
            <input aria-label="How many" inputMode="numeric" {...register(`lines.${index}.count`)} />
            <Chosen
              control={control}
              name={`lines.${index}.kind`}
              label="Class"
              labelIsHidden
              options={gearClassNames}
              words={(name) => gearClasses[name].label}
            />
            <input
              aria-label="Least working limit"
              placeholder="least working limit, e.g. 20 kN"
              className="order-last col-span-3 sm:order-none sm:col-span-1"
              {...register(`lines.${index}.least`)}
            />
            <button type="button" className="action" aria-label="Remove the line" onClick={() => remove(index)}>
              <X size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="action mt-2" onClick={() => append({ kind: 'soft-shackle', count: '1', least: '' })}>
        <Plus size={16} aria-hidden="true" /> Add a line
      </button>
    </>
  );
}
