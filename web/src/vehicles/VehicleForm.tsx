import type { VehicleDetail } from '@wainrope/contract';
import { parseQuantity } from '@wainrope/core';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { problemOf, useAddVehicleMutation, useChangeVehicleMutation } from '../api/wainrope-api.ts';
import { useTeam } from '../gear/use-register.ts';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';

const FIELDS = [
  { key: 'massKg', label: 'Mass with its usual load', dimension: 'mass', example: '2 600 kg' },
  { key: 'lengthM', label: 'Length', dimension: 'length', example: '4.6 m' },
  { key: 'widthM', label: 'Width', dimension: 'length', example: '1.85 m' },
] as const;

type Values = { readonly name: string; readonly model: string } & { readonly [K in (typeof FIELDS)[number]['key']]: string };

/** Adds or changes a vehicle; sizes are typed with their units. */
export function VehicleForm({ before, done }: { readonly before?: VehicleDetail; readonly done: () => void }) {
  const { team } = useTeam();
  const [add, adding] = useAddVehicleMutation();
  const [change, changing] = useChangeVehicleMutation();
  const [typed, setTyped] = useState<{ readonly [path: string]: string }>({});
  const [base, setBase] = useState(before);
  const { register, handleSubmit } = useForm<Values>({
    defaultValues: before
      ? {
          name: before.name,
          model: before.model,
          massKg: `${before.massKg} kg`,
          lengthM: `${before.lengthM} m`,
          widthM: `${before.widthM} m`,
        }
      : { name: '', model: '', massKg: '', lengthM: '', widthM: '' },
  });
  const error = adding.error ?? changing.error;
  const problem = error && problemOf(error);
  const faults = { ...faultsByPath(problem), ...typed };
  const submit = handleSubmit(async ({ name, model, ...sizes }) => {
    const read = FIELDS.map(({ key, dimension }) => ({
      key,
      parsed: parseQuantity(sizes[key], { dimension, decimal: team?.decimalMark ?? '.' }),
    }));
    setTyped(
      Object.fromEntries(
        read.flatMap(({ key, parsed }) =>
          parsed.kind === 'understood' ? [] : [[key, parsed.kind === 'fault' ? parsed.message : 'Which ton? Write kg.']],
        ),
      ),
    );
    const values = Object.fromEntries(
      read.flatMap(({ key, parsed }) => (parsed.kind === 'understood' ? [[key, parsed.reading.valueSi]] : [])),
    ) as { massKg: number; lengthM: number; widthM: number };
    if (Object.keys(values).length < FIELDS.length) return;
    const content = { name, model, ...values };
    const answer = base
      ? await change({ vehicleId: base.vehicleId, vehicleChange: { ...content, rowVersion: base.rowVersion } })
      : await add({ vehicleCreate: { ...content, vehicleId: crypto.randomUUID() } });
    if (answer.data) return done();
    const refused = problemOf(answer.error);
    if (refused.status === 409) setBase(refused.current as VehicleDetail);
  });
  return (
    <form className="grid gap-3 py-3 sm:grid-cols-5" onSubmit={submit} noValidate>
      <Labelled label="Name" fault={faults.name}>
        <input {...register('name')} />
      </Labelled>
      <Labelled label="Model" fault={faults.model}>
        <input {...register('model')} />
      </Labelled>
      {FIELDS.map(({ key, label, example }) => (
        <Labelled key={key} label={label} fault={faults[key]}>
          <input {...register(key)} placeholder={example} />
        </Labelled>
      ))}
      {problem?.status === 409 && base && (
        <p role="alert" className="border-l-4 border-signal bg-amber-wash px-4 py-2 sm:col-span-5">
          Somebody saved {base.name} meanwhile: {base.model}, {base.massKg} kg, {base.lengthM} × {base.widthM} m. Yours still stands in the
          fields; Save puts it in the place of theirs, Cancel keeps theirs.
        </p>
      )}
      {problem && problem.status !== 409 && Object.keys(faultsByPath(problem)).length === 0 && <ProblemNote error={error} />}
      <div className="flex gap-2 sm:col-span-5">
        <button type="submit" className="action-main" disabled={adding.isLoading || changing.isLoading}>
          Save
        </button>
        <button type="button" className="action" onClick={done}>
          Cancel
        </button>
      </div>
    </form>
  );
}
