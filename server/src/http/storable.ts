import type { FieldFault } from './problem.ts';

/** Names by which people find things: one that shows nothing is none. */
const SHOWN = ['name', 'tag', 'label', 'teamName', 'personName', 'holderName', 'model', 'reason', 'words', 'how', 'destroyed'];
const VISIBLE = /[^\p{Z}\p{C}]/u;
const MOST = 100;

interface Text {
  readonly text: string;
  readonly path: string;
  /** The field that it stands in, by its name. */
  readonly field: string;
}

/** Every text of a value, with where it stands. */
function* textsOf(value: unknown, path: string, field: string): Generator<Text> {
  if (typeof value === 'string') yield { text: value, path, field };
  else if (Array.isArray(value)) for (const [index, inner] of value.entries()) yield* textsOf(inner, `${path}[${index}]`, field);
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) yield* textsOf(inner, path === '' ? key : `${path}.${key}`, key);
}

/** Texts that no database keeps, or that nobody would see, by their path. */
export function unstorable(value: unknown, path = ''): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  for (const { text, path: at, field } of textsOf(value, path, path)) {
    const message = textFault(text, SHOWN.includes(field));
    if (message) faults.push({ path: at, message });
    if (faults.length >= MOST) break;
  }
  return faults;
}

function textFault(text: string, isShown: boolean): string | undefined {
  if (text.includes('\0')) return 'A null character stands in the text; leave it out.';
  if (/\p{Surrogate}/u.test(text)) return 'Half a character stands in the text; type it again.';
  if (isShown && text !== '' && !VISIBLE.test(text)) return 'Nothing of this can be seen; type letters or digits.';
  return undefined;
}
