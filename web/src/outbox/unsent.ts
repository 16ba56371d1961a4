import type { BenchDraft, BenchPhoto, BenchRound } from './bench-store.ts';
import { benchStore } from './bench-store.ts';

/** An inspection that the server does not have, or that it has without all of its photos. */
export interface Unsent {
  readonly draft: BenchDraft;
  readonly round: BenchRound;
  /** Its photos that the server does not have. */
  readonly photos: readonly BenchPhoto[];
}

export interface Waiting {
  /** This person's own, in the order in which they were confirmed. */
  readonly own: readonly Unsent[];
  /** What somebody else confirmed on this device, which only their sign-in sends. */
  readonly ofOthers: number;
}

/** What was confirmed on this device and the server does not have. */
export async function whatWaits(personId: string | undefined): Promise<Waiting> {
  const [rounds, drafts, photos] = await Promise.all([
    benchStore.rounds.toArray(),
    benchStore.drafts.where('status').anyOf('queued', 'refused', 'sent').sortBy('changedAt'),
    benchStore.photos.where('status').anyOf('kept', 'refused').toArray(),
  ]);
  const roundOf = new Map(rounds.map((round) => [round.roundId, round]));
  const all = drafts.flatMap((draft): Unsent[] => {
    const round = roundOf.get(draft.roundId);
    const without = photos.filter(({ inspectionId }) => inspectionId === draft.inspectionId);
    return round && (draft.status !== 'sent' || without.length > 0) ? [{ draft, round, photos: without }] : [];
  });
  const own = all.filter(({ round }) => round.personId === personId);
  return { own, ofOthers: all.length - own.length };
}

/** Sends it again as it is: what was refused waits once more. */
export async function sendAgain({ draft, photos }: Unsent): Promise<void> {
  await benchStore.transaction('rw', benchStore.drafts, benchStore.photos, async () => {
    await benchStore.drafts
      .where('inspectionId')
      .equals(draft.inspectionId)
      .and(({ status }) => status === 'refused')
      .modify({ status: 'queued' });
    await benchStore.photos.bulkUpdate(photos.map(({ photoId }) => ({ key: photoId, changes: { status: 'kept' } })));
  });
}

/** Takes a confirmation back, so that its answers can be changed; nothing happens to what the server has meanwhile. */
export async function takeBack({ inspectionId }: BenchDraft): Promise<void> {
  await benchStore.drafts
    .where('inspectionId')
    .equals(inspectionId)
    .and(({ status }) => status === 'queued' || status === 'refused')
    .modify({ status: 'draft' });
}

/** Lets go of what was not sent: of an inspection the server has, only the photos that it does not. */
export async function letGo({ draft, photos }: Unsent): Promise<void> {
  await benchStore.transaction('rw', benchStore.drafts, benchStore.photos, async () => {
    await benchStore.photos.bulkDelete(photos.map(({ photoId }) => photoId));
    await benchStore.drafts
      .where('inspectionId')
      .equals(draft.inspectionId)
      .and(({ status }) => status !== 'sent')
      .delete();
  });
}
