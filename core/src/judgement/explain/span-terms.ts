import type { Term } from '../../explanation/term.ts';
import { wrapAtStop } from '../../moment/forces.ts';
import type { LoadState, Moment } from '../../moment/moment.ts';
import { joinedSpan, loadIn } from '../../moment/places.ts';
import { angle, force, ratio } from '../../quantity/format.ts';
import type { ResolvedChain, ResolvedLine } from '../../resolved/parts.ts';
import type { LoadSource } from '../../resolved/place.ts';
import { chainWords, legWords } from '../../rig/line-words.ts';
import type { Rig } from '../../rig/rig.ts';
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

const bendName = (rig: Rig, chainId: string | undefined): string =>
  chainId === undefined ? 'the edge' : `the bend at ${chainWords(rig, chainId)}`;

/** The tension of one span from the first drive's pull: its drive's share, then what each bend lets pass. */
export function spanTerm({ rig }: Moment, line: ResolvedLine, span: number, load: LoadState, linePull: Term): Term {
  const { balance, scale } = load;
  const words = legWords(rig.subject.rig, { lineId: line.line.id, index: span });
  const label = `${words[0]?.toUpperCase()}${words.slice(1)}`;
  const figure = force(scale * (balance.forces.spans[line.firstSpan + span] ?? 0));
  const ref = line.spans[span];
  const rope = ref && rig.equations.ropes[ref.rope];
  if (ref === undefined || rope === undefined) return { label, figure };
  const first = balance.equilibrium.strandTensions[ref.rope]?.[0] ?? 0;
  const driven = rope.pull.kind !== 'length';
  const share: Term[] =
    driven && Math.abs(first - 1) < 1e-12
      ? []
      : [{ label: driven ? '× this drive’s share' : '× share found from the balance of forces', figure: ratio(first) }];
  const start = span - ref.strand;
  const bends = Array.from({ length: ref.strand }, (_, index) => {
    const stop = start + index + 1;
    const friction = rope.bends[index] ?? { kind: 'frictionless' };
    const way = balance.bridlesBack && line.runningBridle ? otherWay(friction) : friction;
    return bendTerm(way, balance.motion, wrapAtStop(line, stop, balance), bendName(rig.subject.rig, line.stops[stop]?.chain?.chain.id));
  }).filter((entry) => entry !== undefined);
  const factors = [...share, ...bends];
  if (factors.length === 0) return { ...linePull, label };
  return { label, figure, how: { operation: 'product', of: [linePull, ...factors] } };
}

/** The load that a source carries in one state, from the first drive's pull. */
export function sourceTerm(moment: Moment, source: LoadSource, state: LoadState, linePull: Term): Term {
  const figure = force(loadOf(moment, source, state));
  switch (source.kind) {
    case 'span':
      return onLine(moment, source.line, figure.si, (line) => spanTerm(moment, line, source.span, state, linePull));
    case 'joined':
      return onLine(moment, source.line, figure.si, (line) => {
        const span = moment.balances ? joinedSpan(line, source.order, moment.balances.hauling) : 0;
        return spanTerm(moment, line, span, state, linePull);
      });
    case 'bend':
      return onLine(moment, source.line, figure.si, (line) => {
        const of = [source.span, source.span + 1].map((span) => spanTerm(moment, line, span, state, linePull));
        return { label: 'Larger of the two strands', figure, how: { operation: 'greatest', of } };
      });
    case 'chain':
      return chainTerm(moment, source, state, linePull);
    case 'body':
      return bodyTerm(moment, source, state, linePull);
    case 'point':
      return pointTerm(moment, source, state, linePull);
    case 'back-anchor':
      return { label: 'What the vehicle slides by', figure };
    default: {
      const never: never = source;
      return never;
    }
  }
}

const onLine = (moment: Moment, index: number, loadN: number, term: (line: ResolvedLine) => Term): Term => {
  const line = moment.rig.lines[index];
  return line === undefined ? { label: 'Tension', figure: force(loadN) } : term(line);
};

const loadOf = ({ rig, balances }: Moment, source: LoadSource, state: LoadState): number =>
  loadIn(rig, source, state, balances?.hauling ?? state.balance);

function chainTerm(moment: Moment, source: Extract<LoadSource, { kind: 'chain' }>, state: LoadState, linePull: Term): Term {
  const chain = moment.rig.chains[source.chain];
  const wholeN = loadOf(moment, { ...source, share: 1 }, state);
  const sum = strandsOf(moment, chain, state, linePull) ?? {
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
  const legs = source.share > 0.5 && source.share !== chain?.share;
  return {
    label: legs ? 'Each leg' : 'Its share',
    figure: force(loadOf(moment, source, state)),
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
function bodyTerm(moment: Moment, source: Extract<LoadSource, { kind: 'body' }>, state: LoadState, linePull: Term): Term {
  const { rig } = moment;
  const chains = rig.chains.filter(({ point }) => point?.on === rig.bodies[source.body]);
  return togetherTerm({ moment, source, state, linePull }, chains, `× sum of its ${chains.length} chains, as vectors, for one newton`);
}

/** What pulls at one point of a vehicle: its one chain, or the sum of several as vectors. */
function pointTerm(moment: Moment, source: Extract<LoadSource, { kind: 'point' }>, state: LoadState, linePull: Term): Term {
  const chains = moment.rig.chains.filter(({ point }) => point?.index === source.point);
  return togetherTerm({ moment, source, state, linePull }, chains, '× sum of all that pulls there, as vectors, for one newton');
}

interface Pulled {
  readonly moment: Moment;
  readonly source: LoadSource;
  readonly state: LoadState;
  readonly linePull: Term;
}

function togetherTerm({ moment, source, state, linePull }: Pulled, chains: readonly ResolvedChain[], words: string): Term {
  const [only] = chains;
  if (only !== undefined && chains.length === 1) return chainTerm(moment, { kind: 'chain', chain: only.index, share: 1 }, state, linePull);
  const loadN = loadOf(moment, source, state);
  const share = ratio(linePull.figure.si === 0 ? 0 : loadN / linePull.figure.si);
  return {
    label: 'All that pulls on it together',
    figure: force(loadN),
    how: { operation: 'product', of: [linePull, { label: words, figure: share }] },
  };
}

/** The strands that a chain holds, added up; undefined where it holds none or more than one line's. */
function strandsOf(moment: Moment, chain: ResolvedChain | undefined, state: LoadState, linePull: Term): Term | undefined {
  for (const line of moment.rig.lines) {
    const stop = line.stops.findIndex((entry) => entry.chain !== undefined && entry.chain === chain);
    if (stop < 0) continue;
    if (stop === 0) return spanTerm(moment, line, 0, state, linePull);
    const before = spanTerm(moment, line, stop - 1, state, linePull);
    if (stop >= line.spans.length) return before;
    const after = spanTerm(moment, line, stop, state, linePull);
    const between = Math.PI - wrapAtStop(line, stop, state.balance);
    const [a, b] = [before.figure.si, after.figure.si];
    return {
      label: 'Both strands together',
      figure: force(Math.sqrt(a * a + b * b + 2 * a * b * Math.cos(between))),
      how: { operation: 'vector-sum', of: [before, after, { label: 'angle between them', figure: angle(between) }] },
    };
  }
  return undefined;
}
