import { Pause, Play as PlayIcon, X } from 'lucide-react';

/** Plays what a bar is about, or pauses it. */
export function TurnKey({ isRunning, turn }: { readonly isRunning: boolean; readonly turn: () => void }) {
  return (
    <button
      type="button"
      className="grid size-10 shrink-0 place-items-center bg-ink text-paper"
      onClick={turn}
      aria-label={isRunning ? 'Pause' : 'Play'}
    >
      {isRunning ? <Pause size={19} /> : <PlayIcon size={19} />}
    </button>
  );
}

/** Puts the bar away, the plan back at its start. */
export function StopKey({ stop }: { readonly stop: () => void }) {
  return (
    <button type="button" className="grid h-11 min-w-10 place-items-center" onClick={stop} aria-label="Stop playing, back to the start">
      <X size={19} />
    </button>
  );
}
