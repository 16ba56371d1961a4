/** The mark that a team writes before decimals; it decides readings such as `31,700`. */
export type DecimalMark = '.' | ',';

export interface ParsedNumber {
  readonly value: number;
  /** True when one separator stood before exactly three digits and the team's setting decided what it means. */
  readonly settingDecided: boolean;
}

const VULGAR: { readonly [glyph: string]: string } = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Writes vulgar-fraction glyphs out as ` 1/4`, so that `1¼` reads as `1 1/4`. */
export function spellOutFractions(text: string): string {
  return text
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (glyph) => ` ${VULGAR[glyph]}`)
    .replace(/⁄/g, '/')
    .trim();
}

/**
 * Reads an unsigned number as people write it: `6.5`, `6,5`, `31 700`, `31'700`, `1,234,567.5`, `11/16`, `1-1/4`, `1 1/4`.
 * Answers undefined for anything else (signs, exponents, letters, a zero divisor).
 */
export function parseNumber(text: string, decimal: DecimalMark): ParsedNumber | undefined {
  const fraction = /^(?:(\d+)(?:\s*-\s*|\s+))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction) return parseFraction(fraction);
  const packed = text.replace(/(?<=\d)[\s\u00a0\u2009\u202f'’](?=\d{3}(?!\d))/g, '');
  if (!/^\d[\d.,]*$/.test(packed) || /[.,]$/.test(packed)) return undefined;
  return parseSeparated(packed, decimal);
}

function parseFraction(match: RegExpExecArray): ParsedNumber | undefined {
  const divisor = Number(match[3]);
  if (divisor === 0) return undefined;
  return { value: Number(match[1] ?? 0) + Number(match[2]) / divisor, settingDecided: false };
}

function parseSeparated(text: string, decimal: DecimalMark): ParsedNumber | undefined {
  const marks = text.match(/[.,]/g) ?? [];
  const kinds = new Set(marks);
  if (marks.length === 0) return { value: Number(text), settingDecided: false };
  if (kinds.size === 2) return bothMarks(text);
  const mark = marks[0] as DecimalMark;
  if (marks.length > 1) return grouped(text, mark);
  const [head, tail] = text.split(mark) as [string, string];
  const couldGroup = tail.length === 3 && head.length <= 3 && !head.startsWith('0');
  const asDecimal = !couldGroup || mark === decimal;
  return { value: Number(asDecimal ? `${head}.${tail}` : head + tail), settingDecided: couldGroup };
}

function grouped(text: string, mark: string): ParsedNumber | undefined {
  const groups = text.split(mark);
  const regular = groups.every((group, index) => (index === 0 ? /^\d{1,3}$/ : /^\d{3}$/).test(group));
  return regular ? { value: Number(groups.join('')), settingDecided: false } : undefined;
}

function bothMarks(text: string): ParsedNumber | undefined {
  const last = Math.max(text.lastIndexOf('.'), text.lastIndexOf(','));
  const head = text.slice(0, last);
  const tail = text.slice(last + 1);
  if (!/^\d+$/.test(tail)) return undefined;
  const mark = text[last] === '.' ? ',' : '.';
  const whole = grouped(head, mark);
  return whole && { value: Number(`${whole.value}.${tail}`), settingDecided: false };
}
