import { lazy, Suspense, useEffect, useState } from 'react';
import { Outlet } from 'react-router';
import { useGetSessionQuery } from '../api/wainrope-api.ts';
import { useOutbox } from '../inspections/use-outbox.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useLiveEvents } from '../shell/use-live-events.ts';

/** Who is signed in already has no use for the form. */
const SignInForm = lazy(async () => ({ default: (await import('./SignInForm.tsx')).SignInForm }));

/** Nor for the dialog, until the session ends. */
const SignInAgain = lazy(async () => ({ default: (await import('./SignInAgain.tsx')).SignInAgain }));

/** Pages for those who are signed in. A session that ends later is taken up over the page, which keeps what was entered. */
export function SignedIn() {
  const { data, error, refetch } = useGetSessionQuery(undefined, { refetchOnFocus: true });
  const [entered, setEntered] = useState(false);
  const signedIn = data?.signedIn === true;
  useEffect(() => {
    if (signedIn) setEntered(true);
  }, [signedIn]);
  useLiveEvents(signedIn);
  useOutbox(data?.person?.personId);
  if (!data) return <div className="p-5">{error ? <ProblemNote error={error} retry={refetch} /> : 'Loading…'}</div>;
  if (!signedIn && !entered) return <SignInForm session={data} />;
  return (
    <>
      <Outlet />
      {!signedIn && (
        <Suspense fallback={<p className="p-6">Loading…</p>}>
          <SignInAgain session={data} />
        </Suspense>
      )}
    </>
  );
}
