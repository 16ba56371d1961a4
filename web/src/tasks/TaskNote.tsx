import { useEffect, useState } from 'react';
import { useGetTaskQuery, useStopTaskMutation } from '../api/wainrope-api.ts';

/** What takes less is not worth a word. */
const SHOWN_AFTER_MS = 1000;
const ASKED_EVERY_MS = 500;

interface TaskNoteProps {
  /** By which the server knows it. */
  readonly task: string | undefined;
  readonly isRunning: boolean;
  /** What it does, in words: “Reading gear.csv”. */
  readonly what: string;
}

/** How far something is that takes longer than a second, and a way to stop it. */
export function TaskNote({ task, isRunning, what }: TaskNoteProps) {
  const isLong = useLong(isRunning);
  const follows = isRunning && isLong && task !== undefined;
  const { currentData: far } = useGetTaskQuery({ taskId: task ?? '' }, { skip: !follows, pollingInterval: ASKED_EVERY_MS });
  const [stop, stopping] = useStopTaskMutation();
  if (!follows) return null;
  const share = far && far.of > 0 ? far.done / far.of : undefined;
  return <HowFar what={what} share={share} isStopping={stopping.isLoading || stopping.isSuccess} stop={() => stop({ taskId: task })} />;
}

/** The same for what nobody knows how far it is, and what is stopped by going. */
export function LongNote({ isRunning, what, stop }: Pick<TaskNoteProps, 'isRunning' | 'what'> & { readonly stop: () => void }) {
  const isLong = useLong(isRunning);
  return isRunning && isLong ? <HowFar what={what} share={undefined} isStopping={false} stop={stop} /> : null;
}

interface HowFarProps {
  readonly what: string;
  readonly share: number | undefined;
  readonly isStopping: boolean;
  readonly stop: () => void;
}

function HowFar({ what, share, isStopping, stop }: HowFarProps) {
  return (
    <div className="flex items-center gap-4 border-l-4 border-ink bg-sheet px-4 py-2" role="status">
      <div className="min-w-0 flex-1">
        <p className="flex justify-between gap-3 pb-1">
          <span className="min-w-0 truncate">{isStopping ? 'Stopping …' : `${what} …`}</span>
          {share !== undefined && <span className="shrink-0">{Math.floor(share * 100)} %</span>}
        </p>
        <progress className="how-far" aria-label={what} {...(share !== undefined && { value: share })} />
      </div>
      <button type="button" className="action" disabled={isStopping} onClick={stop}>
        Stop
      </button>
    </div>
  );
}

/** Whether something has been going on for longer than a second. */
function useLong(isRunning: boolean): boolean {
  const [isLong, setIsLong] = useState(false);
  useEffect(() => {
    setIsLong(false);
    if (!isRunning) return undefined;
    const timer = setTimeout(() => setIsLong(true), SHOWN_AFTER_MS);
    return () => clearTimeout(timer);
  }, [isRunning]);
  return isLong;
}
