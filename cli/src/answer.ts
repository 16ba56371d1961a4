import type { Fault, ReaderUnits, Report } from '@wainrope/core';

/** What a run answers with: text for standard output and error, and the exit code. */
export interface Answer {
  readonly out: string;
  readonly error: string;
  readonly code: number;
}

/** Exit codes by verdict: 0 clear, 1 watch, 2 stop. */
export const CODES: { readonly [V in Report['verdict']]: number } = { clear: 0, 'clear-judged': 0, watch: 1, stop: 2 };
export const NOT_UNDERSTOOD = 3;

/** What every command takes. */
export interface Options {
  readonly json: boolean;
  /** Rows for a spreadsheet, where a command has them. */
  readonly csv?: boolean;
  readonly units: ReaderUnits;
  readonly asOf?: string;
  /** Text of a policy file that takes the place of the case's own. */
  readonly policyText?: string;
}

export const done = (out: string, code = 0): Answer => ({ out: out.endsWith('\n') ? out : `${out}\n`, error: '', code });

export const asJson = (value: unknown): string => JSON.stringify(value, null, 2);

/** Why something that was asked is not answered: in words for a person, as a document for a program. */
export function refused(words: string, { json, message = words }: { readonly json: boolean; readonly message?: string }): Answer {
  if (json) return done(asJson({ kind: 'refused', message }), NOT_UNDERSTOOD);
  return { out: '', error: words.endsWith('\n') ? words : `${words}\n`, code: NOT_UNDERSTOOD };
}

/** Faults beyond this many add nothing a person can use. */
const MOST_FAULTS = 50;

export function notUnderstood(faults: readonly Fault[], json: boolean, what = 'This file'): Answer {
  const shown = faults.slice(0, MOST_FAULTS);
  if (json) return done(asJson({ kind: 'not-understood', faults: shown }), NOT_UNDERSTOOD);
  const lines = shown.map(({ path, message }) => `  ${path === '' ? 'file' : path}: ${message}`);
  const more = faults.length > MOST_FAULTS ? [`  and ${faults.length - MOST_FAULTS} more`] : [];
  return { out: '', error: `${what} is not understood:\n${[...lines, ...more].join('\n')}\n`, code: NOT_UNDERSTOOD };
}
