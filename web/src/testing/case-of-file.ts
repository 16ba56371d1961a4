import { type Case, readRigFile } from '@wainrope/core';

/** The case of a rig file of the demo. */
export function caseOfFile(file: unknown): Case {
  const read = readRigFile(file);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.value.case;
}
