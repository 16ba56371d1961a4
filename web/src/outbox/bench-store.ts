import type { InspectionCreate, InspectionKind } from '@wainrope/contract';
import type { Grade, PointAnswer } from '@wainrope/core';
import { Dexie, type EntityTable } from 'dexie';

/** A round of inspections begun on this device. */
export interface BenchRound {
  readonly roundId: string;
  readonly title: string;
  readonly kind: Exclude<InspectionKind, 'on-record'>;
  /** In the order in which they are worked through. */
  readonly gearIds: readonly string[];
  readonly begunAt: string;
  /** Who inspects: only this person's sign-in sends what was confirmed. */
  readonly personId: string;
  /** The inspection that this one puts right. */
  readonly corrects?: string;
  /** Pieces that were confirmed on the device from which it was taken over. */
  readonly confirmedElsewhere?: readonly string[];
  /** Who took it over on another device; here it is gone on with no more. */
  readonly takenOverBy?: string;
}

/** `draft`: being worked on; `queued`: confirmed, waiting for the server; `sent`: the server has it; `refused`: the server says why not. */
export type DraftStatus = 'draft' | 'queued' | 'sent' | 'refused';

/** One piece's inspection as it stands on this device: every tap is here before it is anywhere else. */
export interface BenchDraft {
  readonly inspectionId: string;
  readonly roundId: string;
  readonly gearId: string;
  readonly kind: BenchRound['kind'];
  readonly on: string;
  readonly points: { readonly [id: string]: PointAnswer };
  /** As typed, with its unit; read when it is confirmed. */
  readonly measures: { readonly [id: string]: { readonly typed: string; readonly typedNew: string } };
  readonly notes: { readonly [id: string]: string };
  readonly grade?: Grade;
  readonly nextDue: string;
  readonly note: string;
  readonly returnsToUse: boolean;
  readonly spoolState: '' | 'under-tension' | 'slack' | 'stacked';
  readonly pullsUsed: string;
  readonly status: DraftStatus;
  /** The request as it is sent, made when the person confirmed. */
  readonly request?: InspectionCreate;
  /** Where this confirmation stands among all that this device confirmed. */
  readonly stamp?: EntryStamp;
  readonly problem?: string;
  readonly changedAt: number;
}

/** The device, how many things it had confirmed, and what its clock said: clocks differ, the count does not go back. */
export interface EntryStamp {
  readonly deviceId: string;
  readonly sequence: number;
  readonly clock: string;
}

/** What a device calls itself, and its last number. */
interface DeviceRow {
  readonly name: 'this';
  readonly deviceId: string;
  readonly sequence: number;
}

export interface BenchPhoto {
  readonly photoId: string;
  readonly inspectionId: string;
  /** Let go once the server has it; the small picture stays. */
  readonly contentBase64?: string;
  readonly thumbnailBase64: string;
  readonly status: 'kept' | 'sent' | 'refused';
  readonly problem?: string;
}

class BenchDatabase extends Dexie {
  rounds!: EntityTable<BenchRound, 'roundId'>;
  drafts!: EntityTable<BenchDraft, 'inspectionId'>;
  photos!: EntityTable<BenchPhoto, 'photoId'>;
  device!: EntityTable<DeviceRow, 'name'>;

  constructor() {
    super('wainrope-bench');
    this.version(1).stores({ rounds: 'roundId', drafts: 'inspectionId, roundId, status', photos: 'photoId, inspectionId, status' });
    this.version(2).stores({ device: 'name' });
  }
}

/** What is on this device; it outlives a closed tab, a crash and a lost connection. */
export const benchStore = new BenchDatabase();

/** What this device calls itself to the server; made at its first use. */
export async function thisDevice(): Promise<string> {
  return benchStore.transaction('rw', benchStore.device, async () => {
    const known = await benchStore.device.get('this');
    if (known) return known.deviceId;
    const deviceId = crypto.randomUUID();
    await benchStore.device.put({ name: 'this', deviceId, sequence: 0 });
    return deviceId;
  });
}

/** The next number of this device, within the transaction that confirms something. */
export async function nextStamp(now: Date): Promise<EntryStamp> {
  const { deviceId, sequence } = (await benchStore.device.get('this')) ?? { deviceId: crypto.randomUUID(), sequence: 0 };
  const stamp = { deviceId, sequence: sequence + 1 };
  await benchStore.device.put({ name: 'this', ...stamp });
  return { ...stamp, clock: now.toISOString() };
}
