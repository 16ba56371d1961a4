import type { PlaceReport, Report } from '@wainrope/core';
import { findingsAbout, gravest, type Mark } from '../findings/findings-at.ts';

/** One piece of the load path, shown by its worst place. */
export interface PathColumn {
  readonly subjectId: string;
  readonly worst: PlaceReport;
  readonly places: readonly PlaceReport[];
  /** Where another line or a back-anchor begins. */
  readonly begins: boolean;
  readonly weakest: boolean;
  /** Planned and greatest load and breaking strength where they are worst on the way, as shares of the working limit there; undefined where one is not known. */
  readonly planned: number | undefined;
  readonly greatest: number | undefined;
  readonly breaking: number | undefined;
  /** The planned share at the start, where it is less than the worst; and the metre of the worst. */
  readonly atStart: number | undefined;
  readonly worstAtM: number | undefined;
  /** What it carries and may carry there, newtons. */
  readonly plannedN: number | undefined;
  readonly wllN: number | undefined;
  /** The gravest thing that is said of the piece. */
  readonly mark: Mark | undefined;
}

/** How badly a place stands where it is worst on the way: nothing to hold a load is worst of all. */
function standing({ wllN, stopRatio, worst }: PlaceReport): number {
  if (wllN === 0) return Number.POSITIVE_INFINITY;
  const { utilisation = 0, breakingRatio } = worst ?? {};
  return Math.max(utilisation, breakingRatio === undefined ? 0 : stopRatio / breakingRatio);
}

/** Shares that differ by less than this look alike. */
const ALIKE = 0.005;

/** The shares of a place where it is worst on the way, and beside them the start's. */
function shares({ plannedN, wllN, utilisation, worst }: PlaceReport) {
  const limit = worst?.wllN ?? wllN;
  const of = (value: number | undefined, whole: number | undefined) =>
    value === undefined || whole === undefined || whole <= 0 ? undefined : value / whole;
  const planned = of(worst?.plannedN ?? plannedN, limit);
  const less = planned !== undefined && utilisation !== undefined && planned - utilisation > ALIKE;
  return {
    planned,
    greatest: of(worst?.greatestN, limit),
    breaking: of(worst?.mbsN, limit),
    atStart: less ? utilisation : undefined,
    worstAtM: less ? worst?.plannedAtM : undefined,
    plannedN: worst?.plannedN ?? plannedN,
    wllN: limit,
  };
}

/** The load path's pieces in order, each against its own limit. */
export function pathColumns(report: Report): readonly PathColumn[] {
  const order = [...new Set(report.places.map(({ subject }) => subject.id))];
  const weakestSubject = report.places.find(({ id }) => id === report.weakestPlaceId)?.subject.id;
  const partOf = (subjectId: string | undefined) => report.places.find(({ subject }) => subject.id === subjectId)?.part;
  return order.map((subjectId, index) => {
    const places = report.places.filter(({ subject }) => subject.id === subjectId);
    const weakestPlace = places.find(({ id }) => id === report.weakestPlaceId);
    const worst = weakestPlace ?? places.reduce((worse, place) => (standing(place) > standing(worse) ? place : worse));
    return {
      subjectId,
      worst,
      places,
      begins: index > 0 && partOf(subjectId) !== partOf(order[index - 1]),
      weakest: subjectId === weakestSubject,
      ...shares(worst),
      mark: gravest(findingsAbout(report, worst.subject)),
    };
  });
}

export type PathOrder = 'rigging' | 'weakest';

/** The columns from the weakest down; then no column begins another line. */
export function byWeakest(columns: readonly PathColumn[]): readonly PathColumn[] {
  return [...columns]
    .sort((a, b) => Number(b.weakest) - Number(a.weakest) || standing(b.worst) - standing(a.worst))
    .map((column) => ({ ...column, begins: false }));
}

/** How far above the limit the scale reaches, as a share of what lies below it. */
const ROOM_ABOVE = 0.75;

/**
 * Height of a share of the limit: linear up to the limit (height 1), compressed above it so that any share fits below 1.75:
 * 1 + 0.75·(1 − 1/share).
 */
export function pathHeight(share: number): number {
  return share <= 1 ? Math.max(0, share) : 1 + ROOM_ABOVE * (1 - 1 / share);
}

export const PATH_TOP = 1 + ROOM_ABOVE;
