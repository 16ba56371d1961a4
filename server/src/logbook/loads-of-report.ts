import type { PlaceReport, Report } from '@wainrope/core';

/** What a plan says that one piece carries, at its worst place. */
export interface PieceLoad {
  readonly gearId: string;
  readonly where: string;
  readonly plannedN: number;
  readonly greatestN?: number;
  /** The limit of that place, derates included. */
  readonly wllN?: number;
}

const shareOf = ({ utilisation, worst }: PlaceReport) => worst?.utilisation ?? utilisation ?? 0;
const plannedOf = ({ plannedN, worst }: PlaceReport) => worst?.plannedN ?? plannedN;

/** The load of every piece of a report, each at the place where its share of the limit is largest; pieces without a load are left out. */
export function loadsOfReport({ places }: Pick<Report, 'places'>): readonly PieceLoad[] {
  const worst = new Map<string, PlaceReport>();
  for (const place of places) {
    const { gearId } = place;
    if (gearId === undefined || plannedOf(place) === undefined) continue;
    const before = worst.get(gearId);
    if (!before || shareOf(place) > shareOf(before)) worst.set(gearId, place);
  }
  return [...worst].map(([gearId, place]) => {
    const greatestN = place.worst?.greatestN ?? place.greatestN;
    const wllN = place.worst?.wllN ?? place.wllN;
    return {
      gearId,
      where: [place.name, place.where].filter(Boolean).join(', '),
      plannedN: plannedOf(place) ?? 0,
      ...(greatestN !== undefined && { greatestN }),
      ...(wllN !== undefined && { wllN }),
    };
  });
}
