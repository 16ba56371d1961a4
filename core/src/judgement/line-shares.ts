import type { GearFacts } from '../gear/gear-facts.ts';
import type { LineShares } from '../logbook/series-of-pieces.ts';
import type { LoadState, Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import { loadIn } from '../moment/places.ts';
import { ownerPiece, type Place } from '../resolved/place.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Case } from '../rig/case.ts';

/** On which strand of which line a gauge was; the strand at the drive is 0. */
export interface GaugeAt {
  readonly lineId: string;
  readonly strand: number;
}

/** A piece's share, with the place that sets it and its limit there. */
export interface RiggedShare {
  readonly gearId: string;
  readonly where: string;
  readonly wllN?: number;
  readonly mbsN?: number;
  readonly shares: readonly number[];
}

export type SharesOutcome =
  | { readonly kind: 'shares'; readonly travelM: readonly number[]; readonly pieces: readonly RiggedShare[] }
  /** No such strand, or no balance of the rig as it begins; where it is lost on the way the shares end there. */
  | { readonly kind: 'no-strand' }
  | { readonly kind: 'no-balance' };

/** Between two of these metres a share is taken as linear. */
const STEP_M = 0.25;

/**
 * What each piece of a rig carries for every newton of the strand on which a gauge was, from the first metre to the last. At each metre
 * the place counts where the piece's share of its limit is largest, and the friction that loads it most.
 */
export function lineShares(subject: Case, { lineId, strand }: GaugeAt): SharesOutcome {
  const rig = resolveRig(subject);
  const line = rig.lines.findIndex(({ line: { id } }) => id === lineId);
  const span = (rig.lines[line]?.firstSpan ?? 0) + strand;
  if (line < 0 || strand < 0 || strand >= (rig.lines[line]?.spans.length ?? 0)) return { kind: 'no-strand' };
  const travelM = metres(rig.rig.load.travelM ?? 0);
  const found = new Map<string, OwnShares>();
  const done: number[] = [];
  let before: Moment | undefined;
  for (const atM of travelM) {
    const moment = momentAt(rig, { travelM: atM }, before);
    if (moment.balances === undefined) break;
    gather(found, { rig, moment, span, step: done.length });
    done.push(atM);
    before = moment;
  }
  if (done.length === 0) return { kind: 'no-balance' };
  const pieces = [...found.values()].map(({ piece, shares }) => ({ ...piece, shares: done.map((_, step) => shares[step] ?? 0) }));
  return { kind: 'shares', travelM: done, pieces };
}

interface OwnShares {
  piece: Omit<RiggedShare, 'shares'>;
  used: number;
  readonly shares: number[];
}

interface Step {
  readonly rig: ResolvedRig;
  readonly moment: Moment;
  readonly span: number;
  readonly step: number;
}

/** Takes the shares of every piece at one metre. */
function gather(found: Map<string, OwnShares>, { rig, moment, span, step }: Step): void {
  for (const place of rig.places) {
    const piece = ownerPiece(place);
    if (piece === undefined || moment.places.present[place.index] !== 1) continue;
    const share = mostOf(rig, place, moment, span);
    if (!(share > 0)) continue;
    const limitN = moment.places.wllN[place.index] ?? Number.NaN;
    const used = limitN > 0 ? share / limitN : 0;
    const own = found.get(piece.id) ?? { piece: placed(place, piece, moment), used, shares: [] };
    found.set(piece.id, own);
    own.shares[step] = Math.max(own.shares[step] ?? 0, share);
    if (used <= own.used) continue;
    own.piece = placed(place, piece, moment);
    own.used = used;
  }
}

function metres(travelM: number): readonly number[] {
  const steps = Math.ceil(travelM / STEP_M);
  return steps === 0 ? [0] : Array.from({ length: steps + 1 }, (_, step) => (travelM * step) / steps);
}

/** The largest of a place's loads over the gauge's, over all that friction may do. */
function mostOf(rig: ResolvedRig, place: Place, moment: Moment, span: number): number {
  const { states, balances } = moment;
  if (balances === undefined) return 0;
  const share = (state: LoadState) => {
    const gaugeN = state.scale * (state.balance.forces.spans[span] ?? 0);
    return gaugeN > 0 ? loadIn(rig, place.load, state, balances.hauling) / gaugeN : 0;
  };
  return Math.max(0, ...states.unit.map(share));
}

function placed(place: Place, piece: GearFacts, { places }: Moment): Omit<RiggedShare, 'shares'> {
  const [wllN, mbsN] = [places.wllN[place.index], places.mbsN[place.index]];
  return {
    gearId: piece.id,
    where: [piece.tag, place.where].filter(Boolean).join(', '),
    ...(wllN !== undefined && wllN > 0 && { wllN }),
    ...(mbsN !== undefined && mbsN > 0 && { mbsN }),
  };
}

/** The shares as the counting of a series takes them, cycles in bins of each piece's marked breaking strength. */
export const countedShares = (
  { travelM, pieces }: Extract<SharesOutcome, { kind: 'shares' }>,
  markedMbsN: (gearId: string) => number | undefined,
): LineShares => ({ travelM, pieces: pieces.map(({ gearId, shares }) => ({ gearId, shares, mbsN: markedMbsN(gearId) })) });
