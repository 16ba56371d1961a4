import type { ReactNode } from 'react';

interface ConflictNoteProps {
  /** What somebody else saved meanwhile, by its name. */
  readonly what: string;
  /** Both versions side by side, or what theirs changed. */
  readonly children: ReactNode;
  readonly takeTheirs: () => void;
  readonly keepMine: () => void;
}

/** Somebody saved first: what stands now, and the choice. */
export function ConflictNote({ what, children, takeTheirs, keepMine }: ConflictNoteProps) {
  return (
    <div role="alert" className="my-3 border-l-4 border-signal bg-amber-wash px-4 py-3">
      <p className="font-semibold">Somebody saved {what} while you worked. Nothing of yours is lost.</p>
      {children}
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="action" onClick={takeTheirs}>
          Take theirs into the form
        </button>
        <button type="button" className="action" onClick={keepMine}>
          Keep mine; the next Save replaces theirs
        </button>
      </div>
    </div>
  );
}
