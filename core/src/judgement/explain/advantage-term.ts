import type { Term } from '../../explanation/term.ts';
import { stopAt, vectorAt } from '../../moment/forces.ts';
import type { LoadState, Moment } from '../../moment/moment.ts';
import { ratio } from '../../quantity/format.ts';
import type { ResolvedLine, ResolvedStop } from '../../resolved/parts.ts';
import { chainWords } from '../../rig/line-words.ts';
import { holdsBack } from '../../rig/site-geometry.ts';
import type { Motion } from '../../statics/network.ts';
import { dot, norm, scale, subtract, unit, type Vec3, ZERO } from '../../statics/vec3.ts';
import { spanTerm } from './span-terms.ts';

const ONE: Term = { label: 'one newton at the drive', figure: ratio(1) };

/** What one newton of the first drive gives at the load: each strand and chain on it, by its tension and its direction. */
export function advantageTerm(moment: Moment, motion: Motion): Term {
  const { rig, balances, travel } = moment;
  const label = '÷ what one newton of line pull gives at the load';
  const reason = motion === 'frictionless' ? 'friction left out' : motion === 'lowering' ? 'friction helps to hold' : 'friction counted';
  const balance = balances?.[motion];
  if (balance === undefined) return { label, reason, figure: ratio(0) };
  const state: LoadState = { balance, scale: 1 };
  const backwards = holdsBack(rig.rig);
  const along = (force: Vec3) => {
    const size = norm(force);
    const cosine = size > 0 ? dot(force, travel) / size : 0;
    return backwards ? -cosine : cosine;
  };
  const of = forcesOnLoad(moment, state).map(({ tension, force }): Term => {
    const cosine = along(force);
    return {
      label: tension.label,
      figure: ratio(tension.figure.si * cosine),
      how: {
        operation: 'product',
        of: [
          { ...tension, figure: ratio(tension.figure.si) },
          { label: '× cosine to the travel', figure: ratio(cosine) },
        ],
      },
    };
  });
  const figure = ratio(of.reduce((sum, entry) => sum + entry.figure.si, 0));
  return { label, reason, figure, how: { operation: 'sum', of } };
}

interface OnLoad {
  readonly tension: Term;
  readonly force: Vec3;
}

/** Every strand that ends on the load or on a chain of it, and every chain that joins it to the air. */
function forcesOnLoad(moment: Moment, load: LoadState): readonly OnLoad[] {
  const { rig } = moment;
  const strands = rig.lines.flatMap((line) =>
    line.stops.flatMap((stop, index) => (isOnLoad(moment, stop) ? strandsAtStop(moment, line, index, load) : [])),
  );
  const chains = rig.chains.flatMap(({ index, chain, point, twin }): OnLoad[] => {
    if (chain.to === undefined || point?.on !== rig.load.on || twin) return [];
    const force = vectorAt(load.balance.forces.chains, index);
    return [
      {
        tension: {
          label: `The rigging at ${chainWords(rig.subject.rig, chain.id)}, found from the balance of forces`,
          figure: ratio(norm(force)),
        },
        force,
      },
    ];
  });
  return [...strands, ...chains];
}

/** Whether a body's point that holds a line at a stop is the load's; a joint or a grip is none. */
function isOnLoad({ rig }: Moment, { chain, point }: ResolvedStop): boolean {
  const at = chain ? chain.point : point;
  return at?.on === rig.load.on;
}

function strandsAtStop(moment: Moment, line: ResolvedLine, stop: number, load: LoadState): readonly OnLoad[] {
  const strand = (span: number, towards: number): OnLoad => {
    const direction = subtract(stopAt(line, towards, load.balance), stopAt(line, stop, load.balance));
    const tension = load.balance.forces.spans[line.firstSpan + span] ?? 0;
    return { tension: spanTerm(moment, line, span, load, ONE), force: scale(unit(direction) ?? ZERO, tension) };
  };
  return [...(stop > 0 ? [strand(stop - 1, stop - 1)] : []), ...(stop < line.spans.length ? [strand(stop, stop + 1)] : [])];
}
