/** A strap laid flat round a trunk with both eyes joined. */
export interface Basket {
  /** Angle between the two legs where they meet, rad. */
  readonly legAngleRad: number;
  /** From the trunk's axis to where the legs meet, metres. */
  readonly reachM: number;
  /** Load on each leg per newton on the joined eyes: 1 / (2 cos(α/2)). */
  readonly legShare: number;
}

/**
 * The angle α between the legs follows from L = 2r/tan(α/2) + r(π + α), r the trunk's radius, L the strap's length (metres, above 0).
 * Undefined where the strap does not go round at all (L ≤ 2πr).
 */
export function strapBasket(lengthM: number, trunkDiameterM: number): Basket | undefined {
  const r = trunkDiameterM / 2;
  const needed = (alpha: number) => (2 * r) / Math.tan(alpha / 2) + r * (Math.PI + alpha);
  if (!(lengthM > 2 * Math.PI * r)) return undefined;
  let low = 1e-9;
  let high = Math.PI;
  for (let step = 0; step < 80; step++) {
    const middle = (low + high) / 2;
    // No number lies between the two any more.
    if (middle === low || middle === high) break;
    if (needed(middle) > lengthM) low = middle;
    else high = middle;
  }
  const legAngleRad = (low + high) / 2;
  return { legAngleRad, reachM: r / Math.sin(legAngleRad / 2), legShare: 1 / (2 * Math.cos(legAngleRad / 2)) };
}
