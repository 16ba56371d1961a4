import { counted, type Finding } from './finding.ts';

/** What a verdict follows from, where it follows from a finding: findings stand worst first, and a note decides nothing. */
export function reasonOf<F extends Finding>(findings: readonly F[]): F | undefined {
  const [first] = findings;
  return first && counted(first) !== 'note' ? first : undefined;
}
