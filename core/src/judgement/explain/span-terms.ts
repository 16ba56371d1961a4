import type { Term } from '../../explanation/term.ts';
import type { Assessment, LoadSource, LoadState } from '../../moment/assessment.ts';
import { loadIn } from '../../moment/place-check.ts';
import { spanTension, wrapAtStop } from '../../moment/rig-forces.ts';
import { angle, force, ratio } from '../../quantity/format.ts';
import type { LineWalk } from '../../resolved/rig-network.ts';
import { bodyOfChain, isRunningBridle } from '../../rig/site-geometry.ts';
import { otherWay } from '../../statics/bend-tension.ts';
import type { BendFriction, Motion } from '../../statics/network.ts';

/** What one bend leaves of the tension that passes it. */
function bendTerm(friction: BendFriction, motion: Motion, wrapRad: number, name: string): Term | undefined {
  const sign = motion === 'lowering' ? -1 : 1;
  if (motion === 'frictionless' || friction.kind === 'frictionless') return undefined;
  const label = `${sign > 0 ? '×' : '÷'} what passes ${name}`;
  switch (friction.kind) {
    case 'by-wrap': {
      const power = (sign * wrapRad) / Math.PI;
      return {
        label,
        figure: ratio(friction.efficiency180 ** power),
        how: {
          operation: 'power',
          of: [
            { label: 'share that passes a half turn', figure: ratio(friction.efficiency180) },
            { label: 'to the wrap ÷ half a turn', figure: ratio(power) },
          ],
        },
      };
    }
    case 'flat':
      return {
        label,
        figure: ratio(friction.efficiency ** sign),
        how: {
          operation: 'power',
          of: [
            { label: 'share that passes a pulley', figure: ratio(friction.efficiency) },
            { label: 'to the power', figure: ratio(sign) },
          ],
        },
      };
    case 'plain':
      return {
        label,
        figure: ratio(Math.exp(-sign * friction.friction * wrapRad)),
        how: {
          operation: 'power',
          of: [
            { label: 'e', figure: ratio(Math.E) },
            { label: 'to −friction × wrap', figure: ratio(-sign * friction.friction * wrapRad) },
          ],
        },
      };
    default: {
      const never: never = friction;
      return never;
    }
  }
}

/** The tension of one span from the first drive's pull: its drive's share, then what each bend lets pass. */
export function spanTerm(assessment: Assessment, walk: LineWalk, span: number, load: LoadState, linePull: Term): Term {
  const { motion, state, scale } = load;
  const label =
    span === 0 && walk.index === 0
      ? 'First leg'
      : `Leg ${span + 1} of ${assessment.network.lines.length === 1 ? 'the line' : walk.line.id.replaceAll('-', ' ')}`;
  const figure = force(scale * spanTension(walk, span, state));
  const ref = walk.spans[span];
  const rope = ref && assessment.network.network.ropes[ref.rope];
  if (ref === undefined || rope === undefined) return { label, figure };
  const first = state.strandTensions[ref.rope]?.[0] ?? 0;
  const driven = rope.pull?.kind !== 'length';
  const share: Term[] =
    driven && Math.abs(first - 1) < 1e-12
      ? []
      : [{ label: driven ? '× this drive’s share' : '× share found from the balance of forces', figure: ratio(first) }];
  const start = span - ref.strand;
  const bends = Array.from({ length: ref.strand }, (_, index) => {
    const stop = start + index + 1;
    const friction = rope.bends[index] ?? { kind: 'frictionless' };
    const way = load.bridlesBack && isRunningBridle(assessment.rig, walk.line) ? otherWay(friction) : friction;
    return bendTerm(way, motion, wrapAtStop(walk, stop, state), walk.stops[stop]?.chainId ?? 'the edge');
  }).filter((entry) => entry !== undefined);
  const factors = [...share, ...bends];
  if (factors.length === 0) return { ...linePull, label };
  return { label, figure, how: { operation: 'product', of: [linePull, ...factors] } };
}

/** The load that a source carries in one state, from the first drive's pull. */
export function sourceTerm(assessment: Assessment, source: LoadSource, state: LoadState, linePull: Term): Term {
  const { network } = assessment;
  const figure = force(loadIn(assessment, source, state));
  switch (source.kind) {
    case 'span': {
      const walk = network.lines[source.line] as LineWalk;
      return spanTerm(assessment, walk, source.span, state, linePull);
    }
    case 'bend': {
      const walk = network.lines[source.line] as LineWalk;
      const of = [source.span, source.span + 1].map((span) => spanTerm(assessment, walk, span, state, linePull));
      return { label: 'Larger of the two strands', figure, how: { operation: 'greatest', of } };
    }
    case 'chain':
      return chainTerm(assessment, source, state, linePull);
    case 'body':
      return bodyTerm(assessment, source, state, linePull);
    case 'back-anchor':
      return { label: 'What the vehicle slides by', figure };
    default: {
      const never: never = source;
      return never;
    }
  }
}

function chainTerm(assessment: Assessment, source: Extract<LoadSource, { kind: 'chain' }>, state: LoadState, linePull: Term): Term {
  const place = assessment.network.chains[source.chain];
  const whole = { ...source, share: 1 };
  const wholeN = loadIn(assessment, whole, state);
  const sum = strandsOf(assessment, place?.chain.id, state, linePull) ?? {
    label: 'Force in the chain',
    figure: force(wholeN),
    how: {
      operation: 'product' as const,
      of: [
        linePull,
        { label: '× share found from the balance of forces', figure: ratio(linePull.figure.si === 0 ? 0 : wholeN / linePull.figure.si) },
      ],
    },
  };
  if (source.share === 1) return sum;
  const legs = source.share > 0.5 && source.share !== place?.share;
  return {
    label: legs ? 'Each leg' : 'Its share',
    figure: force(loadIn(assessment, source, state)),
    how: {
      operation: 'quotient',
      of: [
        sum,
        {
          label: legs ? '÷ 2 cos(half the angle between the legs)' : '÷ share taken',
          figure: ratio(1 / source.share),
          ...(legs && { reason: `legs ${Math.round((2 * Math.acos(Math.min(1, 0.5 / source.share)) * 180) / Math.PI)}° apart` }),
        },
      ],
    },
  };
}

/** What pulls on a body: its one chain, or the sum of several as vectors. */
function bodyTerm(assessment: Assessment, source: Extract<LoadSource, { kind: 'body' }>, state: LoadState, linePull: Term): Term {
  const { network, rig } = assessment;
  const chains = network.chains.flatMap((place, chain) => (bodyOfChain(rig, place.chain)?.id === source.bodyId ? [chain] : []));
  const [only] = chains;
  if (only !== undefined && chains.length === 1) return chainTerm(assessment, { kind: 'chain', chain: only, share: 1 }, state, linePull);
  const loadN = loadIn(assessment, source, state);
  const share = ratio(linePull.figure.si === 0 ? 0 : loadN / linePull.figure.si);
  return {
    label: 'All that pulls on it together',
    figure: force(loadN),
    how: {
      operation: 'product',
      of: [linePull, { label: `× sum of its ${chains.length} chains, as vectors, for one newton`, figure: share }],
    },
  };
}

/** The strands that a chain holds, added up; undefined where it holds none or more than one line's. */
function strandsOf(assessment: Assessment, chainId: string | undefined, state: LoadState, linePull: Term): Term | undefined {
  for (const walk of assessment.network.lines) {
    const stop = walk.stops.findIndex((entry) => entry.chainId === chainId);
    if (stop < 0) continue;
    if (stop === 0) return spanTerm(assessment, walk, 0, state, linePull);
    const before = spanTerm(assessment, walk, stop - 1, state, linePull);
    if (stop >= walk.spans.length) return before;
    const after = spanTerm(assessment, walk, stop, state, linePull);
    const between = Math.PI - wrapAtStop(walk, stop, state.state);
    const [a, b] = [before.figure.si, after.figure.si];
    return {
      label: 'Both strands together',
      figure: force(Math.sqrt(a * a + b * b + 2 * a * b * Math.cos(between))),
      how: { operation: 'vector-sum', of: [before, after, { label: 'angle between them', figure: angle(between) }] },
    };
  }
  return undefined;
}
