import { type GearClass, gearClasses, gearClassNames, type RecognisedClass, recogniseClass } from '@wainrope/core';
import type { Cells, ReadRowSettings, RowReader } from './register-row.ts';
import { meaningKey, plainWord } from './word-meanings.ts';

/** The class of a row: by its own cell, else by its name, as far as the words of the trade tell. What is guessed is said, what is open is asked. */
export function classOfRow(reader: RowReader): GearClass | undefined {
  const [typed, name] = [reader.cell('class'), reader.cell('name')];
  if (typed === undefined && name === undefined)
    return reader.refuse('class', 'Neither a class nor a description stands here; say what the piece is.');
  const own = reader.settings.isOwn ? ownName(typed) : undefined;
  return own ?? meaningOf(reader, name) ?? fromWords(reader, typed, name);
}

/** A class by the name that it has here. */
function ownName(text: string | undefined): GearClass | undefined {
  const name = spaced(text ?? '');
  return gearClassNames.find((kind) => [kind, gearClasses[kind].label, gearClasses[kind].plural].some((form) => spaced(form) === name));
}

const spaced = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');

/** What somebody of the team has said of a word. It is shown like a guess, so that one row can be of another class all the same. */
function meaningOf({ settings, guess }: RowReader, text: string | undefined): GearClass | undefined {
  const meaning = text === undefined ? undefined : settings.meanings?.get(meaningKey('class', text));
  const found = gearClassNames.find((kind) => kind === meaning);
  if (found) guess(found);
  return found;
}

type Told = Exclude<RecognisedClass, { readonly kind: 'unknown' }>;
const tells = (found: RecognisedClass): found is Told => found.kind !== 'unknown';
const classesOf = (found: Told): readonly GearClass[] => (found.kind === 'open' ? found.classes : [found.gear]);

/** Says what class a text names. */
type Recognise = NonNullable<ReadRowSettings['recognise']>;

function readings(typed: string | undefined, name: string | undefined, recognise: Recognise) {
  const of = (text: string | undefined): RecognisedClass => (text === undefined ? { kind: 'unknown' } : recognise(text));
  return { byCell: of(typed), byName: of(name), together: of(typed && name && `${name}, ${typed}`) };
}

function fromWords(reader: RowReader, typed: string | undefined, name: string | undefined): GearClass | undefined {
  const { byCell, byName, together } = readings(typed, name, reader.settings.recognise ?? recogniseClass);
  const answered = byName.kind === 'known' || byName.kind === 'likely' ? undefined : meaningOf(reader, typed);
  if (answered) return answered;
  const told = [byCell, byName, together].filter(tells);
  const agreed = gearClassNames.filter((kind) => told.length > 0 && told.every((found) => classesOf(found).includes(kind)));
  const named = told.filter(({ kind }) => kind !== 'open').flatMap(classesOf);
  const [only] = agreed;
  if (only && agreed.length === 1 && named.length > 0) {
    if (!(byCell.kind === 'known' || (typed === undefined && byName.kind === 'known'))) reader.guess(only);
    return only;
  }
  const most = told.find((found) => told.every((other) => other.word.split(' ').every((word) => found.word.split(' ').includes(word))));
  if (most && most.kind !== 'open' && agreed.length !== 1) {
    reader.guess(most.gear);
    return most.gear;
  }
  const choices = [...new Set(most?.kind === 'open' ? most.classes : told.flatMap(classesOf))];
  return reader.ask({
    about: 'class',
    word: plainWord('class', askedOf(reader, typed, name, byCell, byName)),
    ...(choices.length > 0 && { choices }),
  });
}

/** Whose words are asked about: the class that stands there, but for one under which this file lists all kinds of things. */
function askedOf(
  { settings }: RowReader,
  typed: string | undefined,
  name: string | undefined,
  byCell: RecognisedClass,
  byName: RecognisedClass,
): string {
  if (typed === undefined) return name ?? '';
  if (name === undefined) return typed;
  if (byCell.kind !== 'unknown') return byName.kind === 'known' || byName.kind === 'likely' ? name : typed;
  return byName.kind !== 'unknown' || settings.broad?.has(plainWord('class', typed)) ? name : typed;
}

/** Words of the class column that name no class and under which the names tell of several: “Rigging”, “Soft goods”. */
export function broadWords(rows: Iterable<Cells>, recognise: Recognise = recogniseClass): ReadonlySet<string> {
  const under = new Map<string, Set<GearClass>>();
  for (const { class: typed = '', name = '' } of rows) {
    const word = typed.trim() === '' ? '' : plainWord('class', typed);
    if (word === '' || recognise(typed).kind !== 'unknown') continue;
    const byName = recognise(name);
    if (byName.kind === 'unknown') continue;
    const found = under.get(word) ?? new Set();
    for (const kind of classesOf(byName)) found.add(kind);
    under.set(word, found);
  }
  return new Set([...under].flatMap(([word, { size }]) => (size > 1 ? [word] : [])));
}
