import { counted, severities, type ToldFinding } from '@wainrope/core';

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
  readonly findings: readonly ToldFinding[];
}

const isSettledTogether = (finding: ToldFinding): boolean =>
  finding.code !== 'no-damper' || finding.fixes.some(({ kind }) => kind === 'add-damper');

/** Findings in their order, those that one act settles together where the gravest of them stands; one alone stays as it is. */
export function groupedFindings(findings: readonly ToldFinding[]): readonly (ToldFinding | FindingGroup)[] {
  const byAct = new Map<Act, ToldFinding[]>();
  for (const finding of findings) {
    const act = isSettledTogether(finding) ? ACTS[finding.code] : undefined;
    if (act) byAct.set(act, [...(byAct.get(act) ?? []), finding]);
  }
  const groups = [...byAct].flatMap(([act, together]) => (together.length > 1 ? [{ act, findings: together }] : []));
  return findings.flatMap((finding): readonly (ToldFinding | FindingGroup)[] => {
    const group = groups.find((entry) => entry.findings.includes(finding));
    if (!group) return [finding];
    return group.findings[0] === finding ? [group] : [];
  });
}

/** The gravest severity of a group. */
export const severityOf = ({ findings }: FindingGroup) =>
  severities.find((severity) => findings.some((finding) => counted(finding) === severity)) ?? 'note';

/** Findings of each kind in a group, in words: `3 never inspected, 1 overdue`. */
const KINDS: { readonly [code: string]: string } = {
  'never-inspected': 'never inspected',
  'new-and-uninspected': 'new and not yet inspected',
  'inspection-overdue': 'overdue',
};

function kindsOf(findings: readonly ToldFinding[]): string {
  const counted = Object.entries(KINDS).map(([code, words]) => ({
    words,
    count: findings.filter((finding) => finding.code === code).length,
  }));
  return counted.flatMap(({ words, count }) => (count > 0 ? [`${count} ${words}`] : [])).join(', ');
}

/** What a group says, in one line, and what is behind it. */
export function groupWords({ act, findings }: FindingGroup): { readonly title: string; readonly why: string } {
  const { length } = findings;
  switch (act) {
    case 'inspect':
      return { title: `${length} pieces need inspecting`, why: `${kindsOf(findings)}.` };
    case 'say-what-marks-mean':
      return {
        title: `The marks of ${length} pieces do not say what they mean`,
        why: 'Until somebody settles it, the more careful reading counts.',
      };
    case 'hang-dampers':
      return {
        title: `${length} legs of line have no damper`,
        why: 'A damper on every tensioned leg drags a breaking line to the ground.',
      };
    default: {
      const never: never = act;
      return never;
    }
  }
}
