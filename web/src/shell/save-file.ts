/** Hands a file to the person. */
export function saveFile(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

/** A name that every file system takes. */
export const fileName = (name: string, ending: string): string => `${name.replace(/[^\p{L}\p{N} _-]+/gu, '').trim() || 'plan'}.${ending}`;

/** Pixels of the drawing for each of its units. */
const SHARPNESS = 2;

/** A drawing as a picture. */
export async function pngOf(svg: string, { width, height }: { readonly width: number; readonly height: number }): Promise<Blob> {
  const picture = new Image();
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    picture.src = address;
    await picture.decode();
    const canvas = document.createElement('canvas');
    canvas.width = width * SHARPNESS;
    canvas.height = height * SHARPNESS;
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    return await new Promise((done, fail) =>
      canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('The picture could not be made.'))), 'image/png'),
    );
  } finally {
    URL.revokeObjectURL(address);
  }
}
