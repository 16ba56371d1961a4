import type { Term } from '../explanation/term.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import { force, length, ratio, rich, write } from '../quantity/format.ts';
import { keyWords } from '../quantity/key-words.ts';
import type { JudgedStrength } from '../rating/judged-strength.ts';
import type { AnchorBody, GroundAnchor } from './anchor-body.ts';
import type { AnchorCapacity } from './capacity.ts';
import { deadmanFailingN, picketsFailingN, pullSlopeOf } from './ground-anchors.ts';
import { explainTree, treeCapacity } from './tree-capacity.ts';

/** What is asked of an anchor body at one of its points. */
export interface AnchorQuestion {
  readonly body: AnchorBody;
  /** Height of the strap or shackle above the ground, metres. */
  readonly heightM: number;
  /** Rise of the pull from the level, rad; a deadman needs it. */
  readonly riseRad: number;
  /** The rated piece that is the anchor, for a ground anchor. */
  readonly piece: GearFacts | undefined;
}

/** The capacity of an anchor; undefined where nothing on record gives one. Judged figures take the place of formulas. */
export function anchorCapacity(question: AnchorQuestion, policy: Policy): AnchorCapacity | undefined {
  const { body, heightM, riseRad, piece } = question;
  switch (body.kind) {
    case 'tree':
      return treeCapacity(body, heightM, policy);
    case 'rock':
    case 'structure':
      return judgedCapacity(body.judged);
    case 'ground-anchor':
      return judgedCapacity(body.judged) ?? ratedInSoil(body, piece, policy);
    case 'pickets':
      return judgedCapacity(body.judged) ?? fromFailing(picketsFailingN(body, policy), policy);
    case 'deadman':
      return judgedCapacity(body.judged) ?? fromFailing(deadmanFailingN(body, riseRad, policy), policy, 'too shallow');
    default: {
      const never: never = body;
      return never;
    }
  }
}

function judgedCapacity(judged: JudgedStrength | undefined): AnchorCapacity | undefined {
  return judged && { workingN: judged.workingN, failingN: judged.failingN, judgedBy: judged.person };
}

function fromFailing(failingN: number, { anchors }: Policy, refusedFor?: string): AnchorCapacity {
  const capacity = { workingN: failingN / anchors.groundDivisor.value, failingN };
  return failingN === 0 && refusedFor !== undefined ? { ...capacity, refusedFor } : capacity;
}

/** The lowest mark of a ground anchor, in newtons, ambiguous units by their smallest reading. */
function markedN(piece: GearFacts | undefined): number | undefined {
  const readings = piece?.marks.flatMap((mark) => mark.readings.map(({ forceN }) => forceN)) ?? [];
  return readings.length === 0 ? undefined : Math.min(...readings);
}

function ratedInSoil({ soil }: GroundAnchor, piece: GearFacts | undefined, { anchors }: Policy): AnchorCapacity | undefined {
  const rated = markedN(piece);
  if (rated === undefined) return undefined;
  const workingN = rated * anchors.groundAnchorSoil[soil].value;
  return { workingN, failingN: workingN * anchors.judgedFailing.value };
}

/** How the working and the failing number of an anchor were worked out. */
export function explainAnchor(question: AnchorQuestion, policy: Policy): { readonly working: Term; readonly failing: Term } | undefined {
  const { body, heightM } = question;
  const capacity = anchorCapacity(question, policy);
  if (capacity === undefined) return undefined;
  const figures = { working: force(capacity.workingN), failing: force(capacity.failingN) };
  const { judged } = body;
  if (judged) {
    const reason = `judged by ${judged.person} on ${judged.on}: ${judged.reason}`;
    return {
      working: { label: `Working number of ${body.label}`, figure: figures.working, reason },
      failing: { label: `Failing number of ${body.label}`, figure: figures.failing, reason },
    };
  }
  if (body.kind === 'pickets' || body.kind === 'deadman') {
    const failing = explainFailing(question, policy, capacity);
    const { groundDivisor } = policy.anchors;
    const of = [failing, { label: '÷ failing to working', figure: ratio(groundDivisor.value), source: groundDivisor.source }];
    return { failing, working: { label: `Working number of ${body.label}`, figure: figures.working, how: { operation: 'quotient', of } } };
  }
  const working = body.kind === 'tree' ? explainTree(body, heightM, policy) : explainRated(question, policy, capacity);
  const times = policy.anchors.judgedFailing;
  const of = [working, { label: '× working to failing', figure: ratio(times.value), source: times.source }];
  return { working, failing: { label: `Failing number of ${body.label}`, figure: figures.failing, how: { operation: 'product', of } } };
}

function explainRated({ body, piece }: AnchorQuestion, { anchors }: Policy, { workingN }: AnchorCapacity): Term {
  const soil = body.kind === 'ground-anchor' ? anchors.groundAnchorSoil[body.soil] : { value: 1, source: '' };
  const of: Term[] = [
    { label: 'Maker’s rating', figure: force(markedN(piece) ?? 0), ...(piece && { source: piece.tag }) },
    {
      label: '× soil',
      figure: ratio(soil.value),
      source: soil.source,
      reason: body.kind === 'ground-anchor' ? keyWords(body.soil) : '',
    },
  ];
  return { label: `Working number of ${body.label}`, figure: force(workingN), how: { operation: 'product', of } };
}

function explainFailing({ body, riseRad }: AnchorQuestion, { anchors }: Policy, { failingN, refusedFor }: AnchorCapacity): Term {
  const label = `Failing number of ${body.label}`;
  if (refusedFor) return { label, figure: force(0), reason: refusedFor };
  if (body.kind === 'pickets') {
    const row = anchors.picketsFailingN[body.pattern];
    const soil = anchors.picketSoil[body.soil];
    const of: Term[] = [
      { label: `One line of pickets ${body.pattern}`, figure: force(row.value), source: row.source },
      { label: '× soil', figure: ratio(soil.value), source: soil.source, reason: keyWords(body.soil) },
      { label: '× lines side by side', figure: ratio(body.lines) },
    ];
    return { label, figure: force(failingN), how: { operation: 'product', of } };
  }
  if (body.kind !== 'deadman') return { label, figure: force(failingN) };
  const area = body.lengthM * body.faceHeightM;
  const of: Term[] = [
    {
      label: 'Holding of one square metre of face',
      figure: force(failingN / area),
      reason: write(rich`centre ${length(body.depthM)} deep, pull ${pullSlopeOf(riseRad)}`),
      source: anchors.deadman.source,
    },
    { label: '× bearing face, m²', figure: ratio(area), reason: write(rich`${length(body.lengthM)} by ${length(body.faceHeightM)}`) },
  ];
  return { label, figure: force(failingN), how: { operation: 'product', of } };
}
