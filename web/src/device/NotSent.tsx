import { TriangleAlert } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { usePerson } from '../access/use-session.ts';
import { whatWaits } from '../outbox/unsent.ts';
import { useLive } from '../outbox/use-live.ts';
import { storageWords, useStorage } from './storage.ts';

/** With a signal what was confirmed is sent in a moment; only what takes longer is spoken of. */
const IN_A_MOMENT_MS = 6000;

/** How much of this device's the server does not have, with the way to it. */
export function NotSent({ signal }: { readonly signal: 'there' | 'gone' }) {
  const personId = usePerson()?.personId;
  const waiting = useLive(() => whatWaits(personId), personId ?? '');
  const count = waiting?.own.length ?? 0;
  const refused = waiting?.own.filter(
    ({ draft, photos }) => draft.status === 'refused' || photos.some(({ status }) => status === 'refused'),
  );
  const stays = useStays(count > 0);
  const full = storageWords(useStorage());
  if (signal === 'gone')
    return waiting === undefined ? null : (
      <>
        {', '}
        {count === 0 ? 'nothing waits to be sent' : <Way>{count} not sent</Way>}
        {full && `. ${full}`}
      </>
    );
  const words = refused?.length ? `The server refused ${refused.length} of what this device sent` : stays ? `${count} not sent yet` : '';
  if (!words && !full) return null;
  return (
    <p role="status" className="no-print flex items-center gap-2 bg-signal px-3 py-1.5 text-on-signal sm:px-5" data-signal="there">
      <TriangleAlert size={18} aria-hidden="true" className="shrink-0" />
      <span>
        {words && (
          <>
            <Way>{words}</Way>.{' '}
          </>
        )}
        {full}
      </span>
    </p>
  );
}

const Way = ({ children }: { readonly children: React.ReactNode }) => (
  <Link to="/device" className="underline">
    {children}
  </Link>
);

/** Whether something has been so for longer than a moment. */
function useStays(isSo: boolean): boolean {
  const [stays, setStays] = useState(false);
  useEffect(() => {
    setStays(false);
    if (!isSo) return;
    const timer = setTimeout(() => setStays(true), IN_A_MOMENT_MS);
    return () => clearTimeout(timer);
  }, [isSo]);
  return stays;
}
