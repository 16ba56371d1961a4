import { pathLengthM, toEndM } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import { ropePerTravel } from '../../../moment/winch-work.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import type { ResolvedLine, RopeReach } from '../../../resolved/parts.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutUse, found } from '../../ask/speak.ts';

export const spliceReachesPulley = momentRule({
  code: 'splice-reaches-pulley',
  severity: 'stop',
  softenable: false,
  why: 'A joint drawn into a pulley or the fairlead jams or breaks.',
  needs: ['line.way', 'gear.lengthM', 'load.travel'],
  subjects: ({ lines, rig }) =>
    rig.purpose === 'lower' ? [] : lines.flatMap((line) => line.reaches.slice(1).map((reach) => ({ line, reach }))),
  about: ({ reach }) => aboutUse(reach.rope),
  margin: (moment, subject) => leftBelow(hauledM(moment), wayToNext(moment, subject).wayM),
  answer: (moment, subject) => {
    const { wayM, fairlead } = wayToNext(moment, subject);
    return found({ hauledM: hauledM(moment), wayM, fairlead });
  },
  title: ({ fairlead }) => rich`The joint before an extension reaches ${fairlead ? 'the fairlead' : 'a pulley'}`,
  detail: ({ hauledM: hauled, wayM }) =>
    rich`${length(hauled)} of rope is hauled, and the joint is ${length(wayM)} away. Put the extension in the anchor leg, or re-rig half-way.`,
});

/** Rope that the whole travel will haul, foretold from the advantage of this moment, metres. */
const hauledM = (moment: Moment): number => moment.rig.rig.load.travelM * (ropePerTravel(moment) ?? 0);

/** How far the joint before a rope is from the stop that hauling draws it to; NaN where none lies before it. */
function wayToNext(
  { shown }: Moment,
  { line, reach }: { readonly line: ResolvedLine; readonly reach: RopeReach },
): { readonly wayM: number; readonly fairlead: boolean } {
  if (shown === undefined) return { wayM: Number.NaN, fairlead: false };
  const { forces } = shown.balance;
  const wholeM = pathLengthM(line, forces);
  const fromDriveM = wholeM - reach.toEndM;
  let nextM = Number.NaN;
  for (let stop = 0; stop < line.spans.length; stop++) {
    const atM = wholeM - toEndM(line, stop, forces);
    if (atM < fromDriveM) nextM = atM;
  }
  return { wayM: fromDriveM - nextM, fairlead: nextM === 0 };
}
