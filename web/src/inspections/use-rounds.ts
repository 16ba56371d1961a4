import { type BenchRound, benchStore } from './bench-store.ts';
import { useLive } from './use-live.ts';

export interface RoundProgress {
  readonly round: BenchRound;
  readonly confirmed: number;
  readonly waiting: number;
  readonly refused: number;
}

/** Rounds on this device that somebody may go on with, newest first. */
export function useRounds(): readonly RoundProgress[] | undefined {
  return useLive(async () => {
    const rounds = await benchStore.rounds.toArray();
    const drafts = await benchStore.drafts.toArray();
    return rounds
      .map((round) => {
        const own = drafts.filter(({ roundId }) => roundId === round.roundId);
        const of = (status: string) => own.filter((draft) => draft.status === status).length;
        return { round, confirmed: of('queued') + of('sent'), waiting: of('queued'), refused: of('refused') };
      })
      .sort((a, b) => b.round.begunAt.localeCompare(a.round.begunAt));
  }, 'rounds');
}

export async function beginRound(round: Omit<BenchRound, 'roundId' | 'begunAt'>): Promise<string> {
  const roundId = crypto.randomUUID();
  await benchStore.rounds.add({ ...round, roundId, begunAt: new Date().toISOString() });
  return roundId;
}

/** Puts a round away: what the server has stays there, what was not confirmed is dropped. Queued inspections are never dropped. */
export async function putRoundAway(roundId: string): Promise<void> {
  await benchStore.transaction('rw', benchStore.rounds, benchStore.drafts, benchStore.photos, async () => {
    const drafts = await benchStore.drafts.where('roundId').equals(roundId).toArray();
    if (drafts.some(({ status }) => status === 'queued')) return;
    const ids = drafts.map(({ inspectionId }) => inspectionId);
    const unsent = await benchStore.photos.where('inspectionId').anyOf(ids).toArray();
    if (
      unsent.some(
        ({ status, inspectionId }) =>
          status === 'kept' && drafts.some((draft) => draft.inspectionId === inspectionId && draft.status === 'sent'),
      )
    )
      return;
    await benchStore.photos.where('inspectionId').anyOf(ids).delete();
    await benchStore.drafts.bulkDelete(ids);
    await benchStore.rounds.delete(roundId);
  });
}
