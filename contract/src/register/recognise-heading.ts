import { headingOf, plainHeading } from '@wainrope/core';
import { registerColumns } from './columns.ts';

export interface RecognisedHeading {
  readonly column: string;
  readonly unit?: string;
  /** How sure that is, the smaller the surer. */
  readonly rank: number;
}

const UNIT =
  'mm|cm|metres|meters|metre|meter|m|inches|inch|in|feet|foot|ft|kgs|kg|kilos|kilograms|kn|lbs|lbf|lb|pounds|tonnes|tonne|metric tons|metric tonnes|short tons|us tons|long tons|uk tons|tons|ton|t|dan|kgf';
/** A unit behind a heading: in brackets, behind a comma or a stroke, or as its last word. */
const IN_BRACKETS = new RegExp(`[([{]\\s*(?:in\\s+)?(${UNIT}|"|″|')\\.?\\s*[)\\]}]`, 'i');
const BEHIND = new RegExp(`[\\s,/_–—-]+(?:in\\s+)?(${UNIT})\\.?$`, 'i');

const ownHeadings: ReadonlyMap<string, string> = new Map(registerColumns.map(({ key }) => [plainHeading(key), key]));
const labels: ReadonlyMap<string, string> = new Map([...registerColumns].reverse().map(({ key, label }) => [plainHeading(label), key]));

function columnOf(text: string): { readonly column: string; readonly rank: number } | undefined {
  const plain = plainHeading(text);
  const own = ownHeadings.get(plain);
  if (own) return { column: own, rank: 0 };
  const word = headingOf(text);
  if (word) return word;
  const labelled = labels.get(plain);
  return labelled === undefined ? undefined : { column: labelled, rank: 0 };
}

/** Columns that hold figures with a unit: “Checked in” is no length in inches. */
const measured: ReadonlySet<string> = new Set(
  registerColumns.flatMap(({ key, attribute }) =>
    attribute || /^(?:wll|mbs|proof|rated_pull|mark_\d|diameter|size)$/.test(key) ? [key] : [],
  ),
);

/** Ranks of headings whose spelling was mended stand behind all others. */
const MENDED = 100;

/** What a heading stands for, and a unit written in it: `Length (m)`, `diameter_mm`, `Rating, lbs`. `mend` corrects the spelling of a word. */
export function recogniseHeading(heading: string, mend?: (word: string) => string): RecognisedHeading | undefined {
  const text = heading.trim();
  const bracketed = IN_BRACKETS.exec(text)?.[1];
  const bare = text.replace(/\s*[([{][^)\]}]*[)\]}]\s*/g, ' ').trim();
  const unit = bracketed ?? BEHIND.exec(text)?.[1];
  const without = bracketed === undefined && unit !== undefined ? text.replace(BEHIND, '') : bare;
  for (const name of [text, bare]) {
    const found = columnOf(name);
    if (found) return { ...found, ...(bracketed !== undefined && { unit: bracketed.toLowerCase() }) };
  }
  const found = columnOf(without);
  if (found && (unit === undefined || measured.has(found.column)))
    return { ...found, ...(unit !== undefined && { unit: unit.toLowerCase() }) };
  return mend && mended(without, unit, mend);
}

function mended(heading: string, unit: string | undefined, mend: (word: string) => string): RecognisedHeading | undefined {
  const found = columnOf(plainHeading(heading).split(' ').map(mend).join(' '));
  return found && { column: found.column, rank: found.rank + MENDED, ...(unit !== undefined && { unit: unit.toLowerCase() }) };
}
