import { withWords } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { type Answer, asJson, CODES, done, notUnderstood, type Options } from './answer.ts';
import { printReport } from './print-report.ts';
import { readFileText } from './read-subject.ts';

/** Judges the text of a rig file. */
export function check(text: string, options: Options): Answer {
  const file = readFileText(text, options);
  if (!file.ok) return notUnderstood(file.faults, options.json);
  const subject = file.value.case;
  const report = judge(subject);
  return done(options.json ? asJson(withWords(report)) : printReport(subject, report, options.units), CODES[report.verdict]);
}
