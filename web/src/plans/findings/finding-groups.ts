import { counted, type Finding, severities } from '@wainrope/core';

/** A stretch of a line between two stops, on which a damper hangs. */
export interface Leg {
  readonly lineId: string;
  readonly strand: number;
}

/** One act that settles several findings. */
export type Act = 'inspect' | 'say-what-marks-mean' | 'hang-dampers';

const ACTS: { readonly [code: string]: Act } = {
  'never-inspected': 'inspect',
  'new-and-uninspected': 'inspect',
  'inspection-overdue': 'inspect',
  'ambiguous-ton': 'say-what-marks-mean',
  'basis-unstated': 'say-what-marks-mean',
  'no-damper': 'hang-dampers',
};

export interface FindingGroup {
  readonly act: Act;
  /** Two or more, as they stand in the report. */
  readonly findings: readonly Finding[];
}

const isTold = (finding: Finding): boolean => finding.code !== 'no-damper' || finding.fixes.some(({ kind }) => kind === 'add-damper');

/** Findings in their order, those that one act settles together where the gravest of them stands; one alone stays as it is. */
export function groupedFindings(findings: readonly Finding[]): readonly (Finding | FindingGroup)[] {
  const byAct = new Map<Act, Finding[]>();
  for (const finding of findings) {
    const act = isTold(finding) ? ACTS[finding.code] : undefined;
    if (act) byAct.set(act, [...(byAct.get(act) ?? []), finding]);
  }
  const groups = [...byAct].flatMap(([act, together]) => (together.length > 1 ? [{ act, findings: together }] : []));
  return findings.flatMap((finding): readonly (Finding | FindingGroup)[] => {
    const group = groups.find((entry) => entry.findings.includes(finding));
    if (!group) return [finding];
    return group.findings[0] === finding ? [group] : [];
  });
}

/** The gravest severity of a group. */
export const severityOf = ({ findings }: FindingGroup) =>
  severities.find((severity) => findings.some((finding) => counted(finding) === severity)) ?? 'note';

const legs = (count: number) => `${count} legs of line`;
const pieces = (count: number) => `${count} pieces`;

/** What a group says, in one line. */
export function groupWords({ act, findings: { length } }: FindingGroup): { readonly title: string; readonly why: string } {
  switch (act) {
    case 'inspect':
      return { title: `${pieces(length)} have no inspection that counts`, why: 'Until somebody has looked at them they count as worn.' };
    case 'say-what-marks-mean':
      return { title: `The marks of ${pieces(length)} leave open what they mean`, why: 'Until it is settled the lowest reading counts.' };
    case 'hang-dampers':
      return { title: `${legs(length)} have no damper`, why: 'A damper on every tensioned leg drags a breaking line to the ground.' };
    default: {
      const never: never = act;
      return never;
    }
  }
}
