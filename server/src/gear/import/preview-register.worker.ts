import type { ImportPreview, ImportQuestion } from '@wainrope/contract';
import { inThread } from '../../threads/in-thread.ts';
import { unpack } from '../../threads/packed.ts';
import { type CompareInput, compareRegister } from './compare-register.ts';
import type { ReadLine } from './read-register.ts';

export interface PreviewInput extends CompareInput {
  readonly head: Omit<ImportPreview, 'rows' | 'questions'>;
}

/** What bringing a file in would do, written as it is answered: thousands of rows are not opened again on their way. */
export default inThread<PreviewInput, Uint8Array>(({ head, ...input }, tell) => {
  const rows = compareRegister(input, tell).map(({ view }) => view);
  const questions = questionsOf(unpack(input.lines));
  return Buffer.from(JSON.stringify({ ...head, questions, rows } satisfies ImportPreview));
});

/** So many rows are named under a question. */
const EXAMPLES = 4;

/** Every question once, the one that settles most rows first. */
function questionsOf(lines: readonly ReadLine[]): ImportQuestion[] {
  const asked = new Map<string, ImportQuestion>();
  for (const { questions, cells, line } of lines)
    for (const { about, word, choices = [], optional = false } of questions) {
      // One answer settles every date.
      const key = about === 'day-order' ? about : `${about} ${word}`;
      const before = asked.get(key);
      const example = cells.name?.trim() || cells.class?.trim() || cells.tag?.trim() || `line ${line}`;
      const examples = [...new Set([...(before?.examples ?? []), example])].slice(0, EXAMPLES);
      const rows = (before?.rows ?? 0) + 1;
      asked.set(key, { about, word: before?.word ?? word, choices, optional: optional && (before?.optional ?? true), rows, examples });
    }
  return [...asked.values()].sort((a, b) => Number(a.optional) - Number(b.optional) || b.rows - a.rows);
}
