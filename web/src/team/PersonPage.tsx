import type { PersonPage as PersonPageData } from '@wainrope/contract';
import { useForm } from 'react-hook-form';
import { Link, useParams } from 'react-router';
import { roleWords } from '../access/role-words.ts';
import { useMay } from '../access/use-session.ts';
import { problemOf, useAddPracticeMutation, useGetPersonQuery, useListPeopleQuery } from '../api/wainrope-api.ts';
import { Chosen } from '../fields/Chosen.tsx';
import { named } from '../fields/named.ts';
import { day } from '../shell/days.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { layoutNames } from './layout-names.ts';

/** A member's page: what they have practised, hold, and have inspected. */
export function PersonPage() {
  const { personId = '' } = useParams();
  const { data: page, error, refetch } = useGetPersonQuery({ personId });
  const may = useMay();
  return (
    <div className="page py-4">
      <p>
        <Link className="underline" to="/people">
          People
        </Link>
      </p>
      <ProblemNote error={error} retry={refetch} />
      {!page && !error && <Loading what="the person" />}
      {page && (
        <>
          <PageHeading title={page.person.name} about="person" className="border-b-2 border-ink pb-3 text-[28px]">
            {page.person.name} <span className="font-sans text-lg font-normal text-quiet">{roleWords[page.person.role]}</span>
          </PageHeading>
          <div className="grid gap-x-12 lg:grid-cols-2">
            <section>
              <h2 className="stitched mt-5 pb-1.5 text-xl">Practised</h2>
              {page.practised.length === 0 && <p className="pt-2 text-quiet">No layout noted yet.</p>}
              <ul>
                {page.practised.map(({ practiceId, layout, on, seenBy, note }) => (
                  <li key={practiceId} className="border-b border-rule py-1.5">
                    <strong>{layout}</strong> on {day(on)}, seen by {seenBy}
                    {note && <span className="block text-quiet">{note}</span>}
                  </li>
                ))}
              </ul>
              {may('practice.write') && <AddPractice personId={personId} />}
            </section>
            <section>
              <Holds page={page} />
              <Inspected page={page} />
            </section>
          </div>
        </>
      )}
    </div>
  );
}

function Holds({ page }: { readonly page: PersonPageData }) {
  return (
    <>
      <h2 className="stitched mt-5 pb-1.5 text-xl">Holds</h2>
      {page.holds.length === 0 && <p className="pt-2 text-quiet">Nothing is checked out to {page.person.name}.</p>}
      <ul>
        {page.holds.map(({ gearId, tag, name, since }) => (
          <li key={gearId} className="flex flex-wrap items-center gap-2 border-b border-rule py-1.5">
            <Link to={`/gear/${gearId}`}>
              <Tag code={tag} />
            </Link>
            {name} <span className="text-quiet">since {day(since)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

function Inspected({ page }: { readonly page: PersonPageData }) {
  return (
    <>
      <h2 className="stitched mt-5 pb-1.5 text-xl">Inspected</h2>
      <p className="pt-2 text-quiet">
        {page.inspections === 0 ? 'No inspection on record.' : `${page.inspections} inspections on record.`}
      </p>
      <ul>
        {page.inspected.map(({ inspectionId, gearId, tag, name, on, grade }) => (
          <li key={inspectionId} className="flex flex-wrap items-center gap-2 border-b border-rule py-1.5">
            <Link to={`/gear/${gearId}`}>
              <Tag code={tag} />
            </Link>
            <span>{name}</span>
            <span className="ml-auto text-quiet">
              {grade && `grade ${grade}, `}
              {day(on)}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function AddPractice({ personId }: { readonly personId: string }) {
  const { data: people } = useListPeopleQuery();
  const [add, { error, isLoading }] = useAddPracticeMutation();
  const { register, control, handleSubmit, reset } = useForm({
    defaultValues: { layout: layoutNames[0] ?? '', on: '', seenBy: '', note: '' },
  });
  const faults = faultsByPath(error && problemOf(error));
  const witnesses = (people?.items ?? [])
    .filter((entry) => !entry.left && entry.personId !== personId)
    .map((entry) => [entry.personId, entry.name] as const);
  const submit = handleSubmit(async ({ note, ...values }) => {
    const practice = { ...values, practiceId: crypto.randomUUID(), ...(note && { note }) };
    const answer = await add({ personId, practiceCreate: practice });
    if (answer.data) reset();
  });
  return (
    <form onSubmit={submit} noValidate className="grid grid-cols-2 gap-3 pt-3">
      <Chosen control={control} name="layout" label="Layout practised" options={layoutNames} words={(name) => name} fault={faults.layout} />
      <Labelled label="On" fault={faults.on}>
        <input type="date" {...register('on')} />
      </Labelled>
      <Chosen control={control} name="seenBy" label="Seen by" {...named(witnesses)} fault={faults.seenBy} />
      <Labelled label="Note">
        <input {...register('note')} />
      </Labelled>
      <div className="col-span-2 empty:hidden">
        <FormProblem error={error} shown={['layout', 'on', 'seenBy']} />
      </div>
      <span>
        <button type="submit" className="action" disabled={isLoading}>
          Note the practice
        </button>
      </span>
    </form>
  );
}
