import type { ReactNode } from 'react';

/** Whether a part of the page is folded away, and the act that folds and unfolds it. */
export interface Fold {
  readonly folded: boolean;
  readonly toggle: () => void;
}

export interface FrameParts {
  /** The drawing; `over` stands in its upper left corner. */
  readonly sheet: (over: ReactNode) => ReactNode;
  readonly tools: ReactNode;
  /** What begins to play the pull, and the line of time under the drawing while it is played. */
  readonly playKey: ReactNode;
  readonly play: ReactNode;
  /** What is said of the whole rig in a line or two. */
  readonly sentence: ReactNode;
  readonly path: (fold: Fold | undefined) => ReactNode;
  readonly side: (fold: Fold | undefined) => ReactNode;
}
