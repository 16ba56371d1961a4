import { rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { undecided } from '../../ask/speak.ts';
import { aboutTow, runUps } from './run-ups.ts';

export const runUpUnknown = actRule({
  code: 'run-up-unknown',
  severity: 'stop',
  softenable: false,
  why: 'The force of a run-up follows from what each rope in it breaks at and how long it is.',
  needs: ['gear.marks', 'gear.lengthM', 'use.piece', 'body.mass', 'situation', 'line.way'],
  asks: 'How long are the ropes of this run-up, and what do they break at?',
  subjects: runUps,
  about: aboutTow,
  answer: ({ runUp }) => (runUp?.kind === 'unknown' ? undecided({ missing: runUp.missing }) : undefined),
  title: ({ missing }) => rich`What will the run-up come to? Not on record: ${missing.join(', ')}.`,
  detail: () => rich``,
});
