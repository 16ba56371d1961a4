import { wrapAtStop } from '../../moment/forces.ts';
import type { Moment } from '../../moment/moment.ts';
import { angle, rich } from '../../quantity/format.ts';
import type { ResolvedLine } from '../../resolved/parts.ts';
import type { EventRow } from './event.ts';

interface Pulley {
  readonly line: ResolvedLine;
  readonly stop: number;
}

/** The two strands at a pulley close to less than the policy's angle: from there on it carries most of both. */
export const sharpPulley: EventRow = {
  kind: 'sharp-pulley',
  watch: ({ lines, policy }) => {
    const pulleys = lines.flatMap((line) => line.stops.flatMap(({ kind }, stop) => (kind === 'pulley' ? [{ line, stop }] : [])));
    const leastRad = (policy.pull.sharpAngleDeg.value * Math.PI) / 180;
    return {
      count: pulleys.length,
      state: (moment, index) => (strandAngleRad(moment, pulleys[index]) < leastRad ? 1 : 0),
      tell: (_, to, index) => {
        const pulley = pulleys[index];
        if (pulley === undefined || !(strandAngleRad(to, pulley) < leastRad)) return undefined;
        const chain = pulley.line.stops[pulley.stop]?.chain;
        return {
          kind: 'sharp-pulley',
          atM: to.travelM,
          about: chain?.chain.id,
          data: { name: chain?.last?.piece?.tag, angleRad: leastRad },
        };
      },
    };
  },
  words: ({ name, angleRad = 0 }) => rich`The strands at ${name ?? 'a pulley'} close to less than ${angle(angleRad)}`,
};

/** Angle between the two strands as seen at the pulley, rad; NaN without a balance. */
function strandAngleRad({ shown }: Moment, pulley: Pulley | undefined): number {
  return shown === undefined || pulley === undefined ? Number.NaN : Math.PI - wrapAtStop(pulley.line, pulley.stop, shown.balance);
}
