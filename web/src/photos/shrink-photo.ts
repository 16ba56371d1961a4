import { PHOTO_MAX_BYTES, THUMBNAIL_MAX_BYTES } from '@wainrope/contract';

const LONG_SIDE = 1600;
const SMALL_SIDE = 240;
const QUALITIES = [0.82, 0.7, 0.55, 0.4];

export interface ShrunkPhoto {
  readonly contentBase64: string;
  readonly thumbnailBase64: string;
}

/** A photo drawn anew at a useful size, and a small one: nothing of what the camera wrote beside the picture is left. */
export async function shrinkPhoto(file: Blob): Promise<ShrunkPhoto> {
  const picture = await createImageBitmap(file);
  try {
    return {
      contentBase64: await drawn(picture, LONG_SIDE, PHOTO_MAX_BYTES),
      thumbnailBase64: await drawn(picture, SMALL_SIDE, THUMBNAIL_MAX_BYTES),
    };
  } finally {
    picture.close();
  }
}

async function drawn(picture: ImageBitmap, longSide: number, most: number): Promise<string> {
  const scale = Math.min(1, longSide / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const quality of QUALITIES) {
    const base64 = canvas.toDataURL('image/jpeg', quality).split(',')[1] ?? '';
    if (base64.length * 0.75 <= most) return base64;
  }
  throw new Error('The photo stays too large however it is shrunk; take it again from further away.');
}
