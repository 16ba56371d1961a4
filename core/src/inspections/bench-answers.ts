import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, text } from '../codec/scalars.ts';
import { dictionary, optional, record } from '../codec/structures.ts';
import { grades } from '../gear/gear-facts.ts';
import { pointAnswers } from './inspection-answers.ts';

const typed = text({ minLength: 0, maxLength: 40 });

/** An inspection that is being worked on: what was answered and typed so far, as it was typed. Nothing in it is judged before it is confirmed. */
export const benchAnswersCodec = record({
  points: dictionary(choice(pointAnswers), 60),
  measures: dictionary(record({ typed, typedNew: typed }), 20),
  notes: dictionary(text({ maxLength: 500 }), 60),
  grade: optional(choice(grades)),
  nextDue: text({ minLength: 0, maxLength: 10 }),
  note: text({ minLength: 0, maxLength: 2000 }),
  returnsToUse: flag,
  spoolState: choice(['', 'under-tension', 'slack', 'stacked']),
  pullsUsed: typed,
});
export type BenchAnswers = TypeOf<typeof benchAnswersCodec>;
