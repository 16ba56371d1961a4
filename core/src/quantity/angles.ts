/** One degree, rad. */
export const DEGREE = Math.PI / 180;

/** An angle or a direction in degrees, from 0 to below 360; 0 is north, 90 east. */
export const bearingDegrees = (rad: number): number => (((rad / DEGREE) % 360) + 360) % 360;
