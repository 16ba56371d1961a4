import type { Severity } from '@wainrope/core';

const COLOURS: { readonly [S in Severity]: string } = {
  stop: 'text-rust',
  fix: 'text-amber-ink',
  caution: 'text-amber-ink',
  note: 'text-slate',
};

const SHAPES: { readonly [S in Severity]: React.ReactNode } = {
  stop: <rect x="2" y="7" width="20" height="10" fill="currentColor" />,
  fix: <path d="M12 2 22 12 12 22 2 12Z" fill="currentColor" />,
  caution: <path d="M12 3 21 12 12 21 3 12Z" fill="none" stroke="currentColor" strokeWidth="2.4" />,
  note: <circle cx="12" cy="12" r="8" fill="none" stroke="currentColor" strokeWidth="2.2" />,
};

interface SeverityShapeProps {
  readonly severity: Severity;
  readonly undecided: boolean;
  readonly size?: number;
  readonly className?: string;
  /** Where it stands inside another drawing. */
  readonly x?: number;
  readonly y?: number;
}

/** Each severity by its own shape: filled bar, filled diamond, open diamond, ring; a question wears its mark. */
export function SeverityShape({ severity, undecided, size = 22, className = '', x, y }: SeverityShapeProps) {
  return (
    <svg x={x} y={y} width={size} height={size} viewBox="0 0 24 24" className={`${COLOURS[severity]} ${className}`} aria-hidden="true">
      {undecided ? (
        <>
          <path d="M3 3H21V21H3Z" fill="var(--sheet)" stroke="currentColor" strokeWidth="2" strokeDasharray="4 3" />
          <path d="M9 9.5a3 3 0 1 1 4.4 2.6c-1 .6-1.4 1-1.4 2.2M12 17v1.2" fill="none" stroke="currentColor" strokeWidth="2" />
        </>
      ) : (
        SHAPES[severity]
      )}
    </svg>
  );
}
