import { readFileSync } from 'node:fs';

/** Where a command's files are read from. */
export interface Sources {
  /** All of standard input, where "-" stands among the words. */
  readonly stdin?: string;
}

export type FileText = { readonly text: string } | { readonly message: string };

const REASONS: { readonly [code: string]: (file: string) => string } = {
  ENOENT: (file) => `There is no file “${file}”.`,
  ENOTDIR: (file) => `There is no file “${file}”: part of the way to it is no folder.`,
  EISDIR: (file) => `“${file}” is a folder; name a file in it.`,
  EACCES: (file) => `“${file}” may not be read by whoever runs this.`,
};

/** The text of a file, or in words why it cannot be had. */
export function textOf(file: string, { stdin }: Sources): FileText {
  if (file === '-') return stdin === undefined ? { message: 'Nothing comes on standard input.' } : { text: stdin };
  try {
    return { text: readFileSync(file, 'utf8') };
  } catch (error) {
    const { code = '', message } = error as NodeJS.ErrnoException;
    return { message: REASONS[code]?.(file) ?? `“${file}” cannot be read: ${message}` };
  }
}
