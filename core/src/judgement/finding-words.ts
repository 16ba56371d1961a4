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

/** A finding that carries its words. */
export type ToldFinding = Finding & FindingWords;

/** A report whose findings carry their words, for readers that have no rules of their own. */
export interface ToldReport extends Omit<Report, 'findings'> {
  readonly findings: readonly ToldFinding[];
}

/** Findings with their words. */
export const told = (findings: readonly Finding[]): readonly ToldFinding[] =>
  findings.map((finding) => ({ ...finding, ...wordsOf(finding) }));

/** A report with the words of its findings. */
export const withWords = (report: Report): ToldReport => ({ ...report, findings: told(report.findings) });
