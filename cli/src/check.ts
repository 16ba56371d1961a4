import { type Fault, isDay, judge, type ReaderUnits, type Report, readRigFile } from '@wainrope/core';
import { printReport } from './print-report.ts';

/** What a run answers with: text for standard output and error, and the exit code. */
export interface Answer {
  readonly out: string;
  readonly error: string;
  readonly code: number;
}

export interface CheckOptions {
  readonly json: boolean;
  readonly asOf?: string;
  readonly units: ReaderUnits;
}

/** Exit codes: 0 clear, 1 watch, 2 stop, 3 not understood. */
const CODES: { readonly [V in Report['verdict']]: number } = { clear: 0, 'clear-judged': 0, watch: 1, stop: 2 };

/** Judges the text of a rig file. */
export function check(text: string, { json, asOf, units }: CheckOptions): Answer {
  if (asOf !== undefined && !isDay(asOf))
    return notUnderstood([{ path: '--as-of', message: `“${asOf}” is not a day; expected for example 2026-05-31` }], json);
  const parsed = parseJson(text);
  if ('message' in parsed) return notUnderstood([{ path: '', message: parsed.message }], json);
  const file = readRigFile(parsed.value);
  if (!file.ok) return notUnderstood(file.faults, json);
  const subject = asOf === undefined ? file.value.case : { ...file.value.case, asOf };
  const report = judge(subject);
  const out = json ? JSON.stringify(report, null, 2) : printReport(subject, report, units);
  return { out: `${out}\n`, error: '', code: CODES[report.verdict] };
}

function parseJson(text: string): { readonly value: unknown } | { readonly message: string } {
  try {
    return { value: JSON.parse(text.replace(/^\uFEFF/, '')) };
  } catch (error) {
    return { message: `not JSON: ${error instanceof Error ? error.message : String(error)}` };
  }
}

/** Faults beyond this many add nothing a person can use. */
const MOST_FAULTS = 50;

function notUnderstood(faults: readonly Fault[], json: boolean): Answer {
  const shown = faults.slice(0, MOST_FAULTS);
  if (json) return { out: `${JSON.stringify({ kind: 'not-understood', faults: shown }, null, 2)}\n`, error: '', code: 3 };
  const lines = shown.map(({ path, message }) => `  ${path === '' ? 'file' : path}: ${message}`);
  const more = faults.length > MOST_FAULTS ? [`  and ${faults.length - MOST_FAULTS} more`] : [];
  return { out: '', error: `This file is not understood:\n${[...lines, ...more].join('\n')}\n`, code: 3 };
}
