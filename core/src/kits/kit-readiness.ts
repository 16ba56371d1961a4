import type { GearClass } from '../gear/classes/gear-classes.ts';
import type { GearState } from '../gear/gear-facts.ts';
import type { Wanted } from './terrain-lists.ts';

/** What counts about a piece when a kit is made ready. */
export interface KitPiece {
  readonly id: string;
  readonly kind: GearClass;
  readonly state: GearState;
  /** Working limit in its usual use, N; unknown where it is not rated or carries nothing. */
  readonly wllN: number | undefined;
  /** The same once it has been inspected and graded B: in order, a little worn. */
  readonly inspectedWllN: number | undefined;
  /** Its inspection is overdue, or it has never been inspected. */
  readonly due: boolean;
  /** Checked out to somebody and not counted back. */
  readonly away: boolean;
}

export type NotFit = 'quarantined' | 'retired' | 'due' | 'too-weak' | 'unrated' | 'away';

export interface WantedLine {
  readonly wanted: Wanted;
  /** Pieces of the kit that fill the line, the weakest that will do first. */
  readonly filledBy: readonly string[];
  /** How many are still missing. */
  readonly short: number;
  /** Pieces of the class in the kit that do not count, and why. */
  readonly notFit: readonly { readonly id: string; readonly why: NotFit }[];
  /** Pieces elsewhere that would fill it, the weakest that will do first. */
  readonly substitutes: readonly string[];
  /** Pieces of the kit and elsewhere that would do once they have been inspected, the weakest that will do first. */
  readonly afterInspection: readonly string[];
}

export interface KitReadiness {
  readonly ready: boolean;
  readonly lines: readonly WantedLine[];
  /** Pieces in the kit that are out of use, though no line asks for their class. */
  readonly unfitBeside: readonly { readonly id: string; readonly why: NotFit }[];
}

/** Why a piece does not count for a line; nothing where it does. */
export function whyNotFit(piece: KitPiece, leastWllN: number | undefined): NotFit | undefined {
  if (piece.state !== 'in-use') return piece.state;
  if (piece.away) return 'away';
  if (piece.due) return 'due';
  if (leastWllN === undefined) return undefined;
  if (piece.wllN === undefined) return 'unrated';
  return piece.wllN < leastWllN ? 'too-weak' : undefined;
}

/**
 * Whether a kit is ready: each wanted line filled by its own pieces. A piece fills one line; lines that ask for most strength choose
 * first, and take the weakest piece that will do, so that a strong one is left for who needs it.
 */
export function kitReadiness(wanted: readonly Wanted[], inside: readonly KitPiece[], elsewhere: readonly KitPiece[]): KitReadiness {
  const taken = new Set<string>();
  const order = wanted.map((line, index) => ({ line, index })).sort((a, b) => (b.line.leastWllN ?? 0) - (a.line.leastWllN ?? 0));
  const lines = new Map<number, WantedLine>();
  for (const { line, index } of order) {
    const own = inside.filter(({ kind }) => kind === line.kind);
    const filledBy = fitting(own, line.leastWllN)
      .filter(({ id }) => !taken.has(id))
      .slice(0, line.count)
      .map(({ id }) => id);
    for (const id of filledBy) taken.add(id);
    const short = line.count - filledBy.length;
    lines.set(index, {
      wanted: line,
      filledBy,
      short,
      notFit: own.flatMap((piece) => reasonOf(piece, line.leastWllN)),
      substitutes:
        short > 0
          ? fitting(
              elsewhere.filter(({ kind }) => kind === line.kind),
              line.leastWllN,
            ).map(({ id }) => id)
          : [],
      afterInspection:
        short > 0 ? fittingOnceInspected([...own, ...elsewhere.filter(({ kind }) => kind === line.kind)], line.leastWllN) : [],
    });
  }
  const asked = new Set(wanted.map(({ kind }) => kind));
  const inOrder = wanted.flatMap((_line, index) => lines.get(index) ?? []);
  const unfitBeside = inside.filter(({ kind }) => !asked.has(kind)).flatMap((piece) => reasonOf(piece, undefined));
  return { ready: inOrder.every(({ short }) => short === 0), lines: inOrder, unfitBeside };
}

function reasonOf(piece: KitPiece, leastWllN: number | undefined): readonly { readonly id: string; readonly why: NotFit }[] {
  const why = whyNotFit(piece, leastWllN);
  return why === undefined ? [] : [{ id: piece.id, why }];
}

/** Pieces that only an inspection keeps from filling a line. */
function fittingOnceInspected(pieces: readonly KitPiece[], leastWllN: number | undefined): readonly string[] {
  const inspected = pieces
    .filter((piece) => whyNotFit(piece, leastWllN) === 'due')
    .map((piece) => ({ ...piece, due: false, wllN: piece.inspectedWllN }));
  return fitting(inspected, leastWllN).map(({ id }) => id);
}

function fitting(pieces: readonly KitPiece[], leastWllN: number | undefined): readonly KitPiece[] {
  return pieces
    .filter((piece) => whyNotFit(piece, leastWllN) === undefined)
    .sort((a, b) => (a.wllN ?? 0) - (b.wllN ?? 0) || (a.id < b.id ? -1 : 1));
}
