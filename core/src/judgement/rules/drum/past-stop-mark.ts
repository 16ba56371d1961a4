import { drumOf } from '../../../moment/drives.ts';
import type { Moment } from '../../../moment/moment.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import type { WinchDrive } from '../../../resolved/parts.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';

export const pastStopMark = momentRule({
  code: 'past-stop-mark',
  severity: 'stop',
  softenable: false,
  why: 'The end mark and the change of colour say where paying out ends; beyond them too little line is left on the drum.',
  needs: ['gear.endMarkM', 'gear.colourChangeM', 'gear.lengthM', 'line.way', 'load.travel'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => {
    const known = reached(moment, drive);
    return known ? leftBelow(known.outM, known.markM) : Number.POSITIVE_INFINITY;
  },
  answer: (moment, drive) => {
    const known = reached(moment, drive);
    return known && found({ ...known, down: moment.travelM > 0, atM: moment.travelM });
  },
  title: ({ down, atM }) => rich`The line is out past its mark${down ? rich` after ${length(atM)}` : rich``}`,
  detail: ({ markM, outM, down }) =>
    rich`The line is marked to stop at ${length(markM)} from the hook, and ${length(outM)} is out${down ? ' by then' : ''}. Take a nearer anchor, or put an extension in the anchor leg.`,
});

/** How much line is out, and where the line itself says to stop; metres from the hook. */
function reached(moment: Moment, drive: WinchDrive): { readonly markM: number; readonly outM: number } | undefined {
  const drum = drumOf(moment, drive);
  const markM = drive.sizes.kind === 'marked' ? drive.sizes.stopMarkM : undefined;
  const outM = drum.kind === 'no-winch' ? undefined : drum.lineOutM;
  return markM === undefined || outM === undefined ? undefined : { markM, outM };
}
