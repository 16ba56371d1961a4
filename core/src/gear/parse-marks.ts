import type { Mark } from './mark.ts';
import { type MarkContext, type ParsedMark, parseMark } from './parse-mark.ts';

export type ParsedMarks =
  | { readonly kind: 'marks'; readonly marks: readonly Mark[] }
  | { readonly kind: 'fault'; readonly message: string };

/** Two figures of one mark in two units differ by rounding: by no more than this share. */
const SAME_WITHIN = 0.03;
/** Words before a number that leave it as it is. */
const ABOUT = /^(?:min(?:imum)?\.?|at least|≥|>=|>|approx\.?|about|~|rated(?: at)?)\s*(?=\d)/i;
/** Between two figures in one cell; the stroke of a fraction has figures alone on both sides. */
const BETWEEN = /\s*[|;&()]\s*|\s+and\s+|\s*\/\s*(?=[a-z])|(?<=[a-z.])\s*\/\s*|,\s+/i;

/**
 * Reads a cell that may hold one mark in two units (`4.75 t (10,450 lb)`) or two marks (`WLL 2 t / MBS 10 t`). Figures of one basis that
 * say different things are a fault.
 */
export function parseMarks(text: string, context: MarkContext): ParsedMarks {
  const plain = text.trim().replace(ABOUT, '');
  const one = parseMark(plain, context);
  if (one.kind === 'mark') return { kind: 'marks', marks: [{ ...one.mark, asWritten: text.trim() }] };
  const parts = plain.split(BETWEEN).filter((part) => part.trim() !== '');
  const read = parts.map((part) => parseMark(part, context));
  if (parts.length < 2 || !read.every(isMark)) return one;
  const marks: Mark[] = [];
  for (const { mark } of read) {
    const before = marks.findIndex(({ basis }) => basis === mark.basis || mark.basis === 'unstated');
    const same = marks[before];
    if (same === undefined) marks.push(mark);
    else if (!alike(same, mark)) return fault(text, same, mark);
    else marks[before] = { ...same, asWritten: text.trim(), readings: narrower(same, mark) };
  }
  return { kind: 'marks', marks };
}

type ReadMark = Extract<ParsedMark, { readonly kind: 'mark' }>;
const isMark = (parsed: ParsedMark): parsed is ReadMark => parsed.kind === 'mark';

const near = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_WITHIN * Math.max(a, b);

const alike = (a: Mark, b: Mark): boolean => a.readings.some((one) => b.readings.some((other) => near(one.forceN, other.forceN)));

/** A ton that is not named is settled by the other unit beside it. */
const narrower = (a: Mark, b: Mark): Mark['readings'] => {
  const [fewer, more] = a.readings.length <= b.readings.length ? [a, b] : [b, a];
  return fewer.readings.filter(({ forceN }) => more.readings.some((other) => near(forceN, other.forceN)));
};

const fault = (text: string, a: Mark, b: Mark): ParsedMarks => ({
  kind: 'fault',
  message: `“${text.trim()}” says two different things, ${a.asWritten} and ${b.asWritten}; write each as a mark of its own, with what it is (WLL or MBS).`,
});
