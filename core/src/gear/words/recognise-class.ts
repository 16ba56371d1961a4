import { type GearClass, gearClasses, gearClassNames } from '../classes/gear-classes.ts';
import { classWords } from './class-words.ts';
import { belongings, type OpenWord, openWords, otherThings } from './open-words.ts';

export type RecognisedClass =
  /** The words are a name of the class and nothing else. */
  | { readonly kind: 'known'; readonly gear: GearClass; readonly word: string }
  /** Among other words there is a name of the class: a guess, to be shown as one. */
  | { readonly kind: 'likely'; readonly gear: GearClass; readonly word: string }
  /** A word that may be of several classes. */
  | { readonly kind: 'open'; readonly classes: readonly GearClass[]; readonly word: string }
  | { readonly kind: 'unknown' };

/** What a phrase of the tables stands for. */
type Meaning = { readonly gear: GearClass } | { readonly open: OpenWord } | { readonly other: true };

interface Found {
  readonly phrase: string;
  readonly from: number;
  readonly to: number;
  readonly meaning: Meaning;
}

/** `Straps` → `strap`, `winches` → `winch`; `glass` stays. */
function singular(word: string): string {
  if (/(?:ss|x|ch|sh)es$/.test(word)) return word.slice(0, -2);
  return word.length > 3 && word.endsWith('s') && !/(?:ss|us|is)$/.test(word) ? word.slice(0, -1) : word;
}

/** A size, a rating or a count among words: it names no class. */
const SIZE =
  /^(?:[\d.,/x×*-]+(?:mm|cm|m|in|ft|kg|g|t|ton|tonne|kn|lb|lbs|v)?|[x×]\d+|mm|cm|m|in|ft|kg|t|ton|tonne|kn|lb|lbs|wll|swl|mbs|mbl)$/;

/** Words of a text in small letters, in the singular, without accents and sizes. */
export function plainWords(text: string): readonly string[] {
  return text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/['’`"”″]/g, '')
    .replace(/[^a-z0-9.,/×*]+/g, ' ')
    .split(' ')
    .map((word) => word.replace(/^[.,/]+|[.,/]+$/g, ''))
    .filter((word) => word !== '' && !SIZE.test(word))
    .flatMap((word) => word.split(/[.,/]/))
    .filter((word) => word !== '')
    .map(singular);
}

const meanings: ReadonlyMap<string, Meaning> = new Map<string, Meaning>([
  ...otherThings.map((phrase) => [phrase, { other: true }] as const),
  ...openWords.map((open) => [open.word, { open }] as const),
  ...gearClassNames.flatMap((gear) =>
    [gear, gearClasses[gear].label, gearClasses[gear].plural, ...classWords[gear]].map(
      (name) => [plainWords(name).join(' '), { gear }] as const,
    ),
  ),
]);

const LONGEST = Math.max(...[...meanings.keys()].map((phrase) => phrase.split(' ').length));

/** Every word of the tables, for whoever mends the spelling of a text first. */
export const vocabulary: readonly string[] = [
  ...new Set([
    ...[...meanings.keys()].flatMap((phrase) => phrase.split(' ')),
    ...openWords.flatMap(({ classes }) => classes.flatMap(({ beside }) => beside)),
    ...belongings,
  ]),
];

/** Where the thing itself ends and what it is for, made of or kept in begins. */
const BEHIND = /\s(?:for|with|w\/|c\/w|incl\.?|including|in|on|to|from|and|\+|&)\s/i;
/** Where an inventory turns a name round: `Shackle, soft`, `Strap (tree)`, `Rope - kinetic`. */
const TURNED = /\s[-–—]\s|[,;:()]|(?<=[a-z])\/(?=[a-z])/i;

/** Says what class a text names, by the words of the trade. `mend` corrects the spelling of a word. */
export function recogniseClass(text: string, mend: (word: string) => string = (word) => word): RecognisedClass {
  const whole = plainWords(text).map(mend);
  const exact = meanings.get(whole.join(' '));
  if (exact && 'gear' in exact && whole.join(' ') === plainWords(text).join(' '))
    return { kind: 'known', gear: exact.gear, word: whole.join(' ') };
  const [itself = ''] = text.split(BEHIND);
  const parts = itself
    .split(TURNED)
    .map((part) => plainWords(part).map(mend))
    .filter((part) => part.length > 0);
  const best = bestOf(parts);
  return best ? answer(best, whole) : { kind: 'unknown' };
}

/** The longest phrase: in the first part, or across a part turned round in front of the first. */
function bestOf(parts: readonly (readonly string[])[]): Found | undefined {
  const [first = [], ...rest] = parts;
  const inFirst = lastOfLongest(phrasesIn(first));
  const turned = rest.flatMap((part) => phrasesIn([...part, ...first]).filter(({ from, to }) => from < part.length && to > part.length));
  const across = lastOfLongest(turned);
  if (across && (!inFirst || lengthOf(across) > lengthOf(inFirst) || 'open' in inFirst.meaning)) return across;
  return inFirst ?? rest.map((part) => lastOfLongest(phrasesIn(part))).find((found) => found !== undefined);
}

const lengthOf = ({ from, to }: Found): number => to - from;

/** Of phrases that do not overlap the last is what the thing is: a “winch shackle” is a shackle. */
function lastOfLongest(found: readonly Found[]): Found | undefined {
  const kept: Found[] = [];
  for (const phrase of [...found].sort((a, b) => lengthOf(b) - lengthOf(a)))
    if (!kept.some(({ from, to }) => phrase.from < to && from < phrase.to)) kept.push(phrase);
  return kept.sort((a, b) => b.from - a.from)[0];
}

function phrasesIn(words: readonly string[]): readonly Found[] {
  const found: Found[] = [];
  for (let from = 0; from < words.length; from++)
    for (let to = from + 1; to <= Math.min(words.length, from + LONGEST); to++) {
      const phrase = words.slice(from, to).join(' ');
      const meaning = meanings.get(phrase) ?? (to - from === 2 ? meanings.get(`${words[to - 1]} ${words[from]}`) : undefined);
      if (meaning && !belongings.includes(words[to] ?? '')) found.push({ phrase, from, to, meaning });
    }
  return found;
}

/** A bare “shackle” among words that speak of fibre is none of steel. */
const SOFT = ['soft', 'synthetic', 'fibre', 'fiber', 'textile', 'hmpe', 'uhmwpe'];

function answer({ phrase, meaning }: Found, whole: readonly string[]): RecognisedClass {
  if ('other' in meaning) return { kind: 'unknown' };
  if ('gear' in meaning) {
    const doubted = meaning.gear === 'steel-shackle' && whole.some((word) => SOFT.includes(word));
    return doubted
      ? { kind: 'open', classes: ['soft-shackle', 'steel-shackle'], word: phrase }
      : { kind: 'likely', gear: meaning.gear, word: phrase };
  }
  const { word, classes } = meaning.open;
  const settled = classes.filter(({ beside }) => beside.some((other) => whole.includes(other)));
  const [only] = settled;
  if (only && settled.length === 1) return { kind: 'likely', gear: only.kind, word: phrase };
  return { kind: 'open', classes: (settled.length > 1 ? settled : classes).map(({ kind }) => kind), word };
}
