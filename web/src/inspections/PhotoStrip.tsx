import { Camera } from 'lucide-react';
import { type ChangeEvent, useState } from 'react';
import { benchStore } from '../outbox/bench-store.ts';
import { useLive } from '../outbox/use-live.ts';
import { shrinkPhoto } from '../photos/shrink-photo.ts';

const MOST = 6;

/** Photos of a piece on the bench, shrunk and kept on the device until the server has them. */
export function PhotoStrip({ inspectionId, begin }: { readonly inspectionId: string; readonly begin: () => void }) {
  const photos = useLive(() => benchStore.photos.where('inspectionId').equals(inspectionId).toArray(), inspectionId) ?? [];
  const [problem, setProblem] = useState<string>();
  const add = async (event: ChangeEvent<HTMLInputElement>) => {
    const files = [...(event.target.files ?? [])].slice(0, MOST - photos.length);
    event.target.value = '';
    setProblem(undefined);
    for (const file of files) {
      try {
        const shrunk = await shrinkPhoto(file);
        begin();
        await benchStore.photos.add({ ...shrunk, photoId: crypto.randomUUID(), inspectionId, status: 'kept' });
      } catch (error) {
        setProblem(`${file.name} cannot be used: ${error instanceof Error ? error.message : 'it is not a picture'}. Choose a photo.`);
      }
    }
  };
  return (
    <section className="pt-5">
      <h2 className="text-xl">Photos</h2>
      <div className="flex flex-wrap items-center gap-3 pt-2">
        {photos.map(({ photoId, thumbnailBase64 }, index) => (
          <span key={photoId} className="relative">
            <img
              src={`data:image/jpeg;base64,${thumbnailBase64}`}
              alt={`What was found, ${index + 1}`}
              className="h-20 border border-rule"
            />
            <button
              type="button"
              className="absolute top-0 right-0 grid size-7 place-items-center bg-board text-on-board"
              aria-label={`Remove photo ${index + 1}`}
              onClick={() => benchStore.photos.delete(photoId)}
            >
              ×
            </button>
          </span>
        ))}
        {photos.length < MOST && (
          <label className="action min-h-12 cursor-pointer">
            <Camera size={18} aria-hidden="true" /> Add a photo
            <input type="file" accept="image/*" capture="environment" multiple className="sr-only" onChange={add} />
          </label>
        )}
      </div>
      {problem && (
        <p role="alert" className="text-rust">
          {problem}
        </p>
      )}
      <p className="pt-1 text-[14px] text-quiet">Place and device are taken out of every photo. At most {MOST} a piece.</p>
    </section>
  );
}
