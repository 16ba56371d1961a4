import { invariant } from '../quantity/invariant.ts';
import type { Finding, FindingWords } from './report/finding.ts';
import type { Report } from './report/report.ts';
import { rules } from './rules/rule-list.ts';

const byCode = new Map(rules.map((rule) => [rule.code, rule]));

/** A finding in words, made from its data: what, why it is so, why it matters. Only for findings of this version of core. */
export function wordsOf({ code, undecided, data }: Finding): FindingWords {
  const rule = byCode.get(code);
  invariant(rule !== undefined, `no rule has the code ${code}`);
  return { title: undecided ? rule.question(data) : rule.title(data), detail: undecided ? [] : rule.detail(data), why: rule.why };
}

/** A report whose findings carry their words, for readers that have no core of their own. */
export const withWords = (report: Report) => ({
  ...report,
  findings: report.findings.map((finding) => ({ ...finding, ...wordsOf(finding) })),
});
