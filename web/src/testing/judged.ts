import { type Case, withWords } from '@wainrope/core';
import { judge as judgeIt, judgeStart as judgeItsStart } from '@wainrope/core/judging';

/** A report as the page gets it from its worker. */
export const judge = (subject: Case) => withWords(judgeIt(subject));

/** The same of the start alone. */
export const judgeStart = (subject: Case) => withWords(judgeItsStart(subject));
