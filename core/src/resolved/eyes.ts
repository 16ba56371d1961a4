import type { GearFacts } from '../gear/gear-facts.ts';
import { isRope, ropeLawOf } from '../gear/traits.ts';
import { type ChosenUse, isChosen, type ResolvedLine, type ResolvedUse } from './parts.ts';
import type { ResolvedRig } from './resolved-rig.ts';

/** A rope's made-up eye and the piece that takes it. */
export interface EyeOnPin {
  readonly rope: ChosenUse;
  readonly pin: ChosenUse;
}

/** A rope whose made-up eye sits on a pin. A stretch rope's long sheathed loop lies round its shackle and is marked as it hangs there. */
export const hasEyes = (piece: GearFacts | undefined): piece is GearFacts => isRope(piece);

/** What takes a rope of a line at its first end and at its other: what it is joined to, else the last piece of the chain there. */
export function neighboursInLine(
  { ropes, stops }: Pick<ResolvedLine, 'ropes' | 'stops'>,
  order: number,
): readonly [ResolvedUse | undefined, ResolvedUse | undefined] {
  return [order > 0 ? ropes[order - 1] : stops[0]?.chain?.last, order < ropes.length - 1 ? ropes[order + 1] : stops.at(-1)?.chain?.last];
}

/** Every rope's eye with what takes it: in chains and back-anchors between its neighbours, in lines at both ends. */
export function eyesOnPins({ lines, chosen }: Pick<ResolvedRig, 'lines' | 'chosen'>): readonly EyeOnPin[] {
  const inRows = chosen
    .filter(({ piece, seat }) => hasEyes(piece) && (seat.kind === 'chain' || seat.kind === 'back-anchor'))
    .flatMap((rope) => [rope.inner, rope.outer].filter(isChosen).map((pin) => ({ rope, pin })));
  const inLines = lines.flatMap((line) =>
    line.ropes.flatMap((rope, order) =>
      isChosen(rope) && hasEyes(rope.piece)
        ? neighboursInLine(line, order)
            .filter(isChosen)
            .map((pin) => ({ rope, pin }))
        : [],
    ),
  );
  return [...inRows, ...inLines];
}

/** Two slings looped through each other with nothing between them. */
export interface Interlaced {
  readonly first: ChosenUse;
  readonly second: ChosenUse;
}

/** Straps and stretch ropes that are next to each other, in chains, back-anchors and lines. */
export function interlacedJoints({ lines, chains, ties }: Pick<ResolvedRig, 'lines' | 'chains' | 'ties'>): readonly Interlaced[] {
  const rows = [...chains.map(({ uses }) => uses), ...ties.map(({ uses }) => uses), ...lines.map(({ ropes }) => ropes)];
  return rows.flatMap((uses) =>
    uses.slice(1).flatMap((second, index) => {
      const first = uses[index];
      return isChosen(first) && isChosen(second) && isInterlaced(first.piece, second.piece) ? [{ first, second }] : [];
    }),
  );
}

/** Whether two pieces that meet are both slings: the loop of the one goes through that of the other. */
export const isInterlaced = (a: GearFacts | undefined, b: GearFacts | undefined): boolean => isSling(a) && isSling(b);

const SLINGS: readonly string[] = ['static-polyester', 'stretch-rope', 'stretch-strap'];
const isSling = (piece: GearFacts | undefined): boolean => piece !== undefined && SLINGS.includes(ropeLawOf(piece) ?? '');
