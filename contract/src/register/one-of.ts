/** One of a closed list by its name, whatever the case; refused where it is none of them. */
export function oneOf<T extends string>(
  options: readonly T[],
  text: string | undefined,
  refuse: (message: string) => undefined,
): T | undefined {
  if (text === undefined) return undefined;
  const name = text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[\s_]+/g, '-');
  return (
    options.find((option) => option.replaceAll(' ', '-') === name) ??
    refuse(`“${text}” is not recognised; expected one of ${options.join(', ')}.`)
  );
}

/** A number without a unit, under a heading that names none either. */
export const isBare = (text: string, unit: string | undefined): boolean => unit === undefined && /^\d[\d.,\s]*$/.test(text);

/** A bare number takes the unit that its heading names. */
export function withUnit(text: string, unit: string | undefined): string {
  return unit !== undefined && /^[\d.,\s/½¼¾⅛⅜⅝⅞-]+$/.test(text) ? `${text} ${unit}` : text;
}
