import { plainWords } from '@wainrope/core';
import type { AskedAbout } from './register-row.ts';

/** One word for all spellings of it: without sizes, in the singular for classes; in small letters elsewhere. */
export const plainWord = (about: AskedAbout, text: string): string =>
  about === 'class' ? plainWords(text).join(' ') || text.trim().toLowerCase() : text.trim().toLowerCase();

/** Under which a meaning is kept. */
export const meaningKey = (about: AskedAbout, text: string): string => `${about} ${plainWord(about, text)}`;
