import type { RoundKeep, RoundView } from '@wainrope/contract';
import { type BenchDraft, type BenchRound, benchStore } from './bench-store.ts';

/** So many begun inspections go along at most; a round has one or two. */
const MOST_DRAFTS = 100;

/** A round as the server is told of it: what was confirmed, and what was begun and is not. */
export function roundDocument(round: BenchRound, drafts: readonly BenchDraft[], deviceId: string): RoundKeep {
  const done = drafts.filter(({ status }) => status === 'queued' || status === 'sent').map(({ gearId }) => gearId);
  const begun = drafts.filter(({ status }) => status === 'draft' || status === 'refused');
  const { title, kind, gearIds, begunAt, corrects, confirmedElsewhere = [] } = round;
  return {
    title: title.slice(0, 120) || 'Round',
    kind,
    gearIds,
    begunAt,
    deviceId,
    ...(corrects !== undefined && { corrects }),
    confirmed: [...new Set([...confirmedElsewhere, ...done])],
    drafts: begun.slice(-MOST_DRAFTS).map(({ inspectionId, gearId, on, changedAt, ...draft }) => ({
      inspectionId,
      gearId,
      on,
      changedAt,
      answers: {
        points: draft.points,
        measures: draft.measures,
        notes: draft.notes,
        ...(draft.grade !== undefined && { grade: draft.grade }),
        nextDue: draft.nextDue,
        note: draft.note,
        returnsToUse: draft.returnsToUse,
        spoolState: draft.spoolState,
        pullsUsed: draft.pullsUsed,
      },
    })),
  };
}

/** Puts a round that was taken over onto this device. What this device has of it that is newer or confirmed stays. */
export async function takeIn(view: RoundView, personId: string): Promise<void> {
  const { roundId, title, kind, gearIds, begunAt, corrects, confirmed, drafts } = view;
  await benchStore.transaction('rw', benchStore.rounds, benchStore.drafts, async () => {
    const own = await benchStore.drafts.where('roundId').equals(roundId).toArray();
    await benchStore.rounds.put({
      roundId,
      title,
      kind,
      gearIds,
      begunAt,
      personId,
      ...(corrects !== undefined && { corrects }),
      confirmedElsewhere: confirmed,
    });
    for (const { inspectionId, gearId, on, changedAt, answers } of drafts) {
      const here = own.find((draft) => draft.gearId === gearId);
      if (here && (here.status === 'queued' || here.status === 'sent' || here.changedAt >= changedAt)) continue;
      if (here) await benchStore.drafts.delete(here.inspectionId);
      await benchStore.drafts.put({ ...answers, inspectionId, roundId, gearId, kind, on, changedAt, status: 'draft' });
    }
  });
}
