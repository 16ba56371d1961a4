import type { PhotoSubject } from '@wainrope/contract';
import { Camera } from 'lucide-react';
import { type ChangeEvent, useState } from 'react';
import { useMay } from '../access/use-session.ts';
import { useAddPhotoMutation } from '../api/wainrope-api.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { shrinkPhoto } from './shrink-photo.ts';

interface SubjectPhotosProps {
  readonly subjectId: string;
  readonly subjectKind: Exclude<PhotoSubject, 'inspection'>;
  readonly photoIds: readonly string[];
  readonly name: string;
}

/** Pictures of a vehicle or of a place on one. */
export function SubjectPhotos({ subjectId, subjectKind, photoIds, name }: SubjectPhotosProps) {
  const may = useMay();
  const [addPhoto, { error }] = useAddPhotoMutation();
  const [problem, setProblem] = useState<string>();
  const add = async (event: ChangeEvent<HTMLInputElement>) => {
    const [file] = event.target.files ?? [];
    event.target.value = '';
    if (!file) return;
    try {
      const shrunk = await shrinkPhoto(file);
      setProblem(undefined);
      await addPhoto({ photoCreate: { photoId: crypto.randomUUID(), subjectId, subjectKind, ...shrunk } });
    } catch {
      setProblem(`${file.name} is not a picture that this browser can read. Choose a photo.`);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-2 pt-1">
      {photoIds.map((photoId, index) => (
        <a key={photoId} href={`/api/v1/photos/${photoId}`} target="_blank" rel="noreferrer">
          <img src={`/api/v1/photos/${photoId}/thumbnail`} alt={`${name}, ${index + 1}`} className="h-20 border border-rule" />
        </a>
      ))}
      {may('hook-up.write') && (
        <label className="no-print inline-flex min-h-9 cursor-pointer items-center gap-1 text-[15px] text-moss underline underline-offset-2">
          <Camera size={16} aria-hidden="true" /> Add a picture<span className="sr-only"> of {name}</span>
          <input type="file" accept="image/*" className="sr-only" onChange={add} />
        </label>
      )}
      {problem && (
        <p role="alert" className="text-rust">
          {problem}
        </p>
      )}
      <ProblemNote error={error} />
    </div>
  );
}
