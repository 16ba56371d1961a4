import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import {
  problemOf,
  useChangePasswordMutation,
  useGetCalendarLinkQuery,
  useGetSessionQuery,
  useMakeCalendarLinkMutation,
  useRevokeCalendarLinkMutation,
  useSignOutEverywhereMutation,
  useSignOutMutation,
} from '../api/wainrope-api.ts';
import { forgetKept } from '../kept/keep-reads.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { roleLines, roleWords } from './role-words.ts';

/** One's own account: who one is here, password, sessions. */
export function AccountPage() {
  const { data: session } = useGetSessionQuery();
  const [signOut] = useSignOutMutation();
  const [everywhere, ended] = useSignOutEverywhereMutation();
  const { person, team } = session ?? {};
  if (!person) return null;
  return (
    <div className="page max-w-[800px] py-4">
      <PageHeading title={person.name} about="your account" className="border-b-2 border-ink pb-3 text-[28px]" />
      <p className="pt-3">
        {roleWords[person.role]} of {team?.name}: {roleLines[person.role]}.{' '}
        <Link className="underline" to={`/people/${person.personId}`}>
          Your page in the team
        </Link>
      </p>
      <h2 className="stitched mt-6 pb-1.5 text-xl">Signed in</h2>
      <div className="flex flex-wrap gap-2 pt-3">
        <button type="button" className="action-main" onClick={() => signOut().then(forgetKept)}>
          Sign out
        </button>
        <button type="button" className="action" onClick={() => everywhere()}>
          Sign out on every device
        </button>
        <Link className="action" to="/device">
          What is on this device
        </Link>
        <Link className="action" to="/words">
          What the words mean
        </Link>
      </div>
      <ProblemNote error={ended.error} />
      <Calendar />
      {session?.team && <PasswordForm />}
    </div>
  );
}

/** A private address from which a calendar program reads what falls due. */
function Calendar() {
  const { data } = useGetCalendarLinkQuery();
  const [make, made] = useMakeCalendarLinkMutation();
  const [revoke] = useRevokeCalendarLinkMutation();
  const address = made.data?.path && data?.active ? `${window.location.origin}${made.data.path}` : undefined;
  return (
    <section>
      <h2 className="stitched mt-6 pb-1.5 text-xl">Due dates in your calendar</h2>
      <p className="pt-2 text-quiet">
        A private address that calendar programs can read. Whoever has it sees what is due; nothing else. It is shown once.
      </p>
      {address && (
        <input
          readOnly
          aria-label="Private calendar address"
          className="mt-2 font-mono text-[13px]"
          value={address}
          onFocus={(event) => event.target.select()}
        />
      )}
      <div className="flex flex-wrap gap-2 pt-3">
        <button type="button" className="action" onClick={() => make()}>
          {data?.active ? 'Make a new address; the old one ends' : 'Make an address'}
        </button>
        {data?.active && (
          <button type="button" className="action" onClick={() => revoke()}>
            Revoke it
          </button>
        )}
      </div>
    </section>
  );
}

function PasswordForm() {
  const [change, { error, isSuccess, isLoading }] = useChangePasswordMutation();
  const { register, handleSubmit, reset } = useForm({ defaultValues: { current: '', next: '' } });
  const faults = faultsByPath(error && problemOf(error));
  const submit = handleSubmit(async (values) => {
    const answer = await change({ passwordChange: values });
    if (!answer.error) reset();
  });
  return (
    <form className="max-w-[420px] space-y-3" onSubmit={submit} noValidate>
      <h2 className="stitched mt-6 pb-1.5 text-xl">Change the password</h2>
      {isSuccess && <p role="status">The password is changed; your other devices are signed out.</p>}
      <FormProblem error={error} shown={['current', 'next']} />
      <Labelled label="Password you use now" fault={faults.current}>
        <input {...register('current')} type="password" autoComplete="current-password" />
      </Labelled>
      <Labelled label="New password, ten characters or more" fault={faults.next}>
        <input {...register('next')} type="password" autoComplete="new-password" />
      </Labelled>
      <button type="submit" className="action" disabled={isLoading}>
        Change it
      </button>
    </form>
  );
}
