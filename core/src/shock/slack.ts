/**
 * Slack that a speed asks for, which is the length of its run-up too: v²/(2a), metres; from m/s and m/s². Infinite where the wheels give
 * no acceleration.
 */
export function slackForSpeedM(speedMPerS: number, accelerationMPerS2: number): number {
  return accelerationMPerS2 > 0 ? (speedMPerS * speedMPerS) / (2 * accelerationMPerS2) : Number.POSITIVE_INFINITY;
}
