import { strainAt, worstIndex } from '../../moment/margins.ts';
import type { Moment } from '../../moment/moment.ts';
import { bodyPose } from '../../moment/poses.ts';
import { momentOn } from '../../pull/moment-on.ts';
import type { Judged } from '../ask/judged.ts';
import { loadForce, pointLoads, pulleysAt, strandsAt } from './drawing-facts.ts';
import type { MomentReport, MovedBody, PlaceReport } from './report.ts';
import { drumFigures, holdReports, placeReports } from './report-figures.ts';

/** The moment of a judged act nearest to a metre of its travel, with the figures by which it was judged. */
export function momentReport(judged: Judged, travelM: number): MomentReport {
  const moment = momentOn(judged, travelM);
  const present = new Set(moment.rig.places.flatMap(({ id, index }) => (moment.places.present[index] === 1 ? [id] : [])));
  const places = placeReports({ ...judged, start: moment }).filter(({ id }) => present.has(id));
  return {
    travelM: moment.travelM,
    moved: movedBodies(moment),
    pullN: moment.pullN,
    plannedPullN: moment.plannedPullN,
    greatestPullN: moment.greatestPullN,
    strands: strandsAt(moment),
    pulleys: pulleysAt(moment),
    pointLoads: pointLoads(moment),
    loadForce: loadForce(moment),
    drum: drumFigures(moment.drives[0]?.drum),
    holds: holdReports(moment),
    places: places.map(asOfNow),
    highestPlaceId: highestOf(moment),
  };
}

/** A place whose worst is what it carries now. As over the whole act, the greatest load stands only where it is held against a strength. */
function asOfNow({ worst: _, ...place }: PlaceReport): PlaceReport {
  const { plannedN, wllN, utilisation, greatestN, mbsN, breakingRatio } = place;
  const greatest = breakingRatio === undefined ? {} : { greatestN, mbsN, breakingRatio };
  return { ...place, worst: { plannedN, wllN, utilisation, ...greatest } };
}

/** The place that stands worst at a moment, as the whole act is ranked: one that nothing holds stands worst of all. */
function highestOf(moment: Moment): string | undefined {
  const { rig, places } = moment;
  const strains = rig.places.map((place) => (places.present[place.index] === 1 ? strainAt(moment, place) : 0));
  const worst = worstIndex(strains);
  return worst === undefined ? undefined : rig.places[worst]?.id;
}

function movedBodies(moment: Moment): readonly MovedBody[] {
  return moment.rig.bodies.flatMap((on) => {
    const { id, xM, yM } = on.body;
    const pose = bodyPose(moment, on);
    if (pose.xM === xM && pose.yM === yM && pose.turnRad === 0) return [];
    return [{ bodyId: id, xM: pose.xM, yM: pose.yM, turnRad: pose.turnRad }];
  });
}
