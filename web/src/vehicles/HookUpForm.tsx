import { type HookUpKind, hookUpKinds } from '@wainrope/contract';
import { parseQuantity } from '@wainrope/core';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { problemOf, useWriteHookUpMutation } from '../api/wainrope-api.ts';
import { Chosen } from '../fields/Chosen.tsx';
import { useTeam } from '../register/use-register.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { hookUpWords } from './HookUpList.tsx';

interface Values {
  readonly model: string;
  readonly kind: HookUpKind;
  readonly place: string;
  readonly load: string;
  readonly height: string;
  readonly radius: string;
  readonly note: string;
}

/** A typed quantity: its value, or what is wrong with it; neither where nothing is typed. */
function reading(typed: string, dimension: 'force' | 'length', decimal: '.' | ','): { readonly value?: number; readonly fault?: string } {
  if (!typed.trim()) return {};
  const read = parseQuantity(typed, { dimension, decimal });
  if (read.kind === 'understood') return { value: read.reading.valueSi };
  return { fault: read.kind === 'fault' ? read.message : 'Which ton? Write t, kN or lbf.' };
}

/** An entry of the hook-up book: a place, what came of it, the load it held. */
export function HookUpForm({ model = '', done }: { readonly model?: string; readonly done?: () => void }) {
  const { team } = useTeam();
  const [write, { error, isLoading }] = useWriteHookUpMutation();
  const [typed, setTyped] = useState<{ readonly [path: string]: string }>({});
  const { register, control, handleSubmit, reset, watch } = useForm<Values>({
    defaultValues: { model, kind: 'used', place: '', load: '', height: '', radius: '', note: '' },
  });
  const faults = { ...faultsByPath(error && problemOf(error)), ...typed };
  const submit = handleSubmit(async ({ load, height, radius, note, ...entry }) => {
    const decimal = team?.decimalMark ?? '.';
    const touched = entry.kind === 'touched';
    const read = {
      loadN: reading(touched ? '' : load, 'force', decimal),
      heightM: reading(height, 'length', decimal),
      radiusM: reading(touched ? radius : '', 'length', decimal),
    };
    const wrong = Object.fromEntries(Object.entries(read).flatMap(([path, { fault }]) => (fault === undefined ? [] : [[path, fault]])));
    setTyped(wrong);
    if (Object.keys(wrong).length > 0) return;
    const figures = Object.fromEntries(Object.entries(read).flatMap(([path, { value }]) => (value === undefined ? [] : [[path, value]])));
    const answer = await write({ hookUpCreate: { ...entry, entryId: crypto.randomUUID(), ...figures, ...(note && { note }) } });
    if (!answer.data) return;
    reset();
    done?.();
  });
  return (
    <form className="grid items-start gap-3 py-3 sm:grid-cols-6" onSubmit={submit} noValidate>
      <Labelled label="Model" fault={faults.model}>
        <input {...register('model')} readOnly={model !== ''} />
      </Labelled>
      <Chosen control={control} name="kind" label="What is it" options={hookUpKinds} words={(kind) => hookUpWords[kind]} />
      <div className="sm:col-span-2">
        <Labelled label="Where on the vehicle" fault={faults.place}>
          <input {...register('place')} placeholder="Rear cross-member, between the exhausts" />
        </Labelled>
      </div>
      {watch('kind') === 'touched' ? (
        <Labelled label="Radius of its edge" fault={faults.radiusM}>
          <input {...register('radius')} placeholder="12 mm" />
        </Labelled>
      ) : (
        <Labelled label="Load it held" fault={faults.loadN}>
          <input {...register('load')} placeholder="14 kN" />
        </Labelled>
      )}
      <Labelled label="Height" fault={faults.heightM}>
        <input {...register('height')} placeholder="0.5 m" />
      </Labelled>
      <div className="sm:col-span-4">
        <Labelled label="What to know about it">
          <input {...register('note')} />
        </Labelled>
      </div>
      <div className="flex items-end gap-2 sm:col-span-2 sm:pt-[1.35rem]">
        <button type="submit" className="action-main" disabled={isLoading}>
          Write it down
        </button>
        {done && (
          <button type="button" className="action" onClick={done}>
            Cancel
          </button>
        )}
      </div>
      <FormProblem error={error} shown={['model', 'place', 'loadN', 'radiusM', 'heightM']} />
    </form>
  );
}
