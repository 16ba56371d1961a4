import type { ReaderUnits } from '../quantity/format.ts';
import { POUND_FORCE_N, STANDARD_GRAVITY } from '../quantity/units.ts';

/** What each written unit is in SI, and what it counts. */
const UNITS: { readonly [unit: string]: readonly [kind: string, si: number, offset?: number] } = {
  kN: ['force', 1000],
  tf: ['force', 1000 * STANDARD_GRAVITY],
  lbf: ['force', POUND_FORCE_N],
  kg: ['mass', 1],
  lb: ['mass', 0.45359237],
  m: ['length', 1],
  ft: ['length', 0.3048],
  mm: ['length', 0.001],
  in: ['length', 0.0254],
  kJ: ['energy', 1000],
  ft·lbf: ['energy', 1.3558179483],
  N·s: ['momentum', 1],
  lbf·s: ['momentum', POUND_FORCE_N],
  'm/s': ['speed', 1],
  'ft/s': ['speed', 0.3048],
  'km/h': ['speed', 1000 / 3600],
  mph: ['speed', 1609.344 / 3600],
  '°C': ['temperature', 1, 0],
  '°F': ['temperature', 1 / 1.8, 32],
};

/** A figure as it stands in a text: between which values in SI it lies, as its last digit says, or the bare number where it has no unit. */
interface Written {
  readonly text: string;
  readonly kind: string;
  readonly least: number;
  readonly most: number;
}

const WORDS = Object.keys(UNITS)
  .sort((a, b) => b.length - a.length)
  .map((word) => word.replace('/', '\\/'))
  .join('|');
const KILONEWTON = 1000;
const NUMBER = '[−-]?\\d+(?:\\u202f\\d{3})*(?:\\.\\d+)?';
/** A number with its unit behind a space; one that shares the unit of a number soon after it has none of its own. */
const FIGURE = new RegExp(`(${NUMBER})(?:[ \\u00a0](${WORDS})(?![\\w·/]))?`, 'g');

/** What binds a number to the one behind it, whose unit it shares: “5.7 of 8.0 kN”, “14.1 / 7.4 kN”, “2 to 3 m”. */
const SHARED = /^(?: of | \/ | to |–)$/;

function writtenIn(text: string): readonly Written[] {
  const found = [...text.matchAll(FIGURE)];
  const unitOf = (index: number): string | undefined => {
    const [at, next] = [found[index], found[index + 1]];
    if (at === undefined || at[2] !== undefined || next === undefined) return at?.[2];
    return SHARED.test(text.slice(at.index + at[0].length, next.index)) ? unitOf(index + 1) : undefined;
  };
  return found.map(([whole, number = ''], index) => {
    const unit = unitOf(index);
    const plain = number.replaceAll('\u202f', '').replace('−', '-');
    const value = Number(plain);
    if (unit === undefined) return { text: whole, kind: 'bare', least: value, most: value };
    const [kind, si, offset = 0] = UNITS[unit] ?? ['', Number.NaN];
    // Pounds of force are written to the nearest ten.
    const half = unit === 'lbf' ? 5 : 0.5 * 10 ** -(plain.split('.')[1]?.length ?? 0);
    const inSi = (shown: number) => (shown - offset) * si;
    return { text: whole, kind, least: inSi(value - half), most: inSi(value + half) };
  });
}

/**
 * Where two writings of one text, in two readers' units, differ in more than the unit: a figure that is missing, that is of another
 * kind, that is another value than the last digit allows, or a bare number that is not the same in both. Empty where they agree.
 */
export function differingFigures(texts: { readonly [U in ReaderUnits]: string }): readonly string[] {
  const metric = writtenIn(texts.kN);
  return (['t', 'lbf'] as const).flatMap((units) => {
    const own = writtenIn(texts[units]);
    if (own.length !== metric.length) return [`${metric.length} figures in kN, ${own.length} in ${units}`];
    return own.flatMap((figure, index) => {
      const other = metric[index];
      if (other === undefined) return [];
      const slack = 1e-9 * Math.max(1, Math.abs(other.most));
      const agrees = figure.kind === other.kind && figure.least <= other.most + slack && other.least <= figure.most + slack;
      return agrees ? [] : [`${other.text} is ${figure.text} in ${units}`];
    });
  });
}

/** Every force in a text in kN that is none of some values in newtons, as it would be written. */
export function strangeForces(text: string, newtons: Iterable<number>): readonly string[] {
  const written = new Set([...newtons].map((si) => (Math.abs(si) / KILONEWTON).toFixed(1)));
  return writtenIn(text)
    .filter(({ kind }) => kind === 'force')
    .flatMap((figure) => (written.has((Math.abs(figure.least + figure.most) / 2 / KILONEWTON).toFixed(1)) ? [] : [figure.text]));
}

/** Every number in a report or a case, whatever it is. */
export function numbersIn(value: unknown): readonly number[] {
  if (typeof value === 'number') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersIn) : [];
}
