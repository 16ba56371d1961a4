import type { MessagePort } from 'node:worker_threads';

/** What crosses to a thread: the input of its work, and where to tell how far it is. */
export interface ThreadTask<I> {
  readonly input: I;
  readonly progress?: MessagePort;
}

/** Tells that `done` of `of` steps are done. */
export type Tell = (done: number, of: number) => void;

export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** Between two tellings, ms: often enough for the eye, seldom enough to cost nothing. */
const TOLD_EVERY_MS = 100;

/** Work as a thread runs it: plain data in, plain data out. */
export const inThread =
  <I, O>(work: (input: I, tell: Tell) => O) =>
  ({ input, progress }: ThreadTask<I>): O => {
    let told = 0;
    return work(input, (done, of) => {
      const now = Date.now();
      if (progress === undefined || now - told < TOLD_EVERY_MS) return;
      told = now;
      progress.postMessage({ done, of } satisfies Progress);
    });
  };
