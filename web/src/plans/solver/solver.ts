import type { Case } from '@wainrope/core';
import { type Remote, wrap } from 'comlink';
import type { Solver } from './solver.worker.ts';

let shared: Remote<Solver> | undefined;

/** One worker for the life of the page. */
export function solver(): Remote<Solver> {
  shared ??= wrap<Solver>(new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' }));
  return shared;
}

/** So many cases the worker keeps: the one on the sheet, the calmer copy beside it, and those that were asked about last. */
const KEPT = 4;

/** Cases that the worker knows, the one asked about last at the end. */
let sent: readonly { readonly subject: Case; readonly name: string }[] = [];
let count = 0;

/** The name by which the worker knows a case; one that it does not know is sent, and the one longest not asked about forgotten. */
export function named(subject: Case): string {
  const before = sent.find((entry) => entry.subject === subject);
  const entry = before ?? { subject, name: `case-${++count}` };
  if (!before) void solver().know(entry.name, subject);
  sent = [...sent.filter((other) => other !== entry), entry];
  const [oldest] = sent;
  if (oldest && sent.length > KEPT) {
    void solver().forget(oldest.name);
    sent = sent.slice(1);
  }
  return entry.name;
}
