import type { ResolvedDrive } from '../resolved/parts.ts';
import type { DrumState } from './drum-state.ts';
import type { Moment } from './moment.ts';

/** The drum of a drive in a moment. */
export const drumOf = ({ drives }: Moment, { index }: ResolvedDrive): DrumState => drives[index]?.drum ?? { kind: 'no-winch' };

/** The planned pull of a drive, newtons; NaN where none is planned. */
export const plannedOf = ({ drives, plannedPullN }: Moment, index: number): number =>
  (plannedPullN ?? Number.NaN) * (drives[index]?.share ?? Number.NaN);

/** Planned pull ÷ rated pull on the working layer; NaN where either is not known. */
export function drumLoad(moment: Moment, drive: ResolvedDrive): number {
  const drum = drumOf(moment, drive);
  return drum.kind === 'no-winch' ? Number.NaN : plannedOf(moment, drive.index) / drum.ratedN;
}
