import { type Apart, apartFrom, type Body, bearingDegrees } from '@wainrope/core';

/** A direction: its degrees clockwise, and its words. */
export type Direction = readonly [degrees: number, words: string];

/** Seen from a vehicle or a load, and by the compass from what has no front. */
const SEEN_FROM: readonly Direction[] = [
  [0, 'ahead'],
  [45, 'ahead to the right'],
  [90, 'to the right'],
  [135, 'behind to the right'],
  [180, 'behind'],
  [225, 'behind to the left'],
  [270, 'to the left'],
  [315, 'ahead to the left'],
];
const BY_COMPASS: readonly Direction[] = [
  [0, 'north'],
  [45, 'north-east'],
  [90, 'east'],
  [135, 'south-east'],
  [180, 'south'],
  [225, 'south-west'],
  [270, 'west'],
  [315, 'north-west'],
];

/** The eight directions that are told from a body. */
export const directionsFrom = (other: Body): readonly Direction[] => ('headingRad' in other ? SEEN_FROM : BY_COMPASS);

/** Which way a body's own front faces, rad clockwise from north; north where it has none. */
export const frontOf = (other: Body): number => ('headingRad' in other ? other.headingRad : 0);

/** How far, degrees from 0 to 180, a bearing from a body is off one of its directions. */
export const offBy = (other: Body, { bearingRad }: Apart, [degrees]: Direction): number =>
  Math.abs(((bearingDegrees(bearingRad - frontOf(other)) - degrees + 540) % 360) - 180);

/** Which of the eight directions a body lies in from another, by the nearest. */
export function directionWords(other: Body, body: Body): string {
  const apart = apartFrom(other, body);
  const [, words] = directionsFrom(other).reduce((nearest, direction) =>
    offBy(other, apart, direction) < offBy(other, apart, nearest) ? direction : nearest,
  );
  return words;
}
