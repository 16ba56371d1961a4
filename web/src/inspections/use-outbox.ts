import { useEffect, useRef } from 'react';
import { problemOf, useAddInspectionMutation, useAddPhotoMutation } from '../api/wainrope-api.ts';
import { type BenchDraft, type BenchPhoto, benchStore } from './bench-store.ts';
import { useLive } from './use-live.ts';

const RETRY_MS = 8000;

/** Sends what was confirmed on this device, in order, for as long as it takes. Sending twice keeps it once. */
export function useOutbox(signedIn: boolean): void {
  const [addInspection] = useAddInspectionMutation();
  const [addPhoto] = useAddPhotoMutation();
  const busy = useRef(false);
  const waiting = useLive(() => benchStore.drafts.where('status').equals('queued').count(), 'outbox') ?? 0;
  const photos = useLive(() => benchStore.photos.where('status').equals('kept').count(), 'outbox') ?? 0;
  useEffect(() => {
    if (!signedIn || waiting + photos === 0) return;
    const send = async () => {
      if (busy.current) return;
      busy.current = true;
      try {
        await sendDrafts((inspectionCreate) => addInspection({ inspectionCreate: inspectionCreate as never }));
        await sendPhotos((photoCreate) => addPhoto({ photoCreate }));
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
  }, [signedIn, waiting, photos, addInspection, addPhoto]);
}

type Sent = { readonly data?: unknown; readonly error?: unknown };

async function sendDrafts(post: (request: object) => Promise<Sent>): Promise<void> {
  const queued = await benchStore.drafts.where('status').equals('queued').sortBy('changedAt');
  for (const draft of queued) {
    if (!draft.request) continue;
    const { error } = await post(draft.request);
    if (!(await settleDraft(draft, error))) return;
  }
}

/** Whether to go on with the next: not while the server is away or nobody is signed in. */
async function settleDraft({ inspectionId }: BenchDraft, error: unknown): Promise<boolean> {
  if (error === undefined) {
    await benchStore.drafts.update(inspectionId, { status: 'sent' });
    return true;
  }
  const { status, detail, faults = [] } = problemOf(error);
  if (mayPass(status)) return false;
  await benchStore.drafts.update(inspectionId, { status: 'refused', problem: [detail, ...faults.map(({ message }) => message)].join(' ') });
  return true;
}

async function sendPhotos(
  post: (photo: {
    photoId: string;
    subjectId: string;
    subjectKind: 'inspection';
    contentBase64: string;
    thumbnailBase64: string;
  }) => Promise<Sent>,
): Promise<void> {
  for (const photo of await benchStore.photos.where('status').equals('kept').toArray()) {
    if ((await benchStore.drafts.get(photo.inspectionId))?.status !== 'sent') continue;
    const { photoId, inspectionId, contentBase64, thumbnailBase64 } = photo;
    const { error } = await post({ photoId, subjectId: inspectionId, subjectKind: 'inspection', contentBase64, thumbnailBase64 });
    if (error !== undefined && mayPass(problemOf(error).status)) return;
    const status: BenchPhoto['status'] = error === undefined ? 'sent' : 'refused';
    await benchStore.photos.update(photoId, { status });
  }
}

/** Trouble that time or signing in again cures: no answer, too many requests, a server in trouble, a session that ended. */
const mayPass = (status: number): boolean => status === 0 || status === 401 || status === 429 || status >= 500;
