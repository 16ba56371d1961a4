import { problemOf } from '../api/wainrope-api.ts';
import { ProblemNote } from './ProblemNote.tsx';

/** What is wrong with a form beyond the fields that show their own faults: nothing of a refusal is ever swallowed. */
export function FormProblem({ error, shown }: { readonly error: unknown; readonly shown: readonly string[] }) {
  if (!error) return null;
  const { faults = [] } = problemOf(error);
  const covered = faults.length > 0 && faults.every(({ path }) => shown.includes(path));
  return covered ? null : <ProblemNote error={error} />;
}
