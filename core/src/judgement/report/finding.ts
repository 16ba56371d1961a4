import type { RichText } from '../../quantity/format.ts';
import { type Data, type Fix, type Severity, type Subject, severities } from '../ask/told.ts';

/** What a rule found or left open about one place of one thing. Its words are made when it is shown. */
export interface Finding {
  /** `<code>@<subject>`, and `#<place>` where a rule may speak of several places of one thing; stable while the rig keeps its ids. */
  readonly id: string;
  readonly code: string;
  readonly severity: Severity;
  /** Undecided: counts as a caution (a note stays a note) until the question is answered. */
  readonly undecided: boolean;
  readonly subject: Subject;
  /** Which place of the subject, where there may be several. */
  readonly place?: string | undefined;
  /** What the rule's words are made from. */
  readonly data: Data;
  readonly questionId?: string | undefined;
  /** Metres of travel from which it is so, and where it is worst; missing where it is not of the way. */
  readonly fromM?: number | undefined;
  readonly atM?: number | undefined;
  readonly fixes: readonly Fix[];
}

/** A finding as a person reads it. */
export interface FindingWords {
  readonly title: RichText;
  readonly detail: RichText;
  readonly why: string;
}

export const findingId = (code: string, { subject, place }: { readonly subject: Subject; readonly place?: string | undefined }): string =>
  `${code}@${subject.id}${place === undefined ? '' : `#${place}`}`;

/** What a finding counts as: an open question on a stop, fix or caution rule counts as a caution. */
export function counted({ severity, undecided }: Pick<Finding, 'severity' | 'undecided'>): Severity {
  return undecided && severity !== 'note' ? 'caution' : severity;
}

/** Worst first; findings that count alike keep their order. */
export function worstFirst<F extends Finding>(findings: readonly F[]): readonly F[] {
  return [...findings].sort((a, b) => severities.indexOf(counted(a)) - severities.indexOf(counted(b)));
}

/** What a named person answers for leaving as it is: one finding, or, as was said before findings had ids of their own, all that a rule said of a subject. */
export interface AnsweredFor {
  readonly findingId: string;
  readonly covers: 'finding' | 'rule-and-subject';
}

export function isAnsweredBy(finding: Pick<Finding, 'id' | 'code' | 'subject'>, { findingId: answered, covers }: AnsweredFor): boolean {
  return covers === 'finding' ? finding.id === answered : findingId(finding.code, { subject: finding.subject }) === answered;
}
