import type { ReadResult } from '@wainrope/core';

/** What this server wrote itself, read again; one that is not readable is a fault of the program, told with its first fault. */
export function readStored<T>(what: string, result: ReadResult<T>): T {
  if (!result.ok) throw new Error(`${what} is not readable: ${result.faults[0]?.path} ${result.faults[0]?.message}`);
  return result.value;
}
