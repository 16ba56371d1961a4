import { type Case, type Report, recordedPolicy } from '@wainrope/core';
import { judgedSteps, reportOf } from '@wainrope/core/judging';
import { inThread } from '../threads/in-thread.ts';

/** A report, and which figures of the settings were read to make it. */
export interface JudgedOnce {
  readonly report: Report;
  readonly policyRead: readonly string[];
}

/** A thousandth is as fine as anybody sees. */
const SHARES = 1000;

/** Judges a case over its whole act, telling the share that is done. */
export default inThread<Case, JudgedOnce>((subject, tell) => {
  const { policy, read } = recordedPolicy(subject.policy);
  const steps = judgedSteps({ ...subject, policy });
  for (;;) {
    const next = steps.next();
    if (next.done) {
      // As data: nothing in it may still be of the policy that remembers.
      const report = JSON.parse(JSON.stringify(reportOf(next.value))) as Report;
      return { report, policyRead: read() };
    }
    tell(Math.round(next.value * SHARES), SHARES);
  }
});
