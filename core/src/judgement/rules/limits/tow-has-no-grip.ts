import { plannedOf } from '../../../moment/drives.ts';
import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import type { ResolvedDrive } from '../../../resolved/parts.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, undecided } from '../../ask/speak.ts';

export const towHasNoGrip = momentRule({
  code: 'tow-has-no-grip',
  severity: 'fix',
  softenable: true,
  why: 'The towing vehicle’s wheels spin before the load moves.',
  needs: ['body.mass', 'vehicle.stance', 'situation'],
  asks: 'What ground does the towing vehicle stand on?',
  subjects: ({ drives }) => drives.flatMap((drive) => (isSteadyTow(drive) && drive.towing ? [{ ...drive, towing: drive.towing }] : [])),
  about: ({ towing }) => aboutBody(towing),
  margin: (moment, { index, towing, ratedN }) =>
    towing.stance === undefined || ratedN === undefined ? undefined : leftBelow(plannedOf(moment, index), ratedN),
  answer: (moment, { index, towing, ratedN }) => {
    const label = towing.label;
    if (towing.stance === undefined) return undecided({ label, pullN: 0, ratedN: 0 });
    return found({ label, pullN: plannedOf(moment, index), ratedN: ratedN ?? 0 });
  },
  title: ({ label }) => rich`The wheels of ${label} spin first`,
  detail: ({ pullN, ratedN }) =>
    rich`The tow needs ${force(pullN)}, and on this ground it grips ${force(ratedN)}. Lower the pull first, or winch.`,
  question: ({ label }) => rich`What ground does ${label} stand on? Its grip limits the tow.`,
});

/** A tow without run-up, which pulls no harder than its wheels grip. */
const isSteadyTow = (drive: ResolvedDrive): drive is Extract<ResolvedDrive, { kind: 'tow' }> =>
  drive.kind === 'tow' && drive.line.line.drive.kind === 'tow' && drive.line.line.drive.manner === 'steady';
