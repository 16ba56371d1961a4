import type { Severity, Verdict } from '@wainrope/core';

/** Clear an open ring, Watch a half-filled diamond, Stop a filled square bar: told apart by shape and word, never by colour alone. */
export function VerdictShape({ verdict, size = 22 }: { readonly verdict: Verdict; readonly size?: number }) {
  const box = { width: size, height: size, viewBox: '0 0 24 24', 'aria-hidden': true, className: 'shrink-0' } as const;
  if (verdict === 'stop')
    return (
      <svg {...box}>
        <title>Stop</title>
        <rect x="2" y="7" width="20" height="10" fill="currentColor" />
      </svg>
    );
  if (verdict === 'watch')
    return (
      <svg {...box}>
        <title>Watch</title>
        <path d="M12 2 22 12 12 22 2 12Z" fill="none" stroke="currentColor" strokeWidth="2" />
        <path d="M12 2 12 22 2 12Z" fill="currentColor" />
      </svg>
    );
  return (
    <svg {...box}>
      <title>Clear</title>
      <circle cx="12" cy="12" r="8.5" fill="none" stroke="currentColor" strokeWidth="3" />
    </svg>
  );
}

export const verdictWords: { readonly [V in Verdict]: string } = {
  clear: 'Clear',
  'clear-judged': 'Clear, judged',
  watch: 'Watch',
  stop: 'Stop',
};

export const verdictColours: { readonly [V in Verdict]: string } = {
  clear: 'bg-sheet text-moss',
  'clear-judged': 'bg-sheet text-moss',
  watch: 'bg-signal text-on-signal',
  stop: 'bg-rust text-on-rust',
};

/** A verdict in a line of a list. */
export function VerdictLabel({ verdict, struck = false }: { readonly verdict: Verdict; readonly struck?: boolean }) {
  return (
    <span
      className={`inline-flex items-center gap-1.5 px-2 py-0.5 font-semibold ${verdictColours[verdict]} ${struck ? 'line-through opacity-75' : ''}`}
    >
      <VerdictShape verdict={verdict} size={16} />
      {verdictWords[verdict]}
      {struck && <span className="sr-only">, which no longer stands</span>}
    </span>
  );
}

export const severityWords: { readonly [S in Severity]: string } = { stop: 'Stop', fix: 'Fix', caution: 'Caution', note: 'Note' };
