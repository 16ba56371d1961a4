import type { DecimalMark } from '../quantity/parse-number.ts';
import { findUnit, STANDARD_GRAVITY, type Unit } from '../quantity/units.ts';

/** Which columns of a recorder's file are read, and how. Columns are counted from 0. */
export interface SeriesColumns {
  readonly time: number;
  /** Seconds of one unit of the time column; a clock's hours, minutes and seconds, with or without a day before them. */
  readonly timeS: number | 'clock';
  readonly tension: number;
  readonly tensionN: number;
  /** How far the load had come, where the recorder writes that too. */
  readonly travel?: number;
  readonly travelM?: number;
  readonly decimal: DecimalMark;
  /** Lines before the first row of figures: what stands above the headings, the headings, a line of units. */
  readonly headLines: number;
}

/** What a person says of a file whose headings leave it open. */
export interface SeriesStated {
  /** The heading of the tension, where several could be it. */
  readonly tension?: string | undefined;
  readonly forceUnit?: string | undefined;
  readonly timeUnit?: string | undefined;
}

export type SeriesHead =
  | { readonly kind: 'read'; readonly columns: SeriesColumns }
  /** Only a person can say. */
  | { readonly kind: 'asked'; readonly ask: 'tension'; readonly choices: readonly string[] }
  | { readonly kind: 'asked'; readonly ask: 'forceUnit' | 'timeUnit'; readonly heading: string; readonly choices: readonly string[] }
  | { readonly kind: 'fault'; readonly message: string };

/** Lines that a recorder may write above its headings. */
const MOST_ABOVE = 40;

const TIMES = [
  'time',
  't',
  'elapsed',
  'elapsed time',
  'timestamp',
  'date time',
  'datetime',
  'clock',
  'seconds',
  'sec',
  'secs',
  'milliseconds',
  'ms',
  's',
];
const TENSIONS = [
  'tension',
  'line tension',
  'rope tension',
  'line load',
  'load',
  'force',
  'pull',
  'f',
  'reading',
  'value',
  'live load',
  'channel 1',
  'ch1',
  'ch 1',
  'weight',
];
const TRAVELS = ['travel', 'position', 'distance', 'displacement', 'way'];

const TIME_UNITS: { readonly [name: string]: number } = {
  s: 1,
  sec: 1,
  secs: 1,
  second: 1,
  seconds: 1,
  ms: 0.001,
  msec: 0.001,
  millisecond: 0.001,
  milliseconds: 0.001,
  min: 60,
  mins: 60,
  minute: 60,
  minutes: 60,
};
export const forceUnitChoices = ['N', 'daN', 'kN', 'kgf', 'lbf', 'tonne', 'short ton', 'long ton'] as const;
const timeUnitChoices = ['s', 'ms', 'min'] as const;

interface Heading {
  readonly name: string;
  readonly unit?: string;
}

/** A heading as name and unit: `tension_N`, `Load (kN)`, `Force [lbf]`, `t/s`, `Load, kg`, `Load kN`. */
function headingOf(text: string): Heading {
  const plain = text
    .trim()
    .replace(/^["']|["']$/g, '')
    .trim();
  const parted = /^(.*?)\s*(?:[([{]\s*([^)\]}]*)\s*[)\]}]|[_/,:;]\s*([^\s_/]+)|\s([^\s_/]+))$/u.exec(plain);
  const unit = (parted?.[2] ?? parted?.[3] ?? parted?.[4])?.trim();
  const name = parted?.[1];
  if (name !== undefined && unit !== undefined && isUnit(unit)) return { name: nameOf(name), unit };
  return { name: nameOf(plain) };
}

const nameOf = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[_\s]+/g, ' ')
    .trim();

const isUnit = (text: string): boolean => TIME_UNITS[text.toLowerCase()] !== undefined || findUnit(text) !== undefined;

const NUMBER = { '.': /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i, ',': /^[+-]?(?:\d+,?\d*|,\d+)(?:e[+-]?\d+)?$/i } as const;
const CLOCK = /^(?:(\d{4}-\d{2}-\d{2})[T ])?(\d{1,2}):(\d{2}):(\d{2}(?:[.,]\d+)?)$/;

/** A number as recorders write it: a decimal mark, a sign, an exponent, no marks between thousands; NaN for anything else. */
export function seriesNumber(cell: string, decimal: DecimalMark): number {
  const text = cell.trim();
  if (!NUMBER[decimal].test(text)) return Number.NaN;
  return Number(decimal === ',' ? text.replace(',', '.') : text);
}

/** Seconds of a clock's time, with the day before it where there is one; NaN for anything else. */
export function clockSeconds(cell: string): number {
  const match = CLOCK.exec(cell.trim());
  if (!match) return Number.NaN;
  const [, day, hours = '', minutes = '', seconds = ''] = match;
  const [h, m, s] = [Number(hours), Number(minutes), Number(seconds.replace(',', '.'))];
  if (h > 23 || m > 59 || s >= 60) return Number.NaN;
  const days = day === undefined ? 0 : Date.parse(`${day}T00:00:00Z`) / 1000;
  return days + h * 3600 + m * 60 + s;
}

/**
 * Reads the head of a recorder's file: its first rows as cells, headings and the first figures among them. Tension and time are found
 * by their headings; a unit that no heading says is asked, never guessed; a bare ton likewise.
 */
export function seriesHead(rows: readonly (readonly string[])[], stated: SeriesStated = {}): SeriesHead {
  const isTension = (name: string) => TENSIONS.includes(name) || (stated.tension !== undefined && name === headingOf(stated.tension).name);
  const at = rows.slice(0, MOST_ABOVE).findIndex((cells) => {
    const names = cells.map((cell) => headingOf(cell).name);
    return names.some((name) => TIMES.includes(name)) && names.some(isTension);
  });
  const headings = rows[at]?.map(headingOf);
  if (!headings)
    return {
      kind: 'fault',
      message: 'No line names a time and a tension. Name the columns in the first line, for example time_s,tension_N.',
    };
  const time = headings.findIndex(({ name }) => TIMES.includes(name));
  const tension = tensionOf(headings, rows[at] ?? [], stated);
  if (typeof tension !== 'number') return tension;
  const units = unitsBelow(rows[at + 1]);
  const first = rows[at + (units ? 2 : 1)];
  if (!first) return { kind: 'fault', message: 'There is no row of figures below the headings.' };
  const decimal = first.some((cell) => /^[+-]?\d*,\d+$/.test(cell.trim())) ? ',' : '.';
  const unitAt = (column: number) => headings[column]?.unit ?? units?.[column];
  const timeS = timeUnit(headings[time], unitAt(time), first[time] ?? '', stated);
  if (timeS === undefined) return { kind: 'asked', ask: 'timeUnit', heading: rows[at]?.[time] ?? '', choices: timeUnitChoices };
  const tensionN = forceUnit(stated.forceUnit ?? unitAt(tension));
  if (tensionN === undefined) return { kind: 'asked', ask: 'forceUnit', heading: rows[at]?.[tension] ?? '', choices: forceUnitChoices };
  const travel = headings.findIndex(({ name }) => TRAVELS.includes(name));
  const travelM = travel < 0 ? undefined : lengthUnit(unitAt(travel));
  return {
    kind: 'read',
    columns: {
      time,
      timeS,
      tension,
      tensionN,
      ...(travelM !== undefined && { travel, travelM }),
      decimal,
      headLines: at + (units ? 2 : 1),
    },
  };
}

function tensionOf(headings: readonly Heading[], written: readonly string[], { tension }: SeriesStated): number | SeriesHead {
  if (tension !== undefined) {
    const at = written.findIndex((heading) => nameOf(heading) === nameOf(tension));
    return at >= 0 ? at : { kind: 'fault', message: `No column is headed “${tension}”.` };
  }
  const could = headings.flatMap(({ name }, index) => (TENSIONS.includes(name) ? [index] : []));
  const [only] = could;
  if (could.length === 1 && only !== undefined) return only;
  // One that says that it is a tension is it; a load and a force side by side are not told apart by anything.
  const named = could.filter((index) => headings[index]?.name.endsWith('tension'));
  const [one] = named;
  if (named.length === 1 && one !== undefined) return one;
  return { kind: 'asked', ask: 'tension', choices: could.map((index) => written[index] ?? '') };
}

/** A line of units below the headings; nothing where figures begin there. */
function unitsBelow(row: readonly string[] | undefined): readonly (string | undefined)[] | undefined {
  const units = row?.map((cell) => cell.trim().replace(/^[([]|[)\]]$/g, '')) ?? [];
  const isOne = units.some((unit) => isUnit(unit)) && units.every((unit) => unit === '' || !/^[+-]?[\d.,]/.test(unit));
  return isOne ? units.map((unit) => unit || undefined) : undefined;
}

/** A heading that is itself a unit says it: “seconds”, “ms”. */
function timeUnit(
  heading: Heading | undefined,
  unit: string | undefined,
  first: string,
  stated: SeriesStated,
): number | 'clock' | undefined {
  if (!Number.isNaN(clockSeconds(first))) return 'clock';
  return TIME_UNITS[(stated.timeUnit ?? unit ?? heading?.name ?? '').toLowerCase()];
}

/** Newtons of one; a mass is taken as its weight. A bare ton has no answer. */
function forceUnit(text: string | undefined): number | undefined {
  const unit = text === undefined ? undefined : known(text);
  if (unit?.dimension === 'force') return unit.toSi;
  return unit?.dimension === 'mass' ? unit.toSi * STANDARD_GRAVITY : undefined;
}

function lengthUnit(text: string | undefined): number | undefined {
  const unit = text === undefined ? undefined : known(text);
  return unit?.dimension === 'length' ? unit.toSi : undefined;
}

function known(text: string): Unit | undefined {
  const unit = findUnit(text);
  return unit === 'ambiguous-ton' ? undefined : unit;
}
