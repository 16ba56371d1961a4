import { type KeyboardEvent, type ReactNode, useMemo } from 'react';
import { useCalm } from '../../shell/use-calm.ts';

interface PlayLineProps {
  /** What the slider is called: `How far the pull has gone`. */
  readonly label: string;
  readonly at: number;
  readonly whole: number;
  readonly step: number;
  /** Where it is, in words. */
  readonly words: string;
  readonly isRunning: boolean;
  readonly go: (to: number) => void;
  readonly onKeyDown?: (event: KeyboardEvent) => void;
  /** What happens on the way. */
  readonly marks: ReactNode;
  readonly className?: string;
}

/**
 * A line of time with a thumb, to be dragged and moved by keys. The thumb is a drawn one, in a layer of its own whose edges stay where
 * they are: while something is played, the slider under it follows a few times a second, since nobody listens faster, and since moving
 * its own thumb makes the browser sort the layers of the page anew.
 */
export function PlayLine({ label, at, whole, step, words, isRunning, go, onKeyDown, marks, className = '' }: PlayLineProps) {
  const here = useMemo(() => ({ at, words }), [at, words]);
  const calm = useCalm(here, { isMoving: isRunning });
  const told = isRunning ? calm : here;
  const share = whole > 0 ? (100 * Math.min(at, whole)) / whole : 0;
  return (
    <div className={`relative mx-4 h-9 shrink-0 contain-size contain-layout ${className}`}>
      <span aria-hidden="true" className="rope-bar absolute inset-x-0 top-[15px] h-[7px]" />
      {marks}
      <input
        type="range"
        className="play-line unseen-thumb absolute top-1 -left-3 z-20 h-8 w-[calc(100%+1.5rem)]"
        aria-label={label}
        aria-valuetext={told.words}
        min={0}
        max={whole}
        step={step}
        value={told.at}
        onKeyDown={onKeyDown}
        onChange={({ target }) => go(Number(target.value))}
      />
      <svg aria-hidden="true" className="pointer-events-none absolute inset-0 z-20 size-full overflow-visible will-change-transform">
        <rect y="15" width="100%" height="7" fill="none" stroke="var(--quiet)" />
        <Dot at={share} width={24} colour="var(--ink)" />
        <Dot at={share} width={16} colour="var(--sheet)" />
      </svg>
    </div>
  );
}

interface DotProps {
  /** Per cent of the line. */
  readonly at: number;
  readonly width: number;
  readonly colour: string;
}

/** A disc, as a stroke of no length with round ends: for a circle the browser would work out its whole style at each move. */
function Dot({ at, width, colour }: DotProps) {
  return <line x1={`${at}%`} x2={`${at}%`} y1="18.5" y2="18.5" stroke={colour} strokeWidth={width} strokeLinecap="round" />;
}
