import type { VehicleDetail } from '@wainrope/contract';
import { length, mass, parseQuantity } from '@wainrope/core';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { problemOf, useAddVehicleMutation, useChangeVehicleMutation } from '../api/wainrope-api.ts';
import { useTeam } from '../register/use-register.ts';
import { ConflictNote } from '../shell/ConflictNote.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { useFigures } from '../shell/use-figures.ts';

const FIELDS = [
  { key: 'massKg', label: 'Mass with its usual load', dimension: 'mass', example: '2 600 kg' },
  { key: 'lengthM', label: 'Length', dimension: 'length', example: '4.6 m' },
  { key: 'widthM', label: 'Width', dimension: 'length', example: '1.85 m' },
] as const;

type Values = { readonly name: string; readonly model: string } & { readonly [K in (typeof FIELDS)[number]['key']]: string };

const formOf = (vehicle: VehicleDetail | undefined): Values =>
  vehicle
    ? {
        name: vehicle.name,
        model: vehicle.model,
        massKg: `${vehicle.massKg} kg`,
        lengthM: `${vehicle.lengthM} m`,
        widthM: `${vehicle.widthM} m`,
      }
    : { name: '', model: '', massKg: '', lengthM: '', widthM: '' };

type Sizes = Pick<Values, (typeof FIELDS)[number]['key']>;

interface ReadSizes {
  /** In SI units, where all of them are understood. */
  readonly values?: { readonly [K in keyof Sizes]: number };
  /** What is wrong, by field. */
  readonly wrong: { readonly [path: string]: string };
}

/** Sizes as typed, with their units. */
export function readSizes(sizes: Sizes, decimal: '.' | ','): ReadSizes {
  const wrong: { [path: string]: string } = {};
  const values = { massKg: 0, lengthM: 0, widthM: 0 };
  for (const { key, dimension } of FIELDS) {
    const parsed = parseQuantity(sizes[key], { dimension, decimal });
    if (parsed.kind === 'understood') values[key] = parsed.reading.valueSi;
    else wrong[key] = parsed.kind === 'fault' ? parsed.message : 'Which ton? Write kg.';
  }
  return Object.keys(wrong).length > 0 ? { wrong } : { wrong, values };
}

/** Adds or changes a vehicle; sizes are typed with their units. */
export function VehicleForm({ before, done }: { readonly before?: VehicleDetail; readonly done: () => void }) {
  const { team } = useTeam();
  const { figure } = useFigures();
  const [add, adding] = useAddVehicleMutation();
  const [change, changing] = useChangeVehicleMutation();
  const [typed, setTyped] = useState<{ readonly [path: string]: string }>({});
  const [base, setBase] = useState(before);
  const [conflict, setConflict] = useState<VehicleDetail>();
  const { register, handleSubmit, reset } = useForm<Values>({ defaultValues: formOf(before) });
  /** From here on the form stands on what somebody else saved. */
  const settle = () => {
    setBase(conflict);
    setConflict(undefined);
  };
  const error = adding.error ?? changing.error;
  const problem = error && problemOf(error);
  const faults = { ...faultsByPath(problem), ...typed };
  const submit = handleSubmit(async ({ name, model, ...sizes }) => {
    const { values, wrong } = readSizes(sizes, team?.decimalMark ?? '.');
    setTyped(wrong);
    if (!values) return;
    const content = { name, model, ...values };
    const answer = base
      ? await change({ vehicleId: base.vehicleId, vehicleChange: { ...content, rowVersion: base.rowVersion } })
      : await add({ vehicleCreate: { ...content, vehicleId: crypto.randomUUID() } });
    if (answer.data) return done();
    const refused = problemOf(answer.error);
    if (refused.status === 409) setConflict(refused.current as VehicleDetail);
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
      <div className="sm:col-span-5">
        {conflict && (
          <ConflictNote
            what={conflict.name}
            takeTheirs={() => {
              reset(formOf(conflict));
              settle();
            }}
            keepMine={settle}
          >
            <p>
              Theirs: {conflict.model}, {figure(mass(conflict.massKg))}, {figure(length(conflict.lengthM))} ×{' '}
              {figure(length(conflict.widthM))}. Yours stands in the fields.
            </p>
          </ConflictNote>
        )}
        {problem?.status !== 409 && <FormProblem error={error} shown={['name', 'model', ...FIELDS.map(({ key }) => key)]} />}
      </div>
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
