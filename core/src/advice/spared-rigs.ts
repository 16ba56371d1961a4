import { cheaperActions } from '../effort/cheaper-actions.ts';
import { judge } from '../judgement/judge.ts';
import type { Report } from '../judgement/report/report.ts';
import type { Case } from '../rig/case.ts';
import { loadBody, travelDirection } from '../rig/site-geometry.ts';
import { routeOf } from '../rigging/route-line.ts';
import { slopeAlong } from '../statics/ground.ts';
import type { AnchorWay, SparedRig } from './answers.ts';
import { compareAnchors, judgeRoute } from './compare-anchors.ts';

interface Least {
  readonly way: AnchorWay | 'more';
  readonly label: string;
}

/** Ways from the least trouble up. */
const TROUBLE: readonly Least['way'][] = ['single', 'redirect', 'double', 'more'];
const trouble = (way: Least['way']): number => TROUBLE.indexOf(way);

/**
 * Which of the cheaper actions make a doubled line, or more, unnecessary: each is thought done, and every rig of less trouble that
 * the site's anchors allow is judged with the pieces chosen now. A rig holds when it meets no stop and the winch, on the layer it
 * works on, pulls what is needed.
 */
export function sparedRigs(asked: Case, lineId: string): readonly SparedRig[] {
  const subject = withoutPeople(asked);
  const { rig, policy } = subject;
  const body = loadBody(rig);
  if (body.kind !== 'vehicle' || rig.load.task) return [];
  const needed = [presentRig(subject), leastOf(subject, lineId)]
    .flatMap((least) => (least ? [least.way] : []))
    .sort((a, b) => trouble(a) - trouble(b))[0];
  const slopeRad = slopeAlong(rig.ground, travelDirection(rig));
  return cheaperActions({ ...body, slopeRad, situation: rig.situation }, policy)
    .filter(({ savesN }) => savesN > 0)
    .flatMap(({ id, after }): readonly SparedRig[] => {
      const least = leastOf({ ...subject, rig: { ...rig, situation: after } }, lineId);
      if (!least || (needed !== undefined && trouble(least.way) >= trouble(needed))) return [];
      return [{ actionId: id, ...least, ...(needed && { instead: needed }) }];
    });
}

/** Where people and animals stand is another question: moving them is no rig. */
function withoutPeople(subject: Case): Case {
  const bodies = subject.rig.bodies.filter(({ kind }) => kind !== 'person' && kind !== 'animal');
  return { ...subject, rig: { ...subject.rig, bodies } };
}

/** The rig as it is laid, where it holds. */
function presentRig(subject: Case): Least | undefined {
  const report = judge(subject);
  if (!holds(report) || !report.advantage) return undefined;
  const { frictionless } = report.advantage;
  // Parts of line by the advantage without friction, to the nearest.
  return { way: frictionless < 1.5 ? 'single' : frictionless < 2.5 ? 'double' : 'more', label: '' };
}

/** The rig of least trouble that holds. */
function leastOf(subject: Case, lineId: string): { readonly way: AnchorWay; readonly label: string } | undefined {
  const { rig } = subject;
  const line = rig.lines.find(({ id }) => id === lineId);
  const route = line && routeOf(rig, line);
  if (!line || !route) return undefined;
  const winching = rig.bodies.find(({ id }) => id === route.fromBodyId);
  if (winching && winching.id !== rig.load.bodyId) {
    const straight = judgeRoute(subject, { ...route, stops: [{ bodyId: rig.load.bodyId, at: 'end' }] });
    if (holds(straight)) return { way: 'single', label: winching.label };
  }
  return compareAnchors(subject, lineId)
    .filter(({ verdict, pullAtLoadN = 0, neededN = 0 }) => verdict !== 'stop' && neededN > 0 && pullAtLoadN >= neededN)
    .sort((a, b) => trouble(a.way) - trouble(b.way))
    .map(({ way, label }) => ({ way, label }))[0];
}

/** Whether a judged rig meets no stop and its winch pulls what is needed at the load. */
function holds({ verdict, drives, advantage, pullN = 0 }: Report): boolean {
  const ratedN = drives[0]?.ratedN ?? 0;
  return verdict !== 'stop' && advantage !== undefined && pullN > 0 && ratedN * advantage.hauling >= pullN;
}
