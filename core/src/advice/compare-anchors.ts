import { severities } from '../judgement/ask/told.ts';
import { judge } from '../judgement/judge.ts';
import { counted } from '../judgement/report/finding.ts';
import type { Report } from '../judgement/report/report.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit } from '../rig/edits.ts';
import type { Body, Line, Rig } from '../rig/rig.ts';
import { type Route, type RouteStop, routeEdits, routeOf } from '../rigging/route-line.ts';
import type { AnchorOption, AnchorWay } from './answers.ts';

const ANCHORS: readonly Body['kind'][] = ['tree', 'rock', 'structure', 'ground-anchor', 'pickets', 'deadman', 'vehicle'];

/**
 * Every anchor on the site in the place of the one that the line uses, single, double and as a redirect, each judged as a rig of
 * its own with the pieces chosen now. Best first: by verdict, then by the pull that is left over.
 */
export function compareAnchors(subject: Case, lineId: string): readonly AnchorOption[] {
  const { rig } = subject;
  const line = rig.lines.find(({ id }) => id === lineId);
  const route = line && routeOf(rig, line);
  if (!line || !route) return [];
  const candidates = rig.bodies.filter(({ id, kind }) => ANCHORS.includes(kind) && id !== route.fromBodyId && id !== rig.load.bodyId);
  const options = candidates.flatMap((body) =>
    waysOf(rig, route, body).map(({ way, stops }) => optionOf(subject, { line, body, way, route: { ...route, stops }, now: route })),
  );
  const verdicts: readonly Report['verdict'][] = ['clear', 'clear-judged', 'watch', 'stop'];
  const spare = ({ pullAtLoadN = 0, neededN = 0 }: AnchorOption) => pullAtLoadN - neededN;
  return options.sort((a, b) => verdicts.indexOf(a.verdict) - verdicts.indexOf(b.verdict) || spare(b) - spare(a));
}

/** How an anchor may serve: for the vehicle's own recovery it takes the end or turns the line; for another's it turns it on the way. */
function waysOf(
  rig: Rig,
  { fromBodyId }: Route,
  { id: bodyId, kind }: Body,
): readonly { readonly way: AnchorWay; readonly stops: readonly RouteStop[] }[] {
  const load = rig.load.bodyId;
  if (fromBodyId === load)
    return [
      { way: 'single', stops: [{ bodyId, at: 'end' }] },
      {
        way: 'double',
        stops: [
          { bodyId, at: 'pulley' },
          { bodyId: load, at: 'end' },
        ],
      },
    ];
  const redirect = {
    way: 'redirect' as const,
    stops: [
      { bodyId, at: 'pulley' as const },
      { bodyId: load, at: 'end' as const },
    ],
  };
  const double = {
    way: 'double' as const,
    stops: [
      { bodyId: load, at: 'pulley' as const },
      { bodyId, at: 'end' as const },
    ],
  };
  return kind === 'vehicle' ? [double] : [double, redirect];
}

/** The rig with its line on another route, with the pieces that it has, judged. */
export function judgeRoute(subject: Case, route: Route): Report {
  const rig = routeEdits(subject.rig, route).reduce((state, edit) => applyEdit(state, edit).rig, subject.rig);
  return judge({ ...subject, rig: lent(rig, subject.rig) });
}

interface OptionInput {
  readonly line: Line;
  readonly body: Body;
  readonly way: AnchorWay;
  readonly route: Route;
  readonly now: Route;
}

function optionOf(subject: Case, { body, way, route, now }: OptionInput): AnchorOption {
  const report = judgeRoute(subject, route);
  const drive = report.drives.find(({ lineId }) => lineId === route.lineId);
  const anchor = report.places.find(({ kind, subject: about }) => kind === 'anchor' && about.id === body.id);
  const pull = drive?.ratedN;
  const against = report.findings.filter((finding) => severities.indexOf(counted(finding)) <= severities.indexOf('fix'));
  return {
    bodyId: body.id,
    label: body.label,
    way,
    route,
    isNow: sameRoute(route, now),
    verdict: report.verdict,
    lineOutM: drive?.lineOutM,
    lineLeftM: drive?.usableM !== undefined && drive.lineOutM !== undefined ? drive.usableM - drive.lineOutM : undefined,
    layer: drive?.layer,
    linePullN: pull,
    pullAtLoadN: pull !== undefined && report.advantage ? pull * report.advantage.hauling : undefined,
    neededN: report.pullN,
    anchorWorkingN: anchor?.worst?.wllN ?? anchor?.wllN,
    anchorPlannedN: anchor?.worst?.plannedN ?? anchor?.plannedN,
    against,
  };
}

/** New places borrow the pieces that the rig had in places of their role: the question is the anchor, not the bag. */
function lent(rig: Rig, before: Rig): Rig {
  const pool = new Map<string, string[]>();
  for (const { pieces } of before.chains)
    for (const { role, gearId } of pieces) if (gearId !== undefined) pool.set(role, [...(pool.get(role) ?? []), gearId]);
  const taken = new Set(rig.chains.flatMap(({ pieces }) => pieces.map(({ gearId }) => gearId)));
  const take = (role: string): string | undefined => {
    const free = pool.get(role)?.find((id) => !taken.has(id));
    if (free !== undefined) taken.add(free);
    return free;
  };
  return {
    ...rig,
    chains: rig.chains.map((chain) => ({
      ...chain,
      pieces: chain.pieces.map((use) => {
        const gearId = use.gearId ?? take(use.role);
        return gearId === undefined ? use : { ...use, gearId };
      }),
    })),
  };
}

function sameRoute(a: Route, b: Route): boolean {
  return (
    a.stops.length === b.stops.length &&
    a.stops.every(({ bodyId, at }, index) => b.stops[index]?.bodyId === bodyId && b.stops[index]?.at === at)
  );
}
