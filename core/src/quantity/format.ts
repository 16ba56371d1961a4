import { FOOT_M, POUND_FORCE_N, STANDARD_GRAVITY } from './units.ts';

/** The units a reader sees. Forces in kN, in kgf/t or in lbf; lengths and masses follow. */
export type ReaderUnits = 'kN' | 't' | 'lbf';

export type FigureKind =
  | 'force'
  | 'mass'
  | 'length'
  | 'small-length'
  | 'angle'
  | 'ratio'
  | 'percent'
  | 'count'
  | 'area'
  | 'pressure'
  | 'energy'
  | 'momentum'
  | 'speed'
  | 'driving-speed'
  | 'time'
  | 'current'
  | 'temperature';

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
export const energy = make('energy');
export const momentum = make('momentum');
export const speed = make('speed');
/** Metres per second, written as drivers read it. */
export const drivingSpeed = make('driving-speed');
/** Seconds. */
export const time = make('time');
export const current = make('current');
/** Degrees Celsius. */
export const temperature = make('temperature');

/** Writes rich text in the reader's units. */
export function write(text: RichText, units: ReaderUnits = 'kN'): string {
  return text.map((part) => (typeof part === 'string' ? part : formatFigure(part, units))).join('');
}

/** How a kind of figure is shown: divided (and shifted), with so many decimals, before its unit. */
interface Shown {
  readonly by: number;
  readonly decimals: number;
  readonly unit: string;
  readonly offset?: number;
}

/** Up to here people carry a thing, and a tenth of it counts. */
const HANDY_KG = 20;
const [KMH_M_PER_S, MPH_M_PER_S] = [1000 / 3600, 1609.344 / 3600];
const shownIn: { readonly [K in Exclude<FigureKind, 'force'>]: (si: number, imperial: boolean) => Shown } = {
  mass: (si, imperial) => {
    const decimals = Math.abs(si) < HANDY_KG ? 1 : 0;
    return imperial ? { by: 0.45359237, decimals, unit: ' lb' } : { by: 1, decimals, unit: ' kg' };
  },
  length: (_, imperial) => (imperial ? { by: FOOT_M, decimals: 1, unit: ' ft' } : { by: 1, decimals: 1, unit: ' m' }),
  'small-length': (si, imperial) =>
    imperial ? { by: 0.0254, decimals: 2, unit: ' in' } : { by: 0.001, decimals: si < 0.02 ? 1 : 0, unit: ' mm' },
  angle: () => ({ by: Math.PI / 180, decimals: 0, unit: '°' }),
  ratio: () => ({ by: 1, decimals: 2, unit: '' }),
  percent: () => ({ by: 0.01, decimals: 0, unit: ' %' }),
  count: () => ({ by: 1, decimals: 0, unit: '' }),
  area: () => ({ by: 1, decimals: 2, unit: ' m²' }),
  pressure: () => ({ by: 1000, decimals: 1, unit: ' kPa' }),
  energy: (_, imperial) => (imperial ? { by: 1.3558179483, decimals: 0, unit: ' ft·lbf' } : { by: 1000, decimals: 1, unit: ' kJ' }),
  momentum: (_, imperial) => (imperial ? { by: POUND_FORCE_N, decimals: 0, unit: ' lbf·s' } : { by: 1, decimals: 0, unit: ' N·s' }),
  speed: (si, imperial) => (imperial ? { by: FOOT_M, decimals: 0, unit: ' ft/s' } : { by: 1, decimals: si < 1 ? 2 : 0, unit: ' m/s' }),
  'driving-speed': (_, imperial) =>
    imperial ? { by: MPH_M_PER_S, decimals: 1, unit: ' mph' } : { by: KMH_M_PER_S, decimals: 1, unit: ' km/h' },
  time: (si) => (si >= 120 ? { by: 60, decimals: 0, unit: ' min' } : { by: 1, decimals: 0, unit: ' s' }),
  current: () => ({ by: 1, decimals: 0, unit: ' A' }),
  temperature: (_, imperial) => (imperial ? { by: 1 / 1.8, decimals: 0, unit: ' °F', offset: 32 } : { by: 1, decimals: 0, unit: ' °C' }),
};

/** Thin no-break space between thousands, a space before the unit. */
export function formatFigure({ si, as }: Figure, units: ReaderUnits = 'kN'): string {
  if (as === 'force') return formatForce(si, units);
  const { by, decimals, unit, offset = 0 } = shownIn[as](si, units === 'lbf');
  return `${group(si / by + offset, decimals)}${unit}`;
}

/** A written figure without its unit, for where the unit stands with the one beside it: `5 730 of 8 000 lbf`. */
export const withoutUnit = (written: string): string => written.replace(/ [^ ]*$/, '');

/** The reader's unit of force: its word, and how many newtons one is. */
export const readerForces: { readonly [U in ReaderUnits]: { readonly word: string; readonly newtons: number } } = {
  kN: { word: 'kN', newtons: 1000 },
  t: { word: 'tf', newtons: 1000 * STANDARD_GRAVITY },
  lbf: { word: 'lbf', newtons: POUND_FORCE_N },
};

function formatForce(forceN: number, units: ReaderUnits): string {
  const { word, newtons } = readerForces[units];
  const value = forceN / newtons;
  if (units === 'lbf') return `${group(Math.round(value / 10) * 10, 0)} ${word}`;
  return `${group(value, units === 'kN' ? 1 : 2)} ${word}`;
}

function group(value: number, decimals: number): string {
  const [whole = '', fraction] = Math.abs(value).toFixed(decimals).split('.');
  const grouped = whole.length > 4 || (whole.length === 4 && decimals === 0) ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole;
  const sign = value < 0 && Number(value.toFixed(decimals)) !== 0 ? '−' : '';
  return `${sign}${grouped}${fraction === undefined ? '' : `.${fraction}`}`;
}
