import { type Figure, type PlaceReport, percent, ratio } from '@wainrope/core';

/** Between a number and its unit where the line is short. */
const NO_BREAK = '\u00A0';

/**
 * By how much a place is the weakest: over its limit as planned, else by whichever of the two checks decides. In short where there is
 * room for a figure alone.
 */
export function howWeak({ stopRatio, wllN, worst = {} }: PlaceReport, figure: (value: Figure) => string, isShort = false): string {
  const { utilisation = 0, breakingRatio, plannedN } = worst;
  if (wllN === 0) return 'no strength';
  if (wllN === undefined) return isShort ? 'no limit' : 'limit not known';
  if (utilisation <= 1 && breakingRatio !== undefined && stopRatio / breakingRatio > utilisation) {
    const times = figure(ratio(breakingRatio));
    return isShort ? `breaks, ${times} ×` : `breaks at ${times} × the greatest pull`;
  }
  if (plannedN === undefined) return isShort ? 'no load' : 'load not known';
  const share = figure(percent(utilisation)).replace(' ', NO_BREAK);
  return isShort ? share : `${share} of its limit`;
}
