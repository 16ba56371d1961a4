import type { SessionView } from '@wainrope/contract';
import { useForm } from 'react-hook-form';
import { useSignInMutation, useSignInToDemoMutation } from '../api/wainrope-api.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { roleWords } from './role-words.ts';

interface SignInFormProps {
  readonly session: SessionView;
  /** The session ended while somebody worked. */
  readonly again?: boolean;
}

export function SignInForm({ session, again = false }: SignInFormProps) {
  const { register, handleSubmit } = useForm({ defaultValues: { login: '', password: '' } });
  const [signIn, { error, isLoading }] = useSignInMutation();
  return (
    <div className="mx-auto w-full max-w-[560px] px-4 py-10">
      <p className="font-head text-4xl font-bold tracking-[0.08em]">WAINROPE</p>
      <div aria-hidden="true" className="rope-bar mt-1 mb-6 h-[6px] w-40" />
      <h1 className="text-[28px]">{again ? 'Your session has ended' : 'Sign in'}</h1>
      {again && <p className="pt-1">Sign in again; what you entered is still on the page behind this.</p>}
      {session.needsSetUp && (
        <p className="mt-3 border-l-4 border-signal bg-amber-wash px-4 py-2">
          There is no team on this server yet. The start command printed a one-time link that founds one; open it in this browser.
        </p>
      )}
      {session.demo !== undefined && <DemoPeople demo={session.demo} people={session.demoPeople} />}
      <form
        className="space-y-3 pt-4"
        onSubmit={handleSubmit((values) => {
          signIn({ signIn: values });
        })}
      >
        <ProblemNote error={error} />
        <Labelled label="Sign-in name">
          <input {...register('login')} autoComplete="username" autoCapitalize="none" spellCheck={false} required />
        </Labelled>
        <Labelled label="Password">
          <input {...register('password')} type="password" autoComplete="current-password" required />
        </Labelled>
        <button type="submit" className="action-main" disabled={isLoading}>
          Sign in
        </button>
        <p className="text-[15px] text-quiet">Password forgotten? Your coordinator can make a new one-time link for you.</p>
      </form>
    </div>
  );
}

function DemoPeople({ demo, people }: { readonly demo: string; readonly people: SessionView['demoPeople'] }) {
  const [signIn, { error, isLoading }] = useSignInToDemoMutation();
  return (
    <section aria-label="Demo" className="mt-4 border-y-2 border-ink py-3">
      <p className="font-semibold">This is a demonstration.</p>
      <p className="text-quiet">{demo} Sign in as one of them:</p>
      <ProblemNote error={error} />
      <ul className="grid gap-2 pt-3 sm:grid-cols-2">
        {people.map(({ personId, name, role }) => (
          <li key={personId}>
            <button
              type="button"
              className="action w-full justify-between"
              disabled={isLoading}
              onClick={() => signIn({ demoSignIn: { personId } })}
            >
              {name} <span className="font-normal text-quiet">{roleWords[role]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
