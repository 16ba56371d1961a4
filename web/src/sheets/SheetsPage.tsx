import type { SheetView } from '@wainrope/contract';
import { type GearClass, gearClasses, gearClassNames, limitKinds, measuredQuantities, standardSheets } from '@wainrope/core';
import { Plus, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Controller, type UseFormReturn, useFieldArray, useForm } from 'react-hook-form';
import { useSearchParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useListSheetsQuery, useSaveSheetMutation } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { Chosen } from '../fields/Chosen.tsx';
import { ConflictNote } from '../shell/ConflictNote.tsx';
import { moment } from '../shell/days.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { TeamTabs } from '../team/TeamTabs.tsx';
import { sheetOf, type TypedSheet, typedSheet } from './typed-sheet.ts';

const quantityWords = { length: 'm', 'small-length': 'mm', 'angle-deg': 'degrees', count: 'count', share: '%' } as const;
const limitWords = { loss: 'may lose, %', growth: 'may grow, %', 'at-most': 'at most' } as const;

/** What is looked at and measured on each class; a change is a new version, and inspections keep theirs. */
export function SheetsPage() {
  const { data, error, refetch } = useListSheetsQuery();
  const [params, setParams] = useSearchParams();
  const kind = gearClassNames.find((name) => name === params.get('class')) ?? 'steel-shackle';
  const view = data?.items.find((entry) => entry.kind === kind);
  return (
    <div className="page py-4">
      <TeamTabs title="Inspection sheets">
        <div className="w-72">
          <Choice
            label="Class"
            labelIsHidden
            value={kind}
            options={gearClassNames}
            words={(name) => gearClasses[name].plural}
            onChange={(name) => setParams({ class: name }, { replace: true })}
          />
        </div>
      </TeamTabs>
      <ProblemNote error={error} retry={refetch} />
      {!view && !error && <Loading what="the inspection sheets" />}
      {view && <SheetEditor key={kind} kind={kind} newest={view} />}
    </div>
  );
}

/** The sheet as typed: what it stands on, what others have saved since, and saving it as the next version. */
function useSheetForm(kind: GearClass, newest: SheetView) {
  const may = useMay();
  const [view, setView] = useState(newest);
  const editable = may('template.write');
  const [save, { error, isLoading }] = useSaveSheetMutation();
  const [fault, setFault] = useState<string>();
  const form = useForm<TypedSheet>({ defaultValues: typedSheet(view.sheet) });
  const { handleSubmit, reset, formState } = form;
  const takeNewest = (saved: SheetView) => {
    setView(saved);
    reset(typedSheet(saved.sheet));
  };
  const moved = newest.version > view.version;
  useEffect(() => {
    // What is not being changed here follows what others save.
    if (moved && !formState.isDirty) takeNewest(newest);
  });
  const submit = handleSubmit(async (typed) => {
    const read = sheetOf(typed, view.sheet);
    setFault(read.ok ? undefined : read.message);
    if (!read.ok) return;
    const answer = await save({
      gearClass: kind,
      sheetSave: { baseVersion: view.version, sheet: read.sheet, reason: typed.reason },
    });
    if (answer.data) takeNewest(answer.data);
  });
  const keepMine = () => setView(newest);
  const fillIn = () => reset({ ...typedSheet(standardSheets[kind]), reason: 'Back to the standard sheet' }, { keepDefaultValues: true });
  return { form, view, moved, editable, fault, error, isLoading, submit, takeNewest, keepMine, fillIn };
}

function SheetEditor({ kind, newest }: { readonly kind: GearClass; readonly newest: SheetView }) {
  const { form, view, moved, editable, fault, error, isLoading, submit, takeNewest, keepMine, fillIn } = useSheetForm(kind, newest);
  const { register, formState } = form;
  const problem = error && problemOf(error);
  return (
    <form onSubmit={submit} noValidate>
      {moved && formState.isDirty && (
        <ConflictNote what="this sheet" takeTheirs={() => takeNewest(newest)} keepMine={keepMine}>
          <p>
            Version {newest.version} by {newest.savedBy}: “{newest.reason}”. It has {newest.sheet.points.length} points and{' '}
            {newest.sheet.measures.length} measures.
          </p>
        </ConflictNote>
      )}
      <p className="pt-3 text-quiet">
        {view.version === 0
          ? 'The standard sheet.'
          : `Version ${view.version} by ${view.savedBy}, ${moment(view.savedAt ?? '')}: “${view.reason}”.`}{' '}
        Limits are usual trade figures; the maker’s instructions win.
      </p>
      <fieldset disabled={!editable} className="disabled:opacity-100">
        <div className="w-48 pt-3">
          <Labelled label="Months between inspections">
            <input inputMode="numeric" {...register('everyMonths')} />
          </Labelled>
        </div>
        <Points form={form} editable={editable} />
        <Measures form={form} editable={editable} />
      </fieldset>
      {editable && (
        <div className="max-w-xl space-y-3 pt-5">
          <Labelled label="Why does the sheet change?">
            <input {...register('reason')} />
          </Labelled>
          {fault && (
            <p role="alert" className="text-rust">
              {fault}
            </p>
          )}
          {problem?.status !== 409 && <ProblemNote error={error} />}
          <div className="flex flex-wrap gap-2">
            <button type="submit" className="action-main" disabled={isLoading || !formState.isDirty}>
              Save version {view.version + 1}
            </button>
            <button type="button" className="action" onClick={fillIn}>
              Fill in the standard sheet
            </button>
          </div>
        </div>
      )}
    </form>
  );
}

interface ListProps {
  readonly form: UseFormReturn<TypedSheet>;
  readonly editable: boolean;
}

function Points({ form: { control, register }, editable }: ListProps) {
  const points = useFieldArray({ control, name: 'points' });
  return (
    <>
      <h2 className="stitched mt-4 pb-1.5 text-xl">Look for</h2>
      <ul>
        {points.fields.map((field, index) => (
          <li key={field.id} className="grid items-center gap-2 border-b border-rule py-1.5 sm:grid-cols-[1fr_auto_auto]">
            <input aria-label={`Point ${index + 1}`} {...register(`points.${index}.look`)} />
            <label className="flex items-center gap-2">
              <Controller
                control={control}
                name={`points.${index}.immediate`}
                render={({ field: box }) => (
                  <input type="checkbox" checked={box.value} onChange={(event) => box.onChange(event.target.checked)} />
                )}
              />
              out of use at once
            </label>
            {editable && <Remove what={`point ${index + 1}`} act={() => points.remove(index)} />}
          </li>
        ))}
      </ul>
      {editable && (
        <button type="button" className="action mt-2" onClick={() => points.append({ id: '', look: '', immediate: false })}>
          <Plus size={16} aria-hidden="true" /> Add a point
        </button>
      )}
    </>
  );
}

function Measures({ form: { control, register }, editable }: ListProps) {
  const measures = useFieldArray({ control, name: 'measures' });
  return (
    <>
      <h2 className="stitched mt-5 pb-1.5 text-xl">Measure</h2>
      {measures.fields.length === 0 && <p className="pt-2 text-quiet">Nothing is measured on this class.</p>}
      <ul>
        {measures.fields.map((field, index) => (
          <li key={field.id} className="grid items-center gap-2 border-b border-rule py-1.5 sm:grid-cols-[1fr_7rem_9rem_6rem_auto]">
            <input aria-label={`Measure ${index + 1}`} {...register(`measures.${index}.label`)} />
            <Chosen
              control={control}
              name={`measures.${index}.quantity`}
              label={`Unit of measure ${index + 1}`}
              labelIsHidden
              options={measuredQuantities}
              words={(quantity) => quantityWords[quantity]}
            />
            <Chosen
              control={control}
              name={`measures.${index}.limitKind`}
              label={`Kind of limit ${index + 1}`}
              labelIsHidden
              options={limitKinds}
              words={(limit) => limitWords[limit]}
            />
            <input aria-label={`Limit ${index + 1}`} inputMode="decimal" {...register(`measures.${index}.limit`)} />
            {editable && <Remove what={`measure ${index + 1}`} act={() => measures.remove(index)} />}
          </li>
        ))}
      </ul>
      {editable && (
        <button
          type="button"
          className="action mt-2"
          onClick={() => measures.append({ id: '', label: '', quantity: 'small-length', limitKind: 'loss', limit: '10' })}
        >
          <Plus size={16} aria-hidden="true" /> Add a measure
        </button>
      )}
    </>
  );
}

function Remove({ what, act }: { readonly what: string; readonly act: () => void }) {
  return (
    <button type="button" className="action" aria-label={`Remove ${what}`} onClick={act}>
      <X size={16} aria-hidden="true" />
    </button>
  );
}
