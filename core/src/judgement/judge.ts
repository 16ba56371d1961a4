import { assess } from '../moment/assess.ts';
import type { Assessment } from '../moment/assessment.ts';
import { linePullLimit, type PlaceCheck, weakestOf } from '../moment/place-check.ts';
import { ropePerTravel } from '../moment/winch-work.ts';
import { addMonths } from '../quantity/calendar.ts';
import type { Case } from '../rig/case.ts';
import { loadForce, pointLoads, pulleysAt, strandsAt } from './report/drawing-facts.ts';
import { CORE_VERSION, type Finding, type PlaceFigures, type Report, type Verdict } from './report/report.ts';
import { driveFigures, drumFigures, fitReports, holdReports } from './report/report-figures.ts';
import { type Answer, ownerName, ownerSubject, type Rule, type Severity, severities } from './rule.ts';
import { rules } from './rule-list.ts';
import { ageLimitDay } from './rules/condition/soft-good-too-old.ts';

/**
 * Judges a case: solves the rig, checks every place against its limit, asks every rule, and draws the verdict from the
 * findings alone. The report is plain data in SI units; the same case gives the same report in browser, server and command line.
 */
export function judge(subject: Case): Report {
  return reportOf(assess(subject));
}

export function reportOf(assessment: Assessment): Report {
  const { checks } = assessment;
  const findings = findingsOf(assessment);
  const ordered = [...findings].sort((a, b) => severities.indexOf(counted(a)) - severities.indexOf(counted(b)));
  const weakest = weakestOf(checks);
  const limit = linePullLimit(checks);
  const drives = driveFigures(assessment, limit?.pullN);
  return {
    kind: 'rig',
    coreVersion: CORE_VERSION,
    verdict: verdictOf(findings, weakest),
    asOf: assessment.subject.asOf,
    goodUntil: goodUntil(assessment),
    weakestPlaceId: weakest?.place.id,
    linePullLimit: limit && { pullN: limit.pullN, placeId: limit.place.id },
    pullN: assessment.pullN,
    plannedPullN: assessment.plannedPullN,
    greatestPullN: assessment.greatestPullN,
    advantage: assessment.advantage,
    ropePerTravel: ropePerTravel(assessment),
    loadForce: loadForce(assessment),
    effort: assessment.effort.kind === 'estimated' ? assessment.effort : undefined,
    drum: drumFigures(assessment.drives[0]?.drum),
    drives,
    strands: strandsAt(assessment),
    pulleys: pulleysAt(assessment),
    pointLoads: pointLoads(assessment),
    holds: holdReports(assessment),
    fits: fitReports(assessment),
    breaks: assessment.breaks,
    zones: assessment.zones,
    places: checks.map(placeFigures),
    findings: ordered,
  };
}

/** Every rule asked in turn; what is not found leaves no trace. */
function findingsOf(assessment: Assessment): readonly Finding[] {
  const findings: Finding[] = [];
  for (const rule of rules) {
    for (const answer of rule.check(assessment)) {
      if (answer.kind !== 'not-found') findings.push(toFinding(rule, answer, assessment));
    }
  }
  return findings;
}

function toFinding(rule: Rule, answer: Exclude<Answer, { kind: 'not-found' }>, { policy }: Assessment): Finding {
  const undecided = answer.kind === 'undecided';
  return {
    id: `${rule.code}@${answer.subject.id}`,
    code: rule.code,
    severity: severityUnder(rule, policy),
    undecided,
    subject: answer.subject,
    title: undecided ? answer.question : answer.title,
    detail: undecided ? [] : answer.detail,
    why: rule.why,
    ...(undecided && answer.questionId !== undefined ? { questionId: answer.questionId } : {}),
    fixes: answer.fixes ?? [],
  };
}

/** A team's own severity where the rule lets itself be softened, or where the team is stricter. */
function severityUnder(rule: Rule, { severities: own }: Assessment['policy']): Severity {
  const wanted = own[rule.code];
  if (wanted === undefined) return rule.severity;
  const stricter = severities.indexOf(wanted) <= severities.indexOf(rule.severity);
  return rule.softenable || stricter ? wanted : rule.severity;
}

/** What a finding counts as: an open question on a stop, fix or caution rule counts as a caution. */
export function counted({ severity, undecided }: Finding): Severity {
  return undecided && severity !== 'note' ? 'caution' : severity;
}

function verdictOf(findings: readonly Finding[], weakest: PlaceCheck | undefined): Verdict {
  const worst = findings.map(counted);
  if (worst.includes('stop')) return 'stop';
  if (worst.includes('fix') || worst.includes('caution')) return 'watch';
  return weakest?.place.judged ? 'clear-judged' : 'clear';
}

function placeFigures({ place, plannedN, greatestN, utilisation, breakingRatio, stopRatio }: PlaceCheck): PlaceFigures {
  const piece = place.owner.kind === 'use' ? place.owner.piece : undefined;
  return {
    id: place.id,
    part: place.part,
    kind: place.kind,
    subject: ownerSubject(place),
    gearId: piece?.id,
    tag: piece?.tag,
    name: piece?.name ?? ownerName(place),
    where: place.where,
    plannedN,
    greatestN,
    wllN: place.capacity?.wllN,
    mbsN: place.kind === 'drum' ? undefined : place.capacity?.mbsN,
    utilisation,
    breakingRatio,
    stopRatio,
    judged: place.judged,
    strands: place.strands,
  };
}

/** The earliest later day on which an inspection falls due, a first year ends or a soft good comes of age. */
function goodUntil(assessment: Assessment): string | undefined {
  const { asOf } = assessment.subject;
  const days = assessment.uses.flatMap(({ piece }) => [
    piece.inspection?.nextDue,
    piece.inspection === undefined && piece.firstUsedOn !== undefined
      ? addMonths(piece.firstUsedOn, assessment.policy.care.youngMonths.value)
      : undefined,
    ageLimitDay(piece, assessment.policy),
  ]);
  return days.filter((day) => day !== undefined && day >= asOf).sort()[0];
}
