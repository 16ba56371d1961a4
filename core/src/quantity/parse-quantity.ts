import { type DecimalMark, parseNumber, spellOutFractions } from './parse-number.ts';
import { type Dimension, findUnit, STANDARD_GRAVITY, tonReadings, type Unit } from './units.ts';

export interface Reading {
  readonly unit: string;
  readonly valueSi: number;
}

export type ParsedQuantity =
  | { readonly kind: 'understood'; readonly reading: Reading; readonly settingDecided: boolean }
  /** A bare ton: every reading, the smallest first. */
  | { readonly kind: 'ambiguous'; readonly readings: readonly Reading[]; readonly settingDecided: boolean }
  | { readonly kind: 'fault'; readonly message: string };

const EXAMPLES: { readonly [D in Dimension]: string } = {
  force: '6.5 t, 31 700 lb or 63 kN',
  mass: '2 600 kg, 2.6 t or 5 700 lb',
  length: '12 mm, 2.4 m, 11/16 in or 6 ft 4 in',
  angle: '4°',
};

interface ParseSettings {
  readonly dimension: Dimension;
  readonly decimal: DecimalMark;
}

/**
 * Reads a number with its unit as it stands on a tag or is typed. Results are SI (N, kg, m, rad).
 * A mass unit in a force field means × g₀; a force unit in a mass field is a fault; a bare `ton` or `T` gives all readings.
 * Empty, negative, infinite or foreign text is a fault that names the text and what was expected, never a zero.
 */
export function parseQuantity(text: string, settings: ParseSettings): ParsedQuantity {
  if (text.length > LONGEST) return fault(tooLong(text));
  const trimmed = spellOutFractions(text.trim());
  if (trimmed === '') return fault(`Nothing is written here; expected for example ${EXAMPLES[settings.dimension]}.`);
  if (/^[-−–]/.test(trimmed))
    return fault(`“${text.trim()}” is negative; a positive value such as ${EXAMPLES[settings.dimension]} is expected.`);
  const feet = settings.dimension === 'length' ? parseFeetAndInches(trimmed, settings.decimal) : undefined;
  if (feet) return feet;
  const match = /^([\d.,/\s\u00a0\u2009\u202f'’-]*\d)\s*-?\s*([^\d].*)?$/u.exec(trimmed);
  const number = match?.[1] === undefined ? undefined : parseNumber(match[1].trim(), settings.decimal);
  if (match === null || number === undefined)
    return fault(`“${text.trim()}” is not understood; expected a number with its unit, for example ${EXAMPLES[settings.dimension]}.`);
  return withUnit(
    { text: text.trim(), value: number.value, unitText: match[2] ?? '', settingDecided: number.settingDecided },
    settings.dimension,
  );
}

/** No quantity takes more, and what is longer is not looked through. */
export const LONGEST = 120;

export const tooLong = (text: string): string =>
  `“${text.slice(0, 30).trim()}…” has ${text.length} characters; a number with its unit has at most ${LONGEST}.`;

interface Pieces {
  readonly text: string;
  readonly value: number;
  readonly unitText: string;
  readonly settingDecided: boolean;
}

function withUnit({ text, value, unitText, settingDecided }: Pieces, dimension: Dimension): ParsedQuantity {
  if (unitText.trim() === '') return fault(`“${text}” has no unit; a unit is expected, for example ${EXAMPLES[dimension]}.`);
  const unit = findUnit(unitText);
  if (unit === undefined)
    return fault(`“${unitText.trim()}” in “${text}” is not a known unit; expected for example ${EXAMPLES[dimension]}.`);
  if (value === 0) return fault(`“${text}” is zero; a positive value such as ${EXAMPLES[dimension]} is expected.`);
  if (unit === 'ambiguous-ton') {
    if (dimension !== 'force' && dimension !== 'mass')
      return fault(`“${text}” is in tons, but a ${dimension} is expected, for example ${EXAMPLES[dimension]}.`);
    return { kind: 'ambiguous', readings: tonReadings.map((ton) => reading(value, ton, dimension)), settingDecided };
  }
  if (!fitsDimension(unit, dimension))
    return fault(`“${text}” is a ${unit.dimension}, but a ${dimension} is expected, for example ${EXAMPLES[dimension]}.`);
  return { kind: 'understood', reading: reading(value, unit, dimension), settingDecided };
}

function fitsDimension(unit: Unit, dimension: Dimension): boolean {
  return unit.dimension === dimension || (dimension === 'force' && unit.dimension === 'mass');
}

function reading(value: number, unit: Unit, dimension: Dimension): Reading {
  const weight = dimension === 'force' && unit.dimension === 'mass' ? STANDARD_GRAVITY : 1;
  return { unit: unit.name, valueSi: value * unit.toSi * weight };
}

function parseFeetAndInches(text: string, decimal: DecimalMark): ParsedQuantity | undefined {
  const match = /^(\d+)\s*(?:ft|feet|foot|'|’|′)\s*(?:(\d[\d\s/.,-]*?)\s*(?:in|inch|inches|"|”|″|'')\.?)$/iu.exec(text);
  if (!match?.[2]) return undefined;
  const inches = parseNumber(match[2].trim(), decimal);
  if (!inches) return undefined;
  return {
    kind: 'understood',
    reading: { unit: 'ft in', valueSi: (Number(match[1]) * 12 + inches.value) * 0.0254 },
    settingDecided: inches.settingDecided,
  };
}

function fault(message: string): ParsedQuantity {
  return { kind: 'fault', message };
}
