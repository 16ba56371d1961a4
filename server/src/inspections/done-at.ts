import type { DeviceStamp } from '@wainrope/contract';

interface Confirmed {
  /** Nothing where it was confirmed as it was sent. */
  readonly stamp: DeviceStamp | undefined;
  /** When the server has it. */
  readonly now: Date;
  /** When the device's entry before this one was made, by the server's clock; nothing where it is the first. */
  readonly before: Date | undefined;
}

/**
 * When an entry was made, by the server's clock. A device's clock may be minutes wrong: what it says at the sending tells by how much.
 * Never later than now, and never before what the same device had confirmed earlier, whatever was done to its clock meanwhile.
 */
export function doneAt({ stamp, now, before }: Confirmed): Date {
  if (!stamp) return now;
  const agoMs = Math.max(0, Date.parse(stamp.sentAt) - Date.parse(stamp.clock));
  const told = now.getTime() - agoMs;
  const earliest = before === undefined ? Number.NEGATIVE_INFINITY : before.getTime() + 1;
  return new Date(Math.min(now.getTime(), Math.max(told, earliest)));
}
