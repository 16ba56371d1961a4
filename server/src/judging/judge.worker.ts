import type { Case, Report } from '@wainrope/core';
import { judgedSteps, reportOf } from '@wainrope/core/judging';
import { inThread } from '../threads/in-thread.ts';

/** A thousandth is as fine as anybody sees. */
const SHARES = 1000;

/** Judges a case over its whole act, telling the share that is done. */
export default inThread<Case, Report>((subject, tell) => {
  const steps = judgedSteps(subject);
  for (;;) {
    const next = steps.next();
    if (next.done) return reportOf(next.value);
    tell(Math.round(next.value * SHARES), SHARES);
  }
});
