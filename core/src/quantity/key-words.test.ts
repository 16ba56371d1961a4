import { describe, expect, it } from 'vitest';
import type { Field } from '../gear/classes/fields.ts';
import { gearClasses } from '../gear/classes/gear-classes.ts';
import { fitKinds } from '../gear/fit.ts';
import { surfaces } from '../policy/grounds.ts';
import { keyWords } from './key-words.ts';

/** Every closed list that a piece of gear is described by, and what it is called. */
const choices = Object.entries(gearClasses).flatMap(([kind, { fields }]) =>
  Object.entries(fields as { readonly [key: string]: Field }).flatMap(([key, field]) =>
    field.type === 'choice' ? [{ what: `${kind}.${key}`, options: field.options }] : [],
  ),
);

describe('the words of a key', () => {
  it.each([
    ['makers-assembly', 'as the maker made it up'],
    ['hmpe', 'HMPE'],
    ['wet-grass', 'wet grass'],
    ['in-use', 'in use'],
    ['hubs', 'to the hubs'],
    ['drum-watcher', 'watches the drum'],
    ['in-the-loads-way', 'in the load’s way'],
    ['run-up-too-fast', 'run-up too fast'],
    ['soft-good-too-old', 'soft goods too old'],
  ])('%s: %s', (key, words) => {
    expect(keyWords(key)).toBe(words);
  });
  it('have no dash left in them but that of an English compound', () => {
    const dashed = [...choices.flatMap(({ options }) => options), ...surfaces, ...fitKinds]
      .map(keyWords)
      .filter((words) => words.includes('-'))
      .sort();
    expect([...new Set(dashed)]).toEqual([
      'cross-member of the frame',
      'cross-pin of a hitch receiver',
      'figure-of-eight knot',
      'tie-down eye',
    ]);
  });
  it('tell the choices of one list apart', () => {
    for (const { what, options } of choices) expect([what, new Set(options.map(keyWords)).size]).toEqual([what, options.length]);
  });
});
