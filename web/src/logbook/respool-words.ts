import type { GearView } from '@wainrope/contract';
import { angle, type Drum, type Figure, force, type RespoolAdvice } from '@wainrope/core';

/** The drum with a line on it; nothing where a size of either is not on record. */
export function drumOf(winch: Pick<GearView, 'attributes'>, line: Pick<GearView, 'attributes'>): Drum | undefined {
  const { drumDiameterM, drumWidthM } = winch.attributes as { readonly drumDiameterM?: number; readonly drumWidthM?: number };
  const { ropeDiameterM, lengthM } = line.attributes as { readonly ropeDiameterM?: number; readonly lengthM?: number };
  if (drumDiameterM === undefined || drumWidthM === undefined || ropeDiameterM === undefined || lengthM === undefined) return undefined;
  return { coreDiameterM: drumDiameterM, widthM: drumWidthM, ropeDiameterM, ropeLengthM: lengthM };
}

/** What a helper gives against what is asked for, and what would reach it. */
export function adviceWords(
  { tensionN, wantedN, slopeRad, brakeShare }: RespoolAdvice,
  figure: (value: Figure) => string,
): { readonly enough: boolean; readonly title: string; readonly detail: string } {
  const [gives, asked] = [figure(force(tensionN)), figure(force(wantedN))];
  if (tensionN >= wantedN * (1 - 1e-9))
    return { enough: true, title: `It gives ${gives}`, detail: `${asked} is asked for. Keep it as steady as you can.` };
  const ways = [
    ...(brakeShare === undefined ? [] : [`brake wheels that carry ${Math.ceil(brakeShare * 100)} % of its weight`]),
    ...(slopeRad === undefined ? [] : [`draw it up a slope of ${figure(angle(slopeRad))}`]),
  ];
  const detail =
    ways.length === 0
      ? 'This helper cannot give it here: take a heavier one, or firmer ground.'
      : `${asked} is asked for: ${ways.join(', or ')}.`;
  return { enough: false, title: `It gives only ${gives}`, detail };
}
