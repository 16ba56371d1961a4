import type { Problem } from '@wainrope/contract';

/** The messages of a refused form by the field they belong to. */
export function faultsByPath(problem: Problem | undefined): { readonly [path: string]: string } {
  return Object.fromEntries((problem?.faults ?? []).map(({ path, message }) => [path, message]));
}
