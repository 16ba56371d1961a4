import { rich } from '../../../quantity/format.ts';
import type { ResolvedDrive, ResolvedLine } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';

export const drivingWhileHooked = rigRule({
  code: 'driving-while-hooked',
  severity: 'stop',
  softenable: false,
  why: 'A winch line has no give: driving with it hooked breaks it, its drum or whatever it is hooked to.',
  needs: ['line.way', 'tow.run-up'],
  subjects: (rig) => rig.drives.flatMap((tow) => (tow.kind === 'tow' ? hookedTo(rig, tow).map((line) => ({ tow, line })) : [])),
  about: ({ line }) => ({ subject: { kind: 'strand', id: `${line.line.id}.0` } }),
  answer: (_, { tow }) => found({ label: tow.on?.body.label ?? 'The towing vehicle' }),
  title: ({ label }) => rich`${label} would drive with a winch line hooked to it`,
  detail: () => rich`Take the line off before it drives, or pull with the winch and let it stand.`,
});

/** Winch lines that begin, turn or end on the vehicle that drives off. */
const hookedTo = ({ lines }: ResolvedRig, { on }: ResolvedDrive): readonly ResolvedLine[] =>
  lines.filter(
    ({ drive, stops }) =>
      drive?.kind === 'winch' && on !== undefined && (drive.on === on || stops.some(({ chain }) => chain?.point?.on === on)),
  );
