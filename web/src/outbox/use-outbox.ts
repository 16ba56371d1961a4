import type { InspectionCreate, PhotoCreate } from '@wainrope/contract';
import { useEffect, useRef } from 'react';
import { problemOf, useAddInspectionMutation, useAddPhotoMutation } from '../api/wainrope-api.ts';
import { type BenchDraft, type BenchPhoto, benchStore } from './bench-store.ts';
import { useLive } from './use-live.ts';
import { useRoundSync } from './use-round-sync.ts';

const RETRY_MS = 8000;

/**
 * Sends what this person confirmed on this device, in order, for as long as it takes. Sending twice keeps it once. What somebody
 * else confirmed waits until they sign in: an inspection is never kept under another's name. The page may be wrong about who is
 * signed in, so that each carries who confirmed it, and the server takes it from nobody else.
 */
function useOutbox(personId: string | undefined): void {
  const [addInspection] = useAddInspectionMutation();
  const [addPhoto] = useAddPhotoMutation();
  const busy = useRef(false);
  const waiting = useLive(async () => (await queuedBy(personId)).length + (await photosBy(personId)).length, personId ?? '') ?? 0;
  useEffect(() => {
    if (personId === undefined || waiting === 0) return;
    const send = async () => {
      if (busy.current) return;
      busy.current = true;
      try {
        await sendDrafts(personId, (inspectionCreate) => addInspection({ inspectionCreate }));
        await sendPhotos(personId, (photoCreate) => addPhoto({ photoCreate }));
      } finally {
        busy.current = false;
      }
    };
    send();
    const timer = setInterval(send, RETRY_MS);
    window.addEventListener('online', send);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [personId, waiting, addInspection, addPhoto]);
}

/** Sends in the background; the device's store loads with it, after the page. */
export function Outbox({ personId }: { readonly personId: string | undefined }): null {
  useOutbox(personId);
  useRoundSync(personId);
  return null;
}

type Sent = { readonly data?: unknown; readonly error?: unknown };

async function roundsOf(personId: string | undefined): Promise<ReadonlySet<string>> {
  const rounds = await benchStore.rounds.toArray();
  return new Set(rounds.filter((round) => round.personId === personId).map(({ roundId }) => roundId));
}

async function queuedBy(personId: string | undefined): Promise<readonly BenchDraft[]> {
  const own = await roundsOf(personId);
  return (await benchStore.drafts.where('status').equals('queued').sortBy('changedAt')).filter(({ roundId }) => own.has(roundId));
}

/** Photos of inspections that the server has and that are this person's. */
async function photosBy(personId: string | undefined): Promise<readonly BenchPhoto[]> {
  const own = await roundsOf(personId);
  const sent = (await benchStore.drafts.where('status').equals('sent').toArray()).filter(({ roundId }) => own.has(roundId));
  const ids = new Set(sent.map(({ inspectionId }) => inspectionId));
  return (await benchStore.photos.where('status').equals('kept').toArray()).filter(({ inspectionId }) => ids.has(inspectionId));
}

async function sendDrafts(personId: string, post: (request: InspectionCreate) => Promise<Sent>): Promise<void> {
  for (const draft of await queuedBy(personId)) {
    if (!draft.request) continue;
    const device = draft.stamp && { ...draft.stamp, sentAt: new Date().toISOString() };
    const { error } = await post({ ...draft.request, confirmedBy: personId, ...(device && { device }) });
    if (!(await settleDraft(draft, error))) return;
  }
}

/** Whether to go on with the next: not while the server is away or nobody is signed in. */
async function settleDraft({ inspectionId }: BenchDraft, error: unknown): Promise<boolean> {
  if (error === undefined) {
    await benchStore.drafts.update(inspectionId, { status: 'sent' });
    return true;
  }
  const { status } = problemOf(error);
  if (mayPass(status)) return false;
  // What was taken back meanwhile is being changed; it is confirmed anew.
  await benchStore.drafts
    .where('inspectionId')
    .equals(inspectionId)
    .and((draft) => draft.status === 'queued')
    .modify({ status: 'refused', problem: wordsOf(error) });
  return true;
}

function wordsOf(error: unknown): string {
  const { detail, faults = [] } = problemOf(error);
  return [detail, ...faults.map(({ message }) => message)].join(' ');
}

async function sendPhotos(personId: string, post: (photo: PhotoCreate) => Promise<Sent>): Promise<void> {
  for (const photo of await photosBy(personId)) {
    const { photoId, inspectionId, contentBase64 = '', thumbnailBase64 } = photo;
    const told = {
      photoId,
      subjectId: inspectionId,
      subjectKind: 'inspection',
      confirmedBy: personId,
      contentBase64,
      thumbnailBase64,
    } as const;
    const { error } = await post(told);
    if (error !== undefined && mayPass(problemOf(error).status)) return;
    if (error === undefined) await benchStore.photos.put({ photoId, inspectionId, thumbnailBase64, status: 'sent' });
    else await benchStore.photos.update(photoId, { status: 'refused', problem: wordsOf(error) });
  }
}

/** Trouble that time or signing in again cures: no answer, too many requests, a server in trouble, a session that ended. */
const mayPass = (status: number): boolean => status === 0 || status === 401 || status === 429 || status >= 500;
