import { WifiOff } from 'lucide-react';
import { useAppSelector } from '../store.ts';

/** Says that what is shown is what this device last read, and from when. */
export function KeptNote() {
  const kept = useAppSelector((state) => state.connection.keptSince);
  if (kept === null) return null;
  const at = new Date(kept);
  const when = Number.isNaN(at.getTime()) ? 'earlier' : at.toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
  return (
    <p role="status" className="no-print flex items-center gap-2 bg-signal px-3 py-1.5 text-on-signal sm:px-5" data-kept>
      <WifiOff size={18} aria-hidden="true" className="shrink-0" />
      <span>No signal. You see what this device last read, {when}; others may have changed it since.</span>
    </p>
  );
}
