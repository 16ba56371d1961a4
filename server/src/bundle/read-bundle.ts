import { type Fault, read, type TypeOf } from '@wainrope/core';
import { bundleCodec } from './bundle-tables.ts';
import { type BundleRows, contentFaults } from './content-faults.ts';

export type Bundle = TypeOf<typeof bundleCodec>;

/** So many faults are enough to see what is wrong with a file. */
const FAULTS_SHOWN = 40;

export interface BundleFaults {
  /** The first of them. */
  readonly shown: readonly Fault[];
  readonly count: number;
}

/** Everything that is wrong with a team’s file, named by its path; none of it where it is whole. */
export function bundleFaults(file: unknown): BundleFaults {
  const result = read(bundleCodec, file);
  const faults = result.ok ? contentFaults(result.value.tables as BundleRows) : result.faults;
  return { shown: faults.slice(0, FAULTS_SHOWN), count: faults.length };
}
