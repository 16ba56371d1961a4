import { explainTree } from '../anchors/tree-capacity.ts';
import type { Term } from '../explanation/term.ts';
import { angle, force, ratio } from '../quantity/format.ts';
import { explainRatedBreaking, explainRatedLimit } from '../rating/explain-limit.ts';
import type { Case } from '../rig/case.ts';
import { assess } from './assess.ts';
import { type Assessment, driveLine, type Place } from './assessment.ts';
import { wrapAt } from './places-of-rig.ts';

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
  if (place === undefined) return undefined;
  const { plannedPullN, greatestPullN } = assessment;
  const greatestMotion = place.unitLoads.hauling >= place.unitLoads.frictionless ? 'hauling' : 'frictionless';
  return {
    placeId,
    ...limits(assessment, place),
    ...(plannedPullN === undefined
      ? {}
      : { planned: loadTerm(assessment, place, { label: 'Planned load', linePull: plannedLinePull(assessment), motion: 'hauling' }) }),
    ...(greatestPullN === undefined
      ? {}
      : {
          greatest: loadTerm(assessment, place, {
            label: 'At the winch’s greatest pull',
            linePull: greatestLinePull(assessment),
            motion: greatestMotion,
          }),
        }),
  };
}

function limits(assessment: Assessment, place: Place): Pick<PlaceExplanation, 'limit' | 'breaking'> {
  const { policy, rig } = assessment;
  if (place.kind === 'drum') return { limit: drumLimit(assessment) };
  if (place.owner.kind === 'body') {
    const { bodyId } = place.owner;
    const tree = rig.bodies.find(({ id }) => id === bodyId);
    const point = rig.points.find((entry) => entry.bodyId === bodyId && assessment.anchors.has(entry.id));
    if (tree?.kind !== 'tree' || point?.place.kind !== 'on-trunk') return {};
    const working = explainTree(tree, point.place.heightM, policy);
    const failing: Term = {
      label: 'Failing number',
      figure: force(place.capacity?.mbsN ?? 0),
      reason: tree.judged ? 'judged' : 'twice the working number',
    };
    return { limit: working, breaking: failing };
  }
  const { judged } = place.owner.use;
  if (judged) {
    const reason = `judged by ${judged.person} on ${judged.on}: ${judged.reason}`;
    return {
      limit: { label: 'Working number', figure: force(judged.workingN), reason },
      breaking: { label: 'Failing number', figure: force(judged.failingN), reason },
    };
  }
  const rated = assessment.limits.get(place.owner.use.id);
  if (rated?.kind !== 'rated') return {};
  return {
    limit: explainRatedLimit(rated, policy.designFactors[rated.limit.use].source, place.locals),
    breaking: explainRatedBreaking(rated, place.locals),
  };
}

function drumLimit({ drum }: Assessment): Term {
  if (drum.kind === 'no-winch') return { label: 'Rated pull', figure: force(0), reason: 'no winch with a marked pull' };
  if (drum.kind !== 'known') return { label: 'Rated pull, first layer', figure: force(drum.ratedN), reason: 'layer not known' };
  const { coreDiameterM, ropeDiameterM } = drum.drum;
  const here = coreDiameterM + (2 * drum.layer - 1) * ropeDiameterM;
  const shrink = (coreDiameterM + ropeDiameterM) / here;
  return {
    label: `Rated pull on layer ${drum.layer}`,
    figure: force(drum.ratedN),
    how: {
      operation: 'product',
      of: [
        { label: 'Marked pull, first layer', figure: force(drum.ratedN / shrink) },
        {
          label: '× first layer’s diameter ÷ this layer’s',
          figure: ratio(shrink),
          reason: `${(coreDiameterM + ropeDiameterM).toFixed(3)} m ÷ ${here.toFixed(3)} m`,
        },
      ],
    },
  };
}

function plannedLinePull({ plannedPullN, pullN, advantage, rig }: Assessment): Term {
  const pull: Term = {
    label: 'Pull needed',
    figure: force(pullN ?? 0),
    reason: rig.chosenPull ? `chosen by ${rig.chosenPull.person}` : 'estimate',
  };
  const gain: Term = {
    label: '÷ what one newton of line pull gives at the load',
    figure: ratio(advantage?.hauling ?? 1),
    reason: 'friction counted',
  };
  return { label: 'Line pull at the drum', figure: force(plannedPullN ?? 0), how: { operation: 'quotient', of: [pull, gain] } };
}

function greatestLinePull({ greatestPullN, drum }: Assessment): Term {
  const figure = force(greatestPullN ?? 0);
  if (drum.kind === 'no-winch') return { label: 'Greatest line pull', figure };
  if (drum.limitedBy) return { label: 'Greatest line pull', figure, reason: `limited, stated by ${drum.limitedBy}` };
  const layer = drum.kind === 'known' ? `layer ${drum.layer}` : 'first layer';
  const of: Term[] = [
    { label: `Rated pull, ${layer}`, figure: force(drum.greatestN / drum.stallFactor) },
    { label: '× stall factor', figure: ratio(drum.stallFactor) },
  ];
  return { label: 'Greatest line pull', figure, how: { operation: 'product', of } };
}

interface LoadInput {
  readonly label: string;
  readonly linePull: Term;
  readonly motion: 'hauling' | 'frictionless';
}

/** The load at a place: strand tensions from the line pull, their sum at a pulley, and a strap's share of it. */
function loadTerm(assessment: Assessment, place: Place, { label, linePull, motion }: LoadInput): Term {
  const { solved } = assessment;
  const line = driveLine(assessment.rig);
  const figure = force(place.unitLoads[motion] * linePull.figure.si);
  const strand = (index: number): Term => {
    const share = solved?.[motion].strandTensions[0]?.[index] ?? 0;
    if (index === 0) return { ...linePull, label: 'Winch leg' };
    const reason = motion === 'hauling' ? 'left after the pulleys before it' : 'friction left out';
    return {
      label: `Leg ${index + 1} of the line`,
      figure: force(share * linePull.figure.si),
      how: { operation: 'product', of: [linePull, { label: '× share that reaches it', figure: ratio(share), reason }] },
    };
  };
  const [first, second] = place.strands;
  if (place.kind === 'bend' && first && second)
    return { label, figure, how: { operation: 'greatest', of: [strand(first.strand), strand(second.strand)] } };
  const alone = first ? strand(first.strand) : linePull;
  const sum =
    second && first && solved && first.strand < line.via.length
      ? sumTerm(assessment, [strand(first.strand), strand(second.strand)], { bend: first.strand, motion })
      : alone;
  if (place.share === 1) return { ...sum, label };
  const divisor = 1 / place.share;
  return {
    label: `${label}, each leg`,
    figure,
    how: {
      operation: 'quotient',
      of: [
        sum,
        {
          label: '÷ 2 cos(half the angle between the legs)',
          figure: ratio(divisor),
          reason: `legs ${Math.round((2 * Math.acos(divisor / 2) * 180) / Math.PI)}° apart`,
        },
      ],
    },
  };
}

function sumTerm(
  assessment: Assessment,
  strands: readonly [Term, Term],
  { bend, motion }: { readonly bend: number; readonly motion: 'hauling' | 'frictionless' },
): Term {
  const { solved, network } = assessment;
  const state = solved?.[motion];
  const wrap = state ? wrapAt({ network, solved: { hauling: state, frictionless: state } }, bend) : 0;
  const between = Math.PI - wrap;
  const [a, b] = [strands[0].figure.si, strands[1].figure.si];
  const total = Math.sqrt(a * a + b * b + 2 * a * b * Math.cos(between));
  return {
    label: 'Both strands together',
    figure: force(total),
    how: { operation: 'vector-sum', of: [...strands, { label: 'angle between them', figure: angle(between) }] },
  };
}
