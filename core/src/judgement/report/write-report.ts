import { ropePerTravel } from '../../moment/winch-work.ts';
import { addDays, addMonths } from '../../quantity/calendar.ts';
import { firstDay } from '../../quantity/partial-date.ts';
import { ageLimitDay } from '../../rating/age-limit.ts';
import type { Place } from '../../resolved/place.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import type { Judged } from '../ask/judged.ts';
import { namedPieces } from '../ask/named-pieces.ts';
import { type Rule } from '../ask/rule.ts';
import { type Severity, severities, type Told } from '../ask/told.ts';
import { rules } from '../rules/rule-list.ts';
import { loadForce, pointLoads, pulleysAt, strandsAt } from './drawing-facts.ts';
import { counted, type Finding, findingId, worstFirst } from './finding.ts';
import { pullReport, runUpReport } from './pull-report.ts';
import { CORE_VERSION, type Report, type Verdict } from './report.ts';
import { driveFigures, drumFigures, fitReports, holdReports, placeReports } from './report-figures.ts';

/** Writes down what was judged, with what every rule said. */
export function reportOf(judged: Judged): Report {
  const { rig, start, release, limit } = judged;
  const findings = findingsOf(judged);
  const weakest = judged.weakest?.place;
  return {
    kind: 'rig',
    coreVersion: CORE_VERSION,
    verdict: verdictOf(findings, weakest),
    asOf: rig.asOf,
    goodUntil: goodUntil(rig),
    startOnly: judged.startOnly,
    weakestPlaceId: weakest?.id,
    weakestAtM: judged.weakest?.moment.travelM,
    linePullLimit: limit && { pullN: limit.pullN, placeId: limit.place.id, atM: limit.moment.travelM },
    pull: pullReport(judged),
    runUp: runUpReport(judged),
    pullN: rig.pullN,
    plannedPullN: start.plannedPullN,
    greatestPullN: start.greatestPullN,
    advantage: start.advantage,
    ropePerTravel: ropePerTravel(start),
    loadForce: loadForce(start),
    effort: rig.effort.kind === 'estimated' ? rig.effort : undefined,
    drum: drumFigures(start.drives[0]?.drum),
    drives: driveFigures(judged, limit?.pullN),
    strands: strandsAt(start),
    pulleys: pulleysAt(start),
    pointLoads: pointLoads(start),
    holds: holdReports(start),
    fits: fitReports(rig),
    breaks: release.breaks,
    left: release.left,
    zones: release.zones,
    swept: release.swept,
    places: placeReports(judged),
    findings: worstFirst(findings),
  };
}

/** Every rule asked in turn; what is not found leaves no trace. */
function findingsOf(judged: Judged): readonly Finding[] {
  const findings: Finding[] = [];
  for (const rule of rules) {
    const told: Told[] = [];
    rule.ask(judged, told);
    for (const entry of told) findings.push(toFinding(rule, entry, judged.rig));
  }
  return findings.filter((finding) => !isCovered(finding, findings));
}

const rulesByCode = new Map(rules.map((rule) => [rule.code, rule]));

/** Whether a graver rule of the same matter found the same thing. */
function isCovered({ code, subject, place, undecided }: Finding, all: readonly Finding[]): boolean {
  const graver = undecided ? undefined : rulesByCode.get(code)?.unless;
  if (graver === undefined) return false;
  return all.some((other) => graver.includes(other.code) && !other.undecided && other.subject.id === subject.id && other.place === place);
}

function toFinding(rule: Rule, told: Told, { policy }: ResolvedRig): Finding {
  const { subject, place, data, questionId, fixes, fromM, atM } = told;
  return {
    id: findingId(rule.code, told),
    code: rule.code,
    severity: severityUnder(rule, policy.severities[rule.code]),
    undecided: told.kind === 'undecided',
    subject,
    place,
    data,
    questionId,
    fixes,
    fromM,
    atM,
  };
}

/** A team's own severity where the rule lets itself be softened, or where the team is stricter. */
function severityUnder(rule: Rule, wanted: Severity | undefined): Severity {
  if (wanted === undefined) return rule.severity;
  const stricter = severities.indexOf(wanted) <= severities.indexOf(rule.severity);
  return rule.softenable || stricter ? wanted : rule.severity;
}

function verdictOf(findings: readonly Finding[], weakest: Place | undefined): Verdict {
  const worst = findings.map(counted);
  if (worst.includes('stop')) return 'stop';
  if (worst.includes('fix') || worst.includes('caution')) return 'watch';
  return weakest?.judged ? 'clear-judged' : 'clear';
}

/** The last day on which nothing has changed with time: an inspection falls due, a first year ends or a soft good comes of age after it. */
function goodUntil(rig: ResolvedRig): string | undefined {
  const { asOf, policy } = rig;
  let first: string | undefined;
  const take = (day: string | undefined) => {
    if (day !== undefined && day >= asOf && (first === undefined || day < first)) first = day;
  };
  for (const { piece } of namedPieces(rig)) {
    take(piece.inspection?.nextDue);
    if (piece.inspection === undefined && piece.firstUsedOn !== undefined)
      take(addDays(addMonths(firstDay(piece.firstUsedOn), policy.care.youngMonths.value), -1));
    take(ageLimitDay(piece, policy));
  }
  return first;
}
