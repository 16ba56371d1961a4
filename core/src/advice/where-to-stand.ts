import { keepOutLine, type OnMap, outsideOf } from '../hazards/keep-out-line.ts';
import { remoteReachM } from '../hazards/remote-reach.ts';
import type { Judged } from '../judgement/ask/judged.ts';
import type { Moment } from '../moment/moment.ts';
import { bodyPose } from '../moment/poses.ts';
import { fromPointM, loadOutline } from '../pull/outlines.ts';
import { length, type RichText, rich } from '../quantity/format.ts';
import { mayRunUnheld, runners, runRoomM, runsByN } from '../release/runs-away.ts';
import { slidesOver } from '../release/slides-over.ts';
import { zoneRoomM, zonesOf } from '../release/zones-of-rig.ts';
import type { WinchDrive } from '../resolved/parts.ts';
import type { PersonBody } from '../rig/bodies.ts';
import type { Body, Rig } from '../rig/rig.ts';
import { freeIdIn } from '../rigging/rigging.ts';
import { ahead } from '../statics/ground.ts';
import type { Stand } from './answers.ts';

/** How far outside the line that nobody crosses people are put, and how far those who have nothing to do there. Metres. */
const NEAR_M = 2;
const FAR_M = 7;
/** How far apart places are looked at, and how far apart people stand. */
const STEP_M = 1;
const ELBOW_M = 1.5;
/** A metre further uphill is worth so many metres of way. */
const UPHILL_WORTH = 1.5;
/** Beyond the crossing of a track and the line, so that a car can stop before it. */
const ROAD_M = 15;

/**
 * Where everybody stands, by what they do: outside the line that nobody crosses at any moment of the act, out of the way of what runs
 * or slides when a line parts and of the load itself, uphill where there is a slope; the operator within reach of the remote, else in
 * the cab. Whoever has no safe place is told so. An operator and a signaller are added where nobody is one.
 */
export function whereToStand(judged: Judged): readonly Stand[] {
  const { rig } = judged;
  const line = keepOutLine(judged.samples.flatMap(zonesOf));
  if (line.length === 0) return [];
  const site: Site = { judged, line, centre: centreOf(line), taken: [] };
  const inOrder = [...wanted(rig.rig)].sort((a, b) => ORDER.indexOf(a.duty) - ORDER.indexOf(b.duty));
  return inOrder.map((person) => standOf(site, person));
}

/** Who has to see or reach something chooses first. */
const ORDER: readonly PersonBody['duty'][] = ['operator', 'signaller', 'drum-watcher', 'driver', 'road-guard', 'helper', 'bystander'];

interface Site {
  readonly judged: Judged;
  readonly line: readonly OnMap[];
  readonly centre: OnMap;
  /** Places that somebody stands at by now. */
  readonly taken: OnMap[];
}

type Wanted = Pick<PersonBody, 'id' | 'label' | 'duty'> & { readonly isNew: boolean };

function wanted(rig: Rig): readonly Wanted[] {
  const people = rig.bodies.flatMap((body): readonly Wanted[] =>
    body.kind === 'person' ? [{ id: body.id, label: body.label, duty: body.duty, isNew: false }] : [],
  );
  const missing = (['operator', 'signaller'] as const).filter((duty) => !people.some((person) => person.duty === duty));
  return [
    ...people,
    ...missing.map(
      (duty): Wanted => ({ id: freeIdIn(rig, duty), label: duty === 'operator' ? 'Operator' : 'Signaller', duty, isNew: true }),
    ),
  ];
}

function standOf(site: Site, person: Wanted): Stand {
  const { rig, start } = site.judged;
  const winch = rig.winches[0];
  switch (person.duty) {
    case 'operator':
      return operatorStand(site, person, winch);
    case 'driver':
      return driverStand(site, person);
    case 'drum-watcher': {
      const drum = winch && start.positions[winch.point.index];
      const at = drum && { xM: drum.x, yM: drum.y };
      return outside(
        site,
        person,
        NEAR_M,
        (place) => far(place, at ?? site.centre),
        (place) => rich`${length(far(place, at ?? site.centre))} from the drum, outside the line: make sure of seeing it from there.`,
      );
    }
    case 'signaller':
      return signallerStand(site, person);
    case 'road-guard':
      return guardStand(site, person);
    default:
      return outside(
        site,
        person,
        FAR_M,
        (place) => far(place, behindOf(site)),
        () => rich`With the others, well clear of it all.`,
      );
  }
}

const far = (a: OnMap, b: OnMap): number => Math.hypot(a.xM - b.xM, a.yM - b.yM);

const centreOf = (line: readonly OnMap[]): OnMap => ({
  xM: line.reduce((sum, { xM }) => sum + xM, 0) / line.length,
  yM: line.reduce((sum, { yM }) => sum + yM, 0) / line.length,
});

/** Behind what winches, where the others wait; without a winch behind the crew or the middle. */
function behindOf({ judged: { rig }, centre }: Site): OnMap {
  const body = rig.drives[0]?.on?.body;
  if (!body) return centre;
  if (!('headingRad' in body)) return body;
  const back = ahead(body.headingRad + Math.PI);
  return { xM: body.xM + 10 * back.x, yM: body.yM + 10 * back.y };
}

function operatorStand(site: Site, person: Wanted, winch: WinchDrive | undefined): Stand {
  const { policy } = site.judged.rig;
  const cab = winch?.on?.body;
  if (!winch || !cab)
    return outside(
      site,
      person,
      NEAR_M,
      (place) => far(place, site.centre),
      () => rich`As near as one may be, outside the line.`,
    );
  const reachM = winch.winch && remoteReachM(winch.winch, policy);
  // The winch may go along with what it pulls.
  const awayM = (place: OnMap) => Math.max(...site.judged.samples.map((moment) => (winch.on ? far(place, bodyPose(moment, winch.on)) : 0)));
  const reached = reachM === undefined ? [] : safePlaces(site, NEAR_M).filter((place) => awayM(place) <= reachM);
  const tag = winch.winch?.tag ?? 'the winch';
  if (reached.length > 0)
    return chosen(
      site,
      person,
      reached,
      (place) => far(place, cab),
      (place) => rich`${length(awayM(place))} from ${tag} at most, within reach of its remote and outside the line.`,
    );
  const why =
    reachM === undefined
      ? rich`In the cab: how far the remote of ${tag} reaches is not on record.`
      : rich`In the cab: the remote of ${tag} reaches ${length(reachM)}, and nowhere outside the line is as near as that.`;
  return seated(person, cab, why);
}

function driverStand(site: Site, person: Wanted): Stand {
  const { load } = site.judged.rig;
  if (load.body.kind === 'vehicle') return seated(person, load.body, rich`At the wheel and the brake of ${load.body.label}, belt on.`);
  return outside(
    site,
    person,
    FAR_M,
    (place) => far(place, behindOf(site)),
    () => rich`With the others: ${load.body.label} has no wheel.`,
  );
}

/**
 * Where both ends are about as far: who signals has to see and be seen by both, which nobody but a person on the spot can tell. On the
 * side of the operator, where that is safe, so that no rope lies between the two.
 */
function signallerStand(site: Site, person: Wanted): Stand {
  const { rig } = site.judged;
  const [near, other] = [rig.drives[0]?.on?.body ?? rig.load.body, rig.load.body];
  const ends = rig.points.map((_, index) => site.judged.start.positions[index]).flatMap((at) => (at ? [{ xM: at.x, yM: at.y }] : []));
  const away = ends.reduce((most, end) => (far(end, near) > far(most, near) ? end : most), ends[0] ?? site.centre);
  const seen = near === other ? rich`${near.label} as from the anchor` : rich`${near.label} as from ${other.label}`;
  const target = near === other ? away : other;
  const places = safePlaces(site, NEAR_M);
  // Operators have chosen before; one in a cab, or behind the rope itself, sees to either side.
  const operator = site.taken.at(-1);
  const operatorSide = operator ? sideOf(near, target, operator) : 0;
  const beside = places.filter((place) => sideOf(near, target, place) * operatorSide > 0);
  const side =
    operatorSide === 0
      ? rich`To one side`
      : beside.length > 0
        ? rich`On the operator’s side of the rope`
        : rich`Across the rope from the operator, whose side has no safe place`;
  return chosen(
    site,
    person,
    beside.length > 0 ? beside : places,
    (place) => far(place, site.centre) + Math.abs(far(place, near) - far(place, target)) / 2,
    () => rich`${side}, outside the line and about as far from ${seen}: make sure of seeing both from there.`,
  );
}

/** On which side of the way from one place to another a third lies: positive to the left. */
const sideOf = (from: OnMap, to: OnMap, place: OnMap): number =>
  (to.xM - from.xM) * (place.yM - from.yM) - (to.yM - from.yM) * (place.xM - from.xM);

/** Where a track comes out of the line, far enough off that a car can stop. */
function guardStand(site: Site, person: Wanted): Stand {
  const tracks = (site.judged.rig.rig.features ?? []).filter(({ kind }) => kind === 'track');
  const crossings = tracks.flatMap(({ label, points }) => pastTheLine(site.line, points).map((place) => ({ label, ...place })));
  const free = crossings.filter((place) => isSafe(site, place));
  const [first] = free;
  if (first) {
    site.taken.push(first);
    return {
      ...person,
      xM: first.xM,
      yM: first.yM,
      why: rich`On ${first.label}, ${length(ROAD_M)} along it from the line, to stop anybody coming.`,
    };
  }
  return outside(
    site,
    person,
    FAR_M,
    (place) => far(place, behindOf(site)),
    () =>
      tracks.length === 0
        ? rich`With the others: no track is drawn that would have to be guarded.`
        : rich`With the others: the tracks that are drawn do not come out of the line where it is safe, or are guarded.`,
  );
}

/** Where a track is so far past each of its crossings of the line, along it; not where it ends sooner. */
function pastTheLine(line: readonly OnMap[], track: readonly OnMap[]): readonly OnMap[] {
  const steps = alongTrack(track);
  return steps.flatMap((place, step) => {
    const next = steps[step + 1];
    if (next === undefined || isInside(line, place) === isInside(line, next)) return [];
    // Onward where it comes out here, backward where it goes in.
    const past = isInside(line, place) ? steps[step + 1 + ROAD_M / STEP_M] : steps[step - ROAD_M / STEP_M];
    return past ? [past] : [];
  });
}

/** Places on a track, a step apart. */
const alongTrack = (track: readonly OnMap[]): readonly OnMap[] =>
  track.slice(1).flatMap((to, index) => {
    const from = track[index] ?? to;
    const count = Math.max(1, Math.round(far(from, to) / STEP_M));
    return Array.from({ length: count }, (_, step): OnMap => {
      const share = step / count;
      return { xM: from.xM + (to.xM - from.xM) * share, yM: from.yM + (to.yM - from.yM) * share };
    });
  });

/** Whether a place lies inside a convex line that is gone round counter-clockwise. */
export const isInside = (line: readonly OnMap[], place: OnMap): boolean =>
  line.every((from, index) => sideOf(from, line[(index + 1) % line.length] ?? from, place) >= 0);

function seated(person: Wanted, vehicle: Body, why: RichText): Stand {
  return { ...person, xM: vehicle.xM, yM: vehicle.yM, inVehicleId: vehicle.id, why };
}

type Cost = (place: OnMap) => number;
type Why = (place: OnMap) => RichText;

function outside(site: Site, person: Wanted, offM: number, cost: Cost, why: Why): Stand {
  return chosen(site, person, safePlaces(site, offM), cost, why);
}

/** The place that costs least, uphill for choice. */
function chosen(site: Site, person: Wanted, places: readonly OnMap[], cost: Cost, why: Why): Stand {
  const { rig } = site.judged.rig;
  const up = ahead(rig.ground.uphillRad);
  const uphillM = ({ xM, yM }: OnMap) => (rig.ground.slopeRad > 0 ? (xM - site.centre.xM) * up.x + (yM - site.centre.yM) * up.y : 0);
  const worth = (place: OnMap) => cost(place) - UPHILL_WORTH * Math.min(uphillM(place), 10);
  const best = places.reduce<OnMap | undefined>((now, place) => (now === undefined || worth(place) < worth(now) ? place : now), undefined);
  if (best === undefined)
    return {
      ...person,
      xM: undefined,
      yM: undefined,
      why: rich`Nowhere round this rig is safe: lay it another way, or send them off the site.`,
    };
  site.taken.push(best);
  return { ...person, xM: best.xM, yM: best.yM, why: why(best) };
}

const safePlaces = (site: Site, offM: number): readonly OnMap[] =>
  outsideOf(site.line, offM, STEP_M).filter((place) => isSafe(site, place));

/** Whether somebody may stand there on foot at every moment of the act. */
function isSafe({ judged: { samples, rig }, taken }: Site, at: OnMap): boolean {
  if (taken.some((other) => far(other, at) < ELBOW_M)) return false;
  return (
    samples.every((moment) => isSafeAt(moment, at)) && !rig.bodies.some(({ body }) => body.kind !== 'person' && far(body, at) < ELBOW_M)
  );
}

function isSafeAt(moment: Moment, at: OnMap): boolean {
  const { rig, holds } = moment;
  if (!(zoneRoomM(moment, at) > 0)) return false;
  if (moment.travelM > 0 && fromPointM(loadOutline(moment), at.xM, at.yM) <= rig.policy.zones.corridorM.value) return false;
  if (holds.some((hold) => slidesOver(hold, at, rig.policy))) return false;
  return runners(rig).every((runner) => {
    const mayRun = mayRunUnheld(moment, runner) || runsByN(moment, runner) > 0;
    return !mayRun || runRoomM(moment, runner, at) > 0;
  });
}
