import { expect, it } from 'vitest';
import { glossary } from './glossary.ts';

it('holds each word once, in alphabetical order, with a meaning that is a sentence', () => {
  const words = glossary.map(({ word }) => word);
  expect(new Set(words).size).toBe(words.length);
  expect(new Set(glossary.map(({ id }) => id)).size).toBe(words.length);
  const ids = glossary.map(({ id }) => id);
  expect(ids).toEqual([...ids].sort());
  for (const { id, meaning } of glossary) {
    expect(id).toMatch(/^[a-z]+(-[a-z]+)*$/);
    expect(meaning).toMatch(/^[A-Z].*\.$/);
  }
});
