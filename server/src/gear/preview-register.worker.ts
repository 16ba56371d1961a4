import type { ImportPreview } from '@wainrope/contract';
import { inThread } from '../threads/in-thread.ts';
import { type CompareInput, compareRegister } from './compare-register.ts';

export interface PreviewInput extends CompareInput {
  readonly head: Omit<ImportPreview, 'rows'>;
}

/** What bringing a file in would do, written as it is answered: thousands of rows are not opened again on their way. */
export default inThread<PreviewInput, Uint8Array>(({ head, ...input }, tell) => {
  const rows = compareRegister(input, tell).map(({ view }) => view);
  return Buffer.from(JSON.stringify({ ...head, rows } satisfies ImportPreview));
});
