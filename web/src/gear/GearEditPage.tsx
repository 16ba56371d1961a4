import type { GearView } from '@wainrope/contract';
import { type Field, gearClasses, gearClassNames, gearStates, keyWords } from '@wainrope/core';
import { type Control, type UseFormRegister, useForm, useWatch } from 'react-hook-form';
import { Link, useParams } from 'react-router';
import { useGetGearQuery } from '../api/wainrope-api.ts';
import { Chosen } from '../fields/Chosen.tsx';
import { named } from '../fields/named.ts';
import { stateWords } from '../register/gear-words.ts';
import { useTeam } from '../register/use-register.ts';
import { ConflictNote } from '../shell/ConflictNote.tsx';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { emptyForm, formOf, type GearFormValues } from './gear-form-values.ts';
import { MarkFields } from './MarkFields.tsx';
import { useGearSave } from './use-gear-save.ts';

export function GearEditPage() {
  const { gearId } = useParams();
  const { data, error } = useGetGearQuery({ gearId: gearId ?? '' }, { skip: gearId === undefined, refetchOnMountOrArgChange: true });
  if (gearId !== undefined && !data)
    return <div className="p-5">{error ? <ProblemNote error={error} /> : <Loading what="the piece" />}</div>;
  return <GearForm key={gearId ?? 'new'} before={data} />;
}

function GearForm({ before }: { readonly before: GearView | undefined }) {
  const { team } = useTeam();
  const form = useForm<GearFormValues>({ defaultValues: before ? formOf(before) : emptyForm });
  const { register, control, reset } = form;
  const { submit, submitAnother, saved, base, conflict, settle, faults, problem, busy } = useGearSave(before, form);
  const kind = useWatch({ control, name: 'kind' });
  const decimal = team?.decimalMark ?? '.';
  return (
    <form onSubmit={submit} noValidate className="page py-4">
      <div className="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-3">
        <PageHeading title={before ? `Edit ${before.tag}` : 'Add a piece'} />
        <div className="ml-auto flex gap-2">
          <Link className="action" to={before ? `/gear/${before.gearId}` : '/gear'}>
            Cancel
          </Link>
          {!before && (
            <button type="button" className="action" disabled={busy} onClick={submitAnother}>
              Save and add another
            </button>
          )}
          <button type="submit" className="action-main" disabled={busy}>
            Save
          </button>
        </div>
      </div>
      {saved && (
        <p role="status" className="mt-3 border-l-4 border-moss pl-3">
          <Link className="underline" to={`/gear/${saved.gearId}`}>
            {saved.tag} {saved.name}
          </Link>{' '}
          is saved. This is the next one, with the same particulars; check its marks.
        </p>
      )}
      {conflict && base && (
        <Conflict
          mine={base}
          theirs={conflict}
          takeTheirs={() => {
            reset(formOf(conflict));
            settle();
          }}
          keepMine={settle}
        />
      )}
      <div className="mt-3">
        <ProblemNote error={problem} />
      </div>
      <div className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-2">
        <div className="space-y-3">
          <IdentityFields register={register} control={control} faults={faults} kind={kind} />
          <MarkFields control={control} register={register} setValue={form.setValue} decimal={decimal} kind={kind} faults={faults} />
          {kind && <AttributeFields kind={kind} register={register} control={control} faults={faults} />}
        </div>
        <WhereaboutsFields register={register} control={control} faults={faults} team={team} existing={before !== undefined} />
      </div>
    </form>
  );
}

interface FieldsProps {
  readonly register: UseFormRegister<GearFormValues>;
  readonly control: Control<GearFormValues>;
  readonly faults: { readonly [path: string]: string };
}

function IdentityFields({ register, control, faults, kind }: FieldsProps & { readonly kind: GearFormValues['kind'] }) {
  return (
    <>
      <Chosen
        control={control}
        name="kind"
        label="Class"
        options={gearClassNames}
        words={(name) => gearClasses[name].label}
        fault={faults.kind}
      />
      <div className="grid grid-cols-[1fr_2fr] gap-3">
        <Labelled label="Tag" fault={faults.tag}>
          <input {...register('tag')} className="font-mono" aria-invalid={faults.tag !== undefined} autoComplete="off" />
        </Labelled>
        <Labelled label="Name" fault={faults.name}>
          <input {...register('name')} aria-invalid={faults.name !== undefined} placeholder={kind ? gearClasses[kind].label : ''} />
        </Labelled>
      </div>
    </>
  );
}

/** State, owner, place and dates. */
interface WhereaboutsProps extends FieldsProps {
  readonly team: ReturnType<typeof useTeam>['team'];
  /** The state of a piece that is in the register changes by inspection, quarantine or retiring only. */
  readonly existing: boolean;
}

type PlainField = Exclude<
  keyof GearFormValues,
  'kind' | 'tag' | 'name' | 'state' | 'marks' | 'attributes' | 'overloadsSinceInspection' | 'kitId' | 'vehicleId' | 'note'
>;

/** Every other field of a piece, each a line of words, a day, or as much of a day as is known, in the order of the form. */
const PLAIN_FIELDS: { readonly [F in PlainField]: { readonly label: string; readonly type: 'text' | 'date' | 'partial' } } = {
  maker: { label: 'Maker', type: 'text' },
  model: { label: 'Model', type: 'text' },
  batch: { label: 'Batch or lot', type: 'text' },
  owner: { label: 'Owner', type: 'text' },
  madeOn: { label: 'Made', type: 'partial' },
  boughtOn: { label: 'Bought', type: 'partial' },
  firstUsedOn: { label: 'First used', type: 'partial' },
  renewedUntil: { label: 'Renewed until', type: 'date' },
};
const plainFields = Object.keys(PLAIN_FIELDS) as readonly PlainField[];

function WhereaboutsFields({ register, control, faults, team, existing }: WhereaboutsProps) {
  const kits = (team?.kits ?? []).map(({ kitId, name }) => [kitId, name] as const);
  const vehicles = (team?.vehicles ?? []).map(({ vehicleId, name }) => [vehicleId, name] as const);
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-2 gap-3">
        <Chosen
          control={control}
          name="state"
          label="State"
          options={gearStates}
          words={(state) => stateWords[state]}
          disabled={existing}
          fault={faults.state}
        />
        <Labelled label="Overloads since inspection" fault={faults.overloadsSinceInspection}>
          <input {...register('overloadsSinceInspection')} inputMode="numeric" />
        </Labelled>
        <Chosen control={control} name="kitId" label="Kit" {...named(kits, 'in no kit')} fault={faults.kitId} />
        <Chosen control={control} name="vehicleId" label="On vehicle" {...named(vehicles, 'no vehicle')} fault={faults.vehicleId} />
        {plainFields.map((key) => (
          <Labelled key={key} label={PLAIN_FIELDS[key].label} fault={faults[key]}>
            {PLAIN_FIELDS[key].type === 'partial' ? (
              <input placeholder="2021, 03/2021 or 2021-03-14" {...register(key)} />
            ) : (
              <input type={PLAIN_FIELDS[key].type} {...register(key)} />
            )}
          </Labelled>
        ))}
      </div>
      <Labelled label="Note" fault={faults.note}>
        <textarea rows={4} {...register('note')} />
      </Labelled>
    </div>
  );
}

interface AttributeFieldsProps extends FieldsProps {
  readonly kind: keyof typeof gearClasses;
}

const EXAMPLES: { readonly [type: string]: string } = { length: '2.4 m', 'small-length': '12 mm', mass: '1.1 kg', force: '16 kN' };

function AttributeFields({ kind, register, control, faults }: AttributeFieldsProps) {
  const fields = Object.entries<Field>(gearClasses[kind].fields);
  return (
    <fieldset>
      <legend className="font-head text-xl font-semibold">Sizes and make-up</legend>
      <p className="text-quiet">With their unit. What is unknown stays empty; a check that needs it will ask.</p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        {fields.map(([key, field]) =>
          field.type === 'choice' || field.type === 'flag' ? (
            <Chosen
              key={key}
              control={control}
              name={`attributes.${key}`}
              label={field.label}
              options={['', ...(field.type === 'choice' ? field.options : ['yes', 'no'])]}
              words={(option) => (option === '' ? 'not known' : keyWords(option))}
              fault={faults[`attributes.${key}`]}
            />
          ) : (
            <Labelled key={key} label={field.label} fault={faults[`attributes.${key}`]}>
              <input
                {...register(`attributes.${key}`)}
                placeholder={EXAMPLES[field.type] ?? ''}
                aria-invalid={faults[`attributes.${key}`] !== undefined}
                autoComplete="off"
              />
            </Labelled>
          ),
        )}
      </div>
    </fieldset>
  );
}

interface ConflictProps {
  readonly mine: GearView;
  readonly theirs: GearView;
  readonly takeTheirs: () => void;
  readonly keepMine: () => void;
}

/** Somebody saved first: what they changed, and the choice. */
function Conflict({ mine, theirs, takeTheirs, keepMine }: ConflictProps) {
  const [was, now] = [formOf(mine), formOf(theirs)];
  const changed = (Object.keys(now) as (keyof GearFormValues)[]).filter((key) => JSON.stringify(was[key]) !== JSON.stringify(now[key]));
  return (
    <ConflictNote what={theirs.tag} takeTheirs={takeTheirs} keepMine={keepMine}>
      <ul className="list-disc pl-5">
        {changed.map((key) => (
          <li key={key}>
            {key}: <span className="line-through">{JSON.stringify(was[key])}</span> → {JSON.stringify(now[key])}
          </li>
        ))}
      </ul>
    </ConflictNote>
  );
}
