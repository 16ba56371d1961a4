import { type Case, explainPlace, judge, type PlaceExplanation, type Report } from '@wainrope/core';
import { expose } from 'comlink';

/** Core, off the page's own thread: the same code as on the server and in the command line. */
const solver = {
  judge: (subject: Case): Report => judge(subject),
  explain: (subject: Case, placeId: string): PlaceExplanation | undefined => explainPlace(subject, placeId),
};

export type Solver = typeof solver;
expose(solver);
