import { counted, type Finding, type Report, type Rig, type Severity, type Subject, severities } from '@wainrope/core';

/** The gravest thing that is said of something. */
export interface Mark {
  readonly severity: Severity;
  /** Only a question is open there. */
  readonly undecided: boolean;
}

/** Notes are read in the list; they mark nothing. */
const marking = (finding: Finding): boolean => counted(finding) !== 'note';

/** The gravest of some findings: what was found goes before what is asked. */
export function gravest(findings: readonly Finding[]): Mark | undefined {
  const marks = findings.filter(marking).map((finding) => ({ severity: counted(finding), undecided: finding.undecided }));
  const grave = ({ severity, undecided }: Mark) => 2 * severities.indexOf(severity) + Number(undecided);
  return marks.sort((a, b) => grave(a) - grave(b))[0];
}

/** What is said of one thing itself. */
export const findingsAbout = <F extends Finding>({ findings }: { readonly findings: readonly F[] }, { kind, id }: Subject): readonly F[] =>
  findings.filter(({ subject }) => subject.kind === kind && subject.id === id);

/**
 * Marks for what the sheet names: every piece, line or body with a finding hands it to the label that stands nearest: a pulley's to
 * its own, a line's to its first strand, all else to the body it hangs on.
 */
export function sheetMarks(rig: Rig, report: Report): ReadonlyMap<string, Mark> {
  const byLabel = new Map<string, Finding[]>();
  for (const finding of report.findings) {
    const label = labelOf(rig, report, finding.subject);
    if (label !== undefined) byLabel.set(label, [...(byLabel.get(label) ?? []), finding]);
  }
  return new Map(
    [...byLabel].flatMap(([label, findings]) => {
      const mark = gravest(findings);
      return mark ? [[label, mark] as const] : [];
    }),
  );
}

function labelOf(rig: Rig, report: Report, { kind, id }: Subject): string | undefined {
  switch (kind) {
    case 'rig':
      return undefined;
    case 'body':
      return id;
    case 'point':
      return rig.points.find((point) => point.id === id)?.bodyId;
    case 'strand':
      return strandLabel(report, (strand) => `${strand.lineId}.${strand.index}` === id);
    case 'use':
      return labelOfUse(rig, report, id);
    default: {
      const never: never = kind;
      return never;
    }
  }
}

function labelOfUse(rig: Rig, report: Report, useId: string): string | undefined {
  const own = ({ pieces }: { readonly pieces: readonly { readonly id: string }[] }) => pieces.some(({ id }) => id === useId);
  const line = rig.lines.find(({ ropes }) => ropes.some(({ id }) => id === useId));
  if (line) return strandLabel(report, ({ lineId }) => lineId === line.id);
  const back = rig.backAnchors?.find(own);
  const chain = rig.chains.find(own);
  const turns = chain && report.pulleys.some(({ chainId, strandAngleRad }) => chainId === chain.id && strandAngleRad !== undefined);
  if (turns && chain.pieces.at(-1)?.id === useId) return `pulley-${chain.id}`;
  const pointId = back?.anchorPointId ?? (chain?.from.kind === 'point' ? chain.from.pointId : drivePoint(rig, useId));
  return rig.points.find(({ id }) => id === pointId)?.bodyId;
}

function drivePoint(rig: Rig, useId: string): string | undefined {
  const drive = rig.lines.find((line) => line.drive.kind === 'winch' && line.drive.use.id === useId)?.drive;
  return drive?.kind === 'winch' ? drive.pointId : undefined;
}

function strandLabel({ strands }: Report, is: (strand: Report['strands'][number]) => boolean): string | undefined {
  const index = strands.findIndex(is);
  return index < 0 ? undefined : `strand-${index}`;
}
