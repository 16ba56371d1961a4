import { type PersonListed, type PersonRole, personRoles } from '@wainrope/contract';
import { Copy, UserPlus } from 'lucide-react';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { roleLines, roleWords } from '../access/role-words.ts';
import { useMay } from '../access/use-session.ts';
import {
  problemOf,
  useAddPersonMutation,
  useChangePersonMutation,
  useInvitePersonMutation,
  useListPeopleQuery,
} from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { Chosen } from '../fields/Chosen.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { IfHurt } from './IfHurt.tsx';
import { TeamTabs } from './TeamTabs.tsx';

export function PeoplePage() {
  const { data, error, refetch } = useListPeopleQuery();
  const may = useMay();
  const people = data?.items ?? [];
  const here = people.filter(({ left }) => !left);
  const gone = people.filter(({ left }) => left);
  return (
    <div className="page py-4">
      <TeamTabs title="People" />
      <ProblemNote error={error} retry={refetch} />
      {!data && !error && <Loading what="the people" />}
      <ul aria-label="People of the team">
        {here.map((person) => (
          <PersonRow key={person.personId} person={person} />
        ))}
      </ul>
      {may('people.write') && <AddPerson />}
      <IfHurt />
      {gone.length > 0 && (
        <>
          <h2 className="stitched mt-6 pb-1.5 text-xl">Former members</h2>
          <ul>
            {gone.map((person) => (
              <PersonRow key={person.personId} person={person} />
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function PersonRow({ person }: { readonly person: PersonListed }) {
  const { personId, name, role, login, left, firstAider = false } = person;
  const may = useMay();
  const [change, changed] = useChangePersonMutation();
  const set = (fields: Partial<{ role: PersonRole; left: boolean; firstAider: boolean }>) =>
    change({ personId, personChange: { name, role, left, ...fields } });
  return (
    <li className="border-b border-rule py-2.5">
      <div className="grid items-center gap-x-4 gap-y-1 sm:grid-cols-[1.4fr_1fr_2fr]">
        <span>
          <Link className="font-head text-xl font-semibold underline-offset-2 hover:underline" to={`/people/${personId}`}>
            {name}
          </Link>
          <span className="block text-[15px] text-quiet">
            {login ? `signs in as ${login}` : 'has not joined yet'}
            {firstAider && (left || !may('people.write')) && ' · first aider'}
          </span>
        </span>
        {may('people.write') && !left ? (
          <Choice
            label={`Role of ${name}`}
            labelIsHidden
            value={role}
            options={personRoles}
            words={(entry) => roleWords[entry]}
            onChange={(entry) => set({ role: entry })}
          />
        ) : (
          <span>{roleWords[role]}</span>
        )}
        <span className="flex flex-wrap items-center justify-end gap-x-4 gap-y-2">
          {may('people.write') && !left && (
            <label className="mr-auto flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                aria-label={`${name} is trained in first aid`}
                checked={firstAider}
                disabled={changed.isLoading}
                onChange={({ target }) => set({ firstAider: target.checked })}
              />
              first aider
            </label>
          )}
          {may('people.write') && !left && <InviteButton person={person} />}
          {may('people.write') && (
            <button type="button" className="action" onClick={() => set({ left: !left })}>
              {left ? 'Bring back' : 'Mark as left'}
            </button>
          )}
        </span>
      </div>
      <ProblemNote error={changed.error} />
    </li>
  );
}

/** Makes a one-time link and shows it, to be copied and handed over by whatever way the two trust. */
function InviteButton({ person: { personId, name, login } }: { readonly person: PersonListed }) {
  const [invite, { data, error, isLoading }] = useInvitePersonMutation();
  const [copied, setCopied] = useState(false);
  const link = data && `${window.location.origin}${data.path}`;
  if (link)
    return (
      <span className="flex w-full flex-wrap items-center gap-2">
        <input
          readOnly
          aria-label={`One-time link for ${name}`}
          className="min-w-0 flex-1 font-mono text-[13px]"
          value={link}
          onFocus={(event) => event.target.select()}
        />
        <button
          type="button"
          className="action"
          onClick={() => {
            navigator.clipboard?.writeText(link).then(() => setCopied(true));
          }}
        >
          <Copy size={16} aria-hidden="true" /> {copied ? 'Copied' : 'Copy'}
        </button>
        <span className="basis-full text-[15px] text-quiet">Opens once, within seven days. It is not shown again.</span>
      </span>
    );
  return (
    <>
      <button type="button" className="action" disabled={isLoading} onClick={() => invite({ personId })}>
        {login ? 'New password link' : 'Invite'}
      </button>
      <ProblemNote error={error} />
    </>
  );
}

function AddPerson() {
  const [add, { error, isLoading }] = useAddPersonMutation();
  const { register, control, handleSubmit, reset } = useForm<{ name: string; role: PersonRole }>({
    defaultValues: { name: '', role: 'member' },
  });
  const role = useWatch({ control, name: 'role' });
  const faults = faultsByPath(error && problemOf(error));
  const submit = handleSubmit(async (values) => {
    const answer = await add({ personCreate: { ...values, personId: crypto.randomUUID() } });
    if (answer.data) reset();
  });
  return (
    <form className="mt-5 max-w-[760px]" onSubmit={submit} noValidate>
      <h2 className="stitched pb-1.5 text-xl">Add a person</h2>
      <div className="grid items-start gap-3 pt-3 sm:grid-cols-[1.5fr_2fr_auto]">
        <Labelled label="Name" fault={faults.name}>
          <input {...register('name')} autoComplete="off" />
        </Labelled>
        <Chosen control={control} name="role" label="Role" options={personRoles} words={(entry) => roleWords[entry]} fault={faults.role} />
        <button type="submit" className="action-main sm:mt-[1.35rem]" disabled={isLoading}>
          <UserPlus size={17} aria-hidden="true" /> Add
        </button>
      </div>
      <p className="pt-1 text-[15px] text-quiet">
        A {roleWords[role]}: {roleLines[role]}.
      </p>
      <FormProblem error={error} shown={['name', 'role']} />
    </form>
  );
}
