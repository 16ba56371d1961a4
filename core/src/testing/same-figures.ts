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
const NUMBER = '[−-]?\\d+(?:\\u202f\\d{3})*(?:\\.\\d+)?';
/** A number with its unit behind a space; one that shares the unit of a number soon after it has none of its own. */
const FIGURE = new RegExp(`(${NUMBER})(?:[ \\u00a0](${WORDS})(?![\\w·/]))?`, 'g');

function writtenIn(text: string): readonly Written[] {
  return [...text.matchAll(FIGURE)].map(([whole, number = '', unit]) => {
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

/** A number that stands for the same thing in another unit: its unit stands with one soon after it (“5.7 of 8.0 kN”). */
const shares = (written: readonly Written[], index: number): string =>
  written[index]?.kind === 'bare' ? (written.slice(index + 1, index + 3).find(({ kind }) => kind !== 'bare')?.kind ?? 'bare') : 'bare';

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
      if (figure.kind !== other.kind) return [`${other.text} is ${figure.text} in ${units}`];
      const slack = 1e-9 * Math.max(1, Math.abs(other.most));
      const overlap = figure.least <= other.most + slack && other.least <= figure.most + slack;
      if (overlap || (figure.kind === 'bare' && shares(own, index) !== 'bare')) return [];
      return [`${other.text} is ${figure.text} in ${units}`];
    });
  });
}
