import { explainAnchor } from '../../anchors/anchor-capacity.ts';
import type { Term } from '../../explanation/term.ts';
import type { LoadState, Moment } from '../../moment/moment.ts';
import { bendFactorAt, bendName, bowFactorAt, isTied, weakestAnchor, worstState } from '../../moment/places.ts';
import { offTheBowRad } from '../../moment/shackle-angle.ts';
import { force, ratio } from '../../quantity/format.ts';
import type { Derate } from '../../rating/derates.ts';
import { explainRatedBreaking, explainRatedLimit } from '../../rating/explain-limit.ts';
import type { Place } from '../../resolved/place.ts';
import type { Judged } from '../ask/judged.ts';
import { greatestTerm, plannedLinePull, ratedTerm } from './pull-terms.ts';
import type { PlaceExplanation } from './report-figure.ts';
import { sourceTerm } from './span-terms.ts';

/** Explains one place of a case, at the start or where it is worst on the way; undefined where the case has no such place. Built on request. */
export function explainPlace(judged: Judged, placeId: string, when: 'start' | 'worst' = 'start'): PlaceExplanation | undefined {
  const { rig, start, places } = judged;
  const place = rig.byId.place(placeId);
  if (place === undefined) return undefined;
  if (when === 'start') return start.places.present[place.index] === 1 ? explainPlaceOf(start, place) : undefined;
  const { planned, greatest } = places[place.index] ?? {};
  const [atPlanned, atGreatest] = [planned && explainPlaceOf(planned, place), greatest && explainPlaceOf(greatest, place)];
  return {
    placeId,
    ...(atPlanned?.limit && { limit: atPlanned.limit }),
    ...(atPlanned?.planned && { planned: atPlanned.planned }),
    ...(atGreatest?.breaking && { breaking: atGreatest.breaking }),
    ...(atGreatest?.greatest && { greatest: atGreatest.greatest }),
  };
}

export function explainPlaceOf(moment: Moment, place: Place): PlaceExplanation {
  const planned = loadTerm(moment, place, 'planned');
  const greatest = loadTerm(moment, place, 'greatest');
  return { placeId: place.id, ...limitsOfPlace(moment, place), ...(planned && { planned }), ...(greatest && { greatest }) };
}

/** The load of a place in the state in which it is largest. */
export function loadTerm(moment: Moment, place: Place, check: 'planned' | 'greatest'): Term | undefined {
  const label = check === 'planned' ? 'Planned load' : 'At the winch’s greatest pull';
  if (place.load.kind === 'back-anchor') return backAnchorTerm(moment, place, check, label);
  if (isTied(moment.rig, place.load)) return tiedTerm(moment, place, check, label);
  const worst = worstState(moment, place.load, moment.states[check]);
  return worst && { ...sourceTerm(moment, place.load, worst, linePullOf(moment, worst, check)), label };
}

/** The first drive's pull in one state of a check. */
export function linePullOf(moment: Moment, state: LoadState, check: 'planned' | 'greatest'): Term {
  if (check === 'planned') return plannedLinePull(moment, state);
  if (moment.runUp)
    return { label: 'Peak of the greatest check', figure: force(state.scale), reason: 'a quarter faster, with all the grip there is' };
  const [drive] = moment.drives;
  return drive ? greatestTerm(drive) : { label: 'Greatest line pull', figure: force(state.scale) };
}

/** Lines and back-anchors that pull at one thing: found state by state with what each strap holds then. */
function tiedTerm({ places }: Moment, { index }: Place, check: 'planned' | 'greatest', label: string): Term | undefined {
  const loadN = (check === 'planned' ? places.plannedN : places.greatestN)[index] ?? Number.NaN;
  if (Number.isNaN(loadN)) return undefined;
  return { label, figure: force(loadN), reason: 'lines and back-anchors together, as vectors, in the state in which their sum is largest' };
}

function backAnchorTerm({ rig, places }: Moment, { index }: Place, check: 'planned' | 'greatest', label: string): Term | undefined {
  const loadN = (check === 'planned' ? places.plannedN : places.greatestN)[index] ?? Number.NaN;
  if (Number.isNaN(loadN)) return undefined;
  const margin = rig.policy.hold.backAnchorMargin;
  const factor = check === 'planned' ? margin.value : 1;
  return {
    label,
    figure: force(loadN),
    how: {
      operation: 'product',
      of: [
        { label: 'The least tension that keeps the vehicle in place, this piece’s share', figure: force(loadN / factor) },
        { label: '× margin', figure: ratio(factor), source: margin.source },
      ],
    },
  };
}

type Limits = Pick<PlaceExplanation, 'limit' | 'breaking'>;

/** What a place stands with: its working limit and its breaking strength. */
export function limitsOfPlace(moment: Moment, place: Place): Limits {
  const { strength, owner } = place;
  if (strength.kind === 'drum') {
    const drive = moment.drives[strength.drive.index];
    return drive ? { limit: ratedTerm(drive) } : {};
  }
  if (owner.kind === 'body') return anchorLimits(moment, place);
  const { use, limit } = owner.use;
  if (strength.kind === 'judged') {
    const { judged } = use;
    const because = judged
      ? `judged by ${judged.person} on ${judged.on}: ${judged.reason}`
      : limit?.kind === 'judged'
        ? limit.reason
        : 'judged';
    return {
      limit: { label: 'Working number', figure: force(strength.wllN), reason: because },
      breaking: { label: 'Failing number', figure: force(strength.mbsN), reason: because },
    };
  }
  if (limit?.kind !== 'rated' || strength.kind !== 'rated') return {};
  if (use.axis === 'minor') {
    const { wllN, mbsN } = moment.places;
    return {
      limit: { label: 'Working limit across its gate', figure: force(wllN[place.index] ?? 0), reason: 'minor axis' },
      breaking: { label: 'Breaking strength across its gate', figure: force(mbsN[place.index] ?? 0), reason: 'minor axis' },
    };
  }
  const locals = localsAt(moment, place);
  return {
    limit: explainRatedLimit(limit, moment.rig.policy.designFactors[limit.limit.use].source, locals),
    breaking: explainRatedBreaking(limit, locals),
  };
}

/** The factors that hold at a place in a moment, the bend's with them. */
function localsAt(moment: Moment, { locals, bend, shackle }: Place): readonly Derate[] {
  const { rig, balances } = moment;
  if (shackle !== undefined && balances !== undefined) {
    const at = { ...moment, balance: balances.hauling };
    const factor = bowFactorAt(at, shackle);
    const reason = `${Math.round((offTheBowRad(at, shackle) * 180) / Math.PI)}° off, by the way of its load`;
    return factor === 1 ? locals : [...locals, { name: 'off the bow axis', factor, reason, source: 'common rigging-hardware standard' }];
  }
  if (bend === undefined || balances === undefined) return locals;
  const { bends } = rig.policy;
  const { source } = bend.steelWire ? bends.steelWire : bends.fibre;
  const factor = bendFactorAt({ rig, bend, hauling: balances.hauling });
  return [...locals, { name: bendName(bend), factor, reason: `over ${bend.over}`, source }];
}

function anchorLimits({ rig, balances }: Moment, { strength }: Place): Limits {
  if (strength.kind !== 'anchor' || balances === undefined) return {};
  const weakest = weakestAnchor({ points: strength.points, hauling: balances.hauling, rig });
  const explained = weakest && explainAnchor({ ...weakest.at.question, riseRad: weakest.riseRad }, rig.policy);
  return explained ? { limit: explained.working, breaking: explained.failing } : {};
}
