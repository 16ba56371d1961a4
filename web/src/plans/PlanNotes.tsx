import type { PlanView } from '@wainrope/contract';
import { day, withDays } from '../shell/days.ts';
import { VerdictLabel } from '../shell/VerdictMark.tsx';

/** The saved judgement no longer stands: the old one struck through, the reasons, the fresh one beside it. */
export function OutOfDateNote({ plan, accept }: { readonly plan: PlanView; readonly accept: () => void }) {
  const [before, now] = [plan.saved.report.verdict, plan.fresh.report.verdict];
  return (
    <div
      role="status"
      data-out-of-date
      className="flex flex-wrap items-center gap-3 border-b border-rule bg-amber-wash px-3 py-1.5 sm:px-5"
    >
      <strong>Out of date.</strong>
      <VerdictLabel verdict={before} struck />
      <span>
        of {day(plan.saved.asOf)}: {withDays(plan.fresh.outOfDate.join(' '))} Today:
      </span>
      <VerdictLabel verdict={now} />
      <button type="button" className="action ml-auto" onClick={accept}>
        Save today’s judgement
      </button>
    </div>
  );
}

interface PlanConflictProps {
  readonly theirs: PlanView;
  readonly settle: (choice: 'theirs' | 'mine') => void;
}

/** Somebody saved first: both versions stand, nothing is lost until a person chooses. */
export function PlanConflict({ theirs, settle }: PlanConflictProps) {
  return (
    <div role="alert" data-conflict className="flex flex-wrap items-center gap-3 border-b border-rule bg-amber-wash px-3 py-2 sm:px-5">
      <p>
        <strong>
          {theirs.saved.savedBy} saved version {theirs.version} while you worked.
        </strong>{' '}
        Yours is kept on this device and is not lost. Theirs: “{theirs.name}”, <VerdictLabel verdict={theirs.saved.report.verdict} />
      </p>
      <div className="ml-auto flex gap-2">
        <button type="button" className="action" onClick={() => settle('theirs')}>
          Open theirs
        </button>
        <button type="button" className="action" onClick={() => settle('mine')}>
          Keep mine; Save puts it on top
        </button>
      </div>
    </div>
  );
}

/** A word to the person that goes when it has been read. */
export function Notice({ text, dismiss }: { readonly text: string; readonly dismiss: () => void }) {
  return (
    <p role="status" className="border-l-4 border-signal bg-amber-wash px-4 py-2">
      {text}{' '}
      <button type="button" className="underline" onClick={dismiss}>
        Dismiss
      </button>
    </p>
  );
}
