import { DEGREE } from './angles.ts';
/** Units as people write them, each with its factor to SI. Sources: SI brochure; the international pound and inch of 1959. */

/** Standard gravity, m/s² (third general conference on weights and measures, 1901). */
export const STANDARD_GRAVITY = 9.80665;
const POUND_KG = 0.45359237;
const INCH_M = 0.0254;
export const FOOT_M = 0.3048;
export const POUND_FORCE_N = 4.4482216152605;
export const SHORT_TON_KG = 2000 * POUND_KG;
export const LONG_TON_KG = 2240 * POUND_KG;

export type Dimension = 'force' | 'mass' | 'length' | 'angle';

export interface Unit {
  readonly name: string;
  readonly dimension: Dimension;
  readonly toSi: number;
  /** Spellings; case counts only where `exactCase` says so. */
  readonly spellings: readonly string[];
  readonly exactCase?: boolean;
}

export const units: readonly Unit[] = [
  { name: 'N', dimension: 'force', toSi: 1, spellings: ['n', 'newton', 'newtons'] },
  { name: 'daN', dimension: 'force', toSi: 10, spellings: ['dan', 'decanewton', 'decanewtons'] },
  { name: 'kN', dimension: 'force', toSi: 1000, spellings: ['kn', 'kilonewton', 'kilonewtons'] },
  { name: 'lbf', dimension: 'force', toSi: POUND_FORCE_N, spellings: ['lbf', 'pounds force', 'pound force', 'lbs force'] },
  { name: 'kgf', dimension: 'force', toSi: STANDARD_GRAVITY, spellings: ['kgf', 'kp', 'kilogram force'] },
  { name: 'tf', dimension: 'force', toSi: 1000 * STANDARD_GRAVITY, spellings: ['tf', 'tonne force', 'tonnes force'] },
  { name: 'g', dimension: 'mass', toSi: 0.001, spellings: ['g', 'gram', 'grams'] },
  { name: 'kg', dimension: 'mass', toSi: 1, spellings: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'] },
  { name: 't', dimension: 'mass', toSi: 1000, spellings: ['t'], exactCase: true },
  { name: 'tonne', dimension: 'mass', toSi: 1000, spellings: ['tonne', 'tonnes', 'metric ton', 'metric tons', 'metric tonnes', 'mt'] },
  { name: 'lb', dimension: 'mass', toSi: POUND_KG, spellings: ['lb', 'lbs', 'pound', 'pounds'] },
  { name: 'short ton', dimension: 'mass', toSi: SHORT_TON_KG, spellings: ['short ton', 'short tons', 'us ton', 'us tons'] },
  { name: 'long ton', dimension: 'mass', toSi: LONG_TON_KG, spellings: ['long ton', 'long tons', 'uk ton', 'uk tons'] },
  { name: 'mm', dimension: 'length', toSi: 0.001, spellings: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'] },
  { name: 'cm', dimension: 'length', toSi: 0.01, spellings: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'] },
  { name: 'm', dimension: 'length', toSi: 1, spellings: ['m', 'metre', 'metres', 'meter', 'meters'] },
  { name: 'in', dimension: 'length', toSi: INCH_M, spellings: ['in', 'inch', 'inches', '"', '”', '″', "''"] },
  { name: 'ft', dimension: 'length', toSi: FOOT_M, spellings: ['ft', 'foot', 'feet', "'", '’', '′'] },
  { name: '°', dimension: 'angle', toSi: DEGREE, spellings: ['°', 'deg', 'degree', 'degrees', 'º'] },
  { name: 'rad', dimension: 'angle', toSi: 1, spellings: ['rad'] },
];

/** The three readings of a bare `ton`, `tons` or capital `T`, the smallest first. */
export const tonReadings: readonly Unit[] = ['short ton', 'tonne', 'long ton'].map((name) => {
  const unit = units.find((candidate) => candidate.name === name);
  if (unit === undefined) throw new Error(`unit table lacks ${name}`);
  return unit;
});

/** Finds the unit a spelling stands for; `ambiguous-ton` for a bare ton; undefined when it is none. */
export function findUnit(spelling: string): Unit | 'ambiguous-ton' | undefined {
  const trimmed = spelling
    .trim()
    .replace(/\.$/, '')
    .replace(/[\s-]+/g, ' ');
  if (trimmed === 'T' || /^tons?$/i.test(trimmed)) return 'ambiguous-ton';
  const lower = trimmed.toLowerCase();
  return units.find((unit) => (unit.exactCase ? unit.spellings.includes(trimmed) : unit.spellings.includes(lower)));
}
