import { POUND_FORCE_N, STANDARD_GRAVITY } from './units.ts';

/** The units a reader sees. Forces in kN, in kgf/t or in lbf; lengths and masses follow. */
export type ReaderUnits = 'kN' | 't' | 'lbf';

export type FigureKind = 'force' | 'mass' | 'length' | 'small-length' | 'angle' | 'ratio' | 'percent' | 'count' | 'area' | 'pressure';

/** A value in SI that knows what it is, so that text can carry it to any reader's unit. */
export interface Figure {
  readonly si: number;
  readonly as: FigureKind;
}

/** Text with figures in it, unit-free until shown. */
export type RichText = readonly (string | Figure)[];

/** Template tag that keeps figures as figures: `` rich`Carries ${force(n)}.` `` */
export function rich(strings: TemplateStringsArray, ...values: readonly (string | Figure | RichText)[]): RichText {
  const parts: (string | Figure)[] = [];
  strings.forEach((piece, index) => {
    if (piece !== '') parts.push(piece);
    const value = values[index];
    if (Array.isArray(value)) parts.push(...(value as RichText));
    else if (value !== undefined) parts.push(value as string | Figure);
  });
  return parts;
}

const make =
  (as: FigureKind) =>
  (si: number): Figure => ({ si, as });
export const force = make('force');
export const mass = make('mass');
export const length = make('length');
export const smallLength = make('small-length');
export const angle = make('angle');
export const ratio = make('ratio');
export const percent = make('percent');
export const count = make('count');

/** Writes rich text in the reader's units. */
export function write(text: RichText, units: ReaderUnits = 'kN'): string {
  return text.map((part) => (typeof part === 'string' ? part : formatFigure(part, units))).join('');
}

/** Thin no-break space between thousands, no-break space before the unit. */
export function formatFigure({ si, as }: Figure, units: ReaderUnits = 'kN'): string {
  const imperial = units === 'lbf';
  switch (as) {
    case 'force':
      return formatForce(si, units);
    case 'mass':
      return imperial ? `${group(si / 0.45359237, 0)} lb` : `${group(si, 0)} kg`;
    case 'length':
      return imperial ? `${group(si / 0.3048, 1)} ft` : `${group(si, 1)} m`;
    case 'small-length':
      return imperial ? `${group(si / 0.0254, 2)} in` : `${group(si * 1000, si < 0.02 ? 1 : 0)} mm`;
    case 'angle':
      return `${group((si * 180) / Math.PI, 0)}°`;
    case 'ratio':
      return group(si, 2);
    case 'percent':
      return `${group(si * 100, 0)} %`;
    case 'count':
      return group(si, 0);
    case 'area':
      return `${group(si, 2)} m²`;
    case 'pressure':
      return `${group(si / 1000, 1)} kPa`;
    default: {
      const never: never = as;
      return never;
    }
  }
}

function formatForce(forceN: number, units: ReaderUnits): string {
  if (units === 'kN') return `${group(forceN / 1000, 1)} kN`;
  if (units === 'lbf') return `${group(Math.round(forceN / POUND_FORCE_N / 10) * 10, 0)} lbf`;
  return `${group(forceN / STANDARD_GRAVITY / 1000, 2)} tf`;
}

function group(value: number, decimals: number): string {
  const [whole = '', fraction] = Math.abs(value).toFixed(decimals).split('.');
  const grouped = whole.length > 4 || (whole.length === 4 && decimals === 0) ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole;
  const sign = value < 0 && Number(value.toFixed(decimals)) !== 0 ? '−' : '';
  return `${sign}${grouped}${fraction === undefined ? '' : `.${fraction}`}`;
}
