import { expect, it } from 'vitest';
import { glossary } from './glossary.ts';
import { wordIds, wordParts } from './words-of-trade.ts';

it('leads to words that the glossary tells', () => {
  const told = new Set(glossary.map(({ id }) => id));
  expect(wordIds.filter((id) => !told.has(id))).toEqual([]);
});

it('finds a word where it first stands, however it is written, and the longer of two', () => {
  expect(wordParts('The line-pull limit is below the line pull.')).toEqual([
    { text: 'The ' },
    { text: 'line-pull limit', wordId: 'line-pull-limit' },
    { text: ' is below the ' },
    { text: 'line pull', wordId: 'line-pull' },
    { text: '.' },
  ]);
  expect(wordParts('WLL, and WLL again')).toEqual([{ text: 'WLL', wordId: 'wll' }, { text: ', and WLL again' }]);
});

it('takes no part of a longer word for one', () => {
  for (const text of ['', 'basketwork', 'off-basket', 'the bridles-to-be', 'unwraps'])
    expect(wordParts(text).every(({ wordId }) => !wordId)).toBe(true);
});

it('leaves each text as it was', () => {
  const text = 'Keep five wraps on the drum; a damper hangs on the winch leg, another damper on the load leg.';
  expect(
    wordParts(text)
      .map((part) => part.text)
      .join(''),
  ).toBe(text);
});
