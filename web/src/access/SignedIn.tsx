import { may } from '@wainrope/contract';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Outlet } from 'react-router';
import { useGetSessionQuery } from '../api/wainrope-api.ts';
import { patiently } from '../offline/patiently.ts';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useLiveEvents } from '../shell/use-live-events.ts';

/** Who is signed in already has no use for the form. */
const SignInForm = lazy(async () => ({ default: (await import('./SignInForm.tsx')).SignInForm }));

/** What waits on this device is sent once the page stands. */
const Outbox = lazy(() => patiently(async () => ({ default: (await import('../outbox/use-outbox.ts')).Outbox })));
/** What the pages will want without a signal is read once they stand. */
const Provisions = lazy(() => patiently(async () => ({ default: (await import('../offline/Provisions.tsx')).Provisions })));
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
  if (!data) return <div className="p-5">{error ? <ProblemNote error={error} retry={refetch} /> : <Loading what="your team" />}</div>;
  if (!signedIn && !entered) return <SignInForm session={data} />;
  return (
    <>
      <Outlet />
      <Suspense fallback={null}>
        <Outbox personId={data.person?.personId} />
        {data.person && <Provisions personId={data.person.personId} seesChanges={may(data.person.role, 'audit.of-one')} />}
      </Suspense>
      {!signedIn && (
        <Suspense fallback={<Loading what="the page" className="p-6" />}>
          <SignInAgain session={data} />
        </Suspense>
      )}
    </>
  );
}
