import { type BenchDraft, type BenchRound, benchStore } from '../outbox/bench-store.ts';
import { useLive } from '../outbox/use-live.ts';

export interface RoundProgress {
  readonly round: BenchRound;
  readonly confirmed: number;
  /** Inspections and photos that the server does not have yet. */
  readonly waiting: number;
  readonly refused: number;
  /** Begun or refused, and not confirmed: what putting the round away would drop. */
  readonly unconfirmed: number;
}

/** Rounds on this device, newest first. */
export function useRounds(): readonly RoundProgress[] | undefined {
  return useLive(async () => {
    const rounds = await benchStore.rounds.toArray();
    const progress = await Promise.all(rounds.map(progressOf));
    return progress.sort((a, b) => b.round.begunAt.localeCompare(a.round.begunAt));
  }, 'rounds');
}

async function progressOf(round: BenchRound): Promise<RoundProgress> {
  const drafts = await benchStore.drafts.where('roundId').equals(round.roundId).toArray();
  const of = (status: BenchDraft['status']) => drafts.filter((draft) => draft.status === status);
  const photos = await benchStore.photos
    .where('inspectionId')
    .anyOf([...of('queued'), ...of('sent')].map(({ inspectionId }) => inspectionId))
    .toArray();
  return {
    round,
    confirmed: new Set([...(round.confirmedElsewhere ?? []), ...[...of('queued'), ...of('sent')].map(({ gearId }) => gearId)]).size,
    waiting: of('queued').length + photos.filter(({ status }) => status === 'kept').length,
    refused: of('refused').length,
    unconfirmed: of('draft').length + of('refused').length,
  };
}

export async function beginRound(round: Omit<BenchRound, 'roundId' | 'begunAt'>): Promise<string> {
  const roundId = crypto.randomUUID();
  // Asked of the browser once there is something to lose; where it refuses, it may clear the device's store when room runs out.
  navigator.storage?.persist?.().catch((error: unknown) => console.warn('The browser may clear what is kept here:', error));
  await benchStore.rounds.add({ ...round, roundId, begunAt: new Date().toISOString() });
  return roundId;
}

/** Puts a round away: what the server has stays there, what was not confirmed is dropped. What waits to be sent is never dropped. */
export async function putRoundAway(roundId: string): Promise<void> {
  await benchStore.transaction('rw', benchStore.rounds, benchStore.drafts, benchStore.photos, async () => {
    const round = await benchStore.rounds.get(roundId);
    if (!round || (await progressOf(round)).waiting > 0) return;
    const ids = (await benchStore.drafts.where('roundId').equals(roundId).toArray()).map(({ inspectionId }) => inspectionId);
    await benchStore.photos.where('inspectionId').anyOf(ids).delete();
    await benchStore.drafts.bulkDelete(ids);
    await benchStore.rounds.delete(roundId);
  });
}
