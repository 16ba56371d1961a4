import { explainAnchor } from '../../anchors/anchor-capacity.ts';
import type { Term } from '../../explanation/term.ts';
import { anchorQuestions, assess } from '../../moment/assess.ts';
import type { Assessment, LoadState, Place } from '../../moment/assessment.ts';
import { backAnchorLoads, worstState } from '../../moment/place-check.ts';
import { force, ratio } from '../../quantity/format.ts';
import { explainRatedBreaking, explainRatedLimit } from '../../rating/explain-limit.ts';
import type { Case } from '../../rig/case.ts';
import { greatestTerm, plannedLinePull, ratedTerm } from './pull-terms.ts';
import { sourceTerm } from './span-terms.ts';

/** How the figures of one place were worked out. Each term can be recomputed with `evaluate`. */
export interface PlaceExplanation {
  readonly placeId: string;
  readonly limit?: Term;
  readonly planned?: Term;
  readonly breaking?: Term;
  readonly greatest?: Term;
}

/** Explains one place of a case; undefined where the case has no such place. Built on request, never on a plain solve. */
export function explainPlace(subject: Case, placeId: string): PlaceExplanation | undefined {
  const assessment = assess(subject);
  const place = assessment.places.find(({ id }) => id === placeId);
  return place && explainPlaceOf(assessment, place);
}

export function explainPlaceOf(assessment: Assessment, place: Place): PlaceExplanation {
  const planned = loadTerm(assessment, place, 'planned');
  const greatest = loadTerm(assessment, place, 'greatest');
  return { placeId: place.id, ...limitsOfPlace(assessment, place), ...(planned && { planned }), ...(greatest && { greatest }) };
}

/** The load of a place in the state in which it is largest. */
export function loadTerm(assessment: Assessment, place: Place, check: 'planned' | 'greatest'): Term | undefined {
  const label = check === 'planned' ? 'Planned load' : 'At the winch’s greatest pull';
  if (place.load.kind === 'back-anchor') return backAnchorTerm(assessment, place, check, label);
  const worst = worstState(assessment, place.load, assessment.states[check]);
  if (worst === undefined) return undefined;
  return { ...sourceTerm(assessment, place.load, worst.state, linePullOf(assessment, worst.state, check)), label };
}

/** The first drive's pull in one state of a check. */
export function linePullOf(assessment: Assessment, state: LoadState, check: 'planned' | 'greatest'): Term {
  if (check === 'planned') return plannedLinePull(assessment, state);
  const [drive] = assessment.drives;
  return drive ? greatestTerm(drive) : { label: 'Greatest line pull', figure: force(state.scale) };
}

function backAnchorTerm(assessment: Assessment, place: Place, check: 'planned' | 'greatest', label: string): Term | undefined {
  if (place.load.kind !== 'back-anchor') return undefined;
  const loads = backAnchorLoads(assessment, place.load);
  const loadN = check === 'planned' ? loads.plannedN : loads.greatestN;
  if (loadN === undefined) return undefined;
  const margin = assessment.policy.hold.backAnchorMargin;
  const factor = check === 'planned' ? margin.value : 1;
  return {
    label,
    figure: force(loadN),
    how: {
      operation: 'product',
      of: [
        { label: 'What the vehicle would slide by, this piece’s share', figure: force(loadN / factor) },
        { label: '× margin', figure: ratio(factor), source: margin.source },
      ],
    },
  };
}

export function limitsOfPlace(assessment: Assessment, place: Place): Pick<PlaceExplanation, 'limit' | 'breaking'> {
  const { policy } = assessment;
  if (place.kind === 'drum') {
    const drive = assessment.drives.find(({ walk }) => place.load.kind === 'span' && walk.index === place.load.line);
    return drive ? { limit: ratedTerm(drive) } : {};
  }
  if (place.owner.kind === 'body') return anchorLimits(assessment, place);
  const { use } = place.owner;
  const rated = assessment.limits.get(use.id);
  const judged = use.judged
    ? { ...use.judged, because: `judged by ${use.judged.person} on ${use.judged.on}: ${use.judged.reason}` }
    : rated?.kind === 'judged'
      ? { ...rated, because: rated.reason }
      : undefined;
  if (judged)
    return {
      limit: { label: 'Working number', figure: force(judged.workingN), reason: judged.because },
      breaking: { label: 'Failing number', figure: force(judged.failingN), reason: judged.because },
    };
  if (rated?.kind !== 'rated') return {};
  const minor = use.axis === 'minor' && place.capacity !== undefined;
  if (minor)
    return {
      limit: { label: 'Working limit across its gate', figure: force(place.capacity?.wllN ?? 0), reason: 'minor axis' },
      breaking: { label: 'Breaking strength across its gate', figure: force(place.capacity?.mbsN ?? 0), reason: 'minor axis' },
    };
  return {
    limit: explainRatedLimit(rated, policy.designFactors[rated.limit.use].source, place.locals),
    breaking: explainRatedBreaking(rated, place.locals),
  };
}

function anchorLimits(
  { rig, policy, network, gear, solved, anchors }: Assessment,
  place: Place,
): Pick<PlaceExplanation, 'limit' | 'breaking'> {
  const { owner } = place;
  if (owner.kind !== 'body' || solved === undefined) return {};
  const questions = [...anchorQuestions({ rig, policy, network, gear }, solved.hauling)].filter(([, { body }]) => body.id === owner.bodyId);
  // An anchor is as strong as at its weakest point; the place carries that one's capacity.
  const found = questions.find(([pointId]) => anchors.get(pointId)?.workingN === place.capacity?.wllN);
  const explained = found && explainAnchor(found[1], policy);
  return explained ? { limit: explained.working, breaking: explained.failing } : {};
}
