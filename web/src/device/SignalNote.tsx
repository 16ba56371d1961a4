import { WifiOff } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { patiently } from '../offline/patiently.ts';
import { moment } from '../shell/days.ts';
import { useAppSelector } from '../store.ts';
import { useSignal } from './use-signal.ts';

/** What waits is known once the device's own store has loaded, after the page. */
const NotSent = lazy(() => patiently(async () => ({ default: (await import('./NotSent.tsx')).NotSent })));

interface Asked {
  readonly fulfilledTimeStamp?: number;
}

/** Of which moment the oldest answer is that the page has, ISO; nothing while it has none. */
export function oldestShown(
  queries: { readonly [question: string]: Asked | undefined },
  kept: { readonly [question: string]: string },
): string | undefined {
  const times = Object.entries(queries).flatMap(([question, asked]) => {
    if (kept[question] !== undefined) return [kept[question]];
    return asked?.fulfilledTimeStamp === undefined ? [] : [new Date(asked.fulfilledTimeStamp).toISOString()];
  });
  return times.sort()[0];
}

/** On every page: that there is no signal, how old what is shown is, and what this device has not sent. */
export function SignalNote() {
  useSignal();
  const gone = useAppSelector(({ connection }) => connection.signal === 'gone');
  const since = useAppSelector(({ api, connection }) =>
    connection.signal === 'gone' ? oldestShown(api.queries, connection.kept) : undefined,
  );
  if (!gone)
    return (
      <Suspense fallback={null}>
        <NotSent signal="there" />
      </Suspense>
    );
  return (
    <p role="status" className="no-print flex items-center gap-2 bg-signal px-3 py-1.5 text-on-signal sm:px-5" data-signal="gone">
      <WifiOff size={18} aria-hidden="true" className="shrink-0" />
      <span>
        <strong>
          No signal
          <Suspense fallback={null}>
            <NotSent signal="gone" />
          </Suspense>
          .
        </strong>{' '}
        {since && `You see what this device last read, ${moment(since)}; others may have changed it since.`}
      </span>
    </p>
  );
}
