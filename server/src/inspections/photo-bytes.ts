import sharp from 'sharp';

/** Segments of a JPEG that carry no picture: cameras put place, time and device there, programs their comments. */
const APP0 = 0xe0;
const APP15 = 0xef;
const APP14_COLOUR = 0xee;
const COMMENT = 0xfe;
const START_OF_SCAN = 0xda;
const END = 0xd9;
const MARKER = 0xff;
/** Within a scan these stand for a byte of the picture, or part it for whoever reads it. */
const isOfScan = (code: number) => code === 0 || (code >= 0xd0 && code <= 0xd7);

export type PhotoOutcome = { readonly ok: true; readonly bytes: Buffer } | { readonly ok: false; readonly message: string };

const refused = (message: string): PhotoOutcome => ({ ok: false, message });

/**
 * A JPEG without anything but its picture: every application segment except the plain header (APP0) and the colour note (APP14), and
 * every comment, is left out wherever it stands, between scans too, and so is whatever follows the end. Anything that is no JPEG is
 * refused. It tells whether a kept photo is clean; a new one is drawn anew.
 */
export function pictureOnly(bytes: Buffer): PhotoOutcome {
  if (bytes.length < 4 || bytes[0] !== MARKER || bytes[1] !== 0xd8) return refused('The photo is not a JPEG.');
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  for (let at = 2; at + 2 <= bytes.length; ) {
    if (bytes[at] !== MARKER) return refused('The photo is damaged: a segment does not begin where it should.');
    const marker = bytes[at + 1] ?? 0;
    if (marker === END) return { ok: true, bytes: Buffer.concat([...kept, bytes.subarray(at, at + 2)]) };
    if (at + 4 > bytes.length) break;
    const end = endOfSegment(bytes, at, marker);
    if (end > bytes.length) break;
    if (!carriesNoPicture(marker)) kept.push(bytes.subarray(at, end));
    at = end;
  }
  return refused('The photo is cut short.');
}

function carriesNoPicture(marker: number): boolean {
  return marker === COMMENT || (marker > APP0 && marker <= APP15 && marker !== APP14_COLOUR);
}

/** Where a segment ends; one that a scan follows, where the next marker stands that is not of the scan itself. */
function endOfSegment(bytes: Buffer, begin: number, marker: number): number {
  const end = begin + 2 + bytes.readUInt16BE(begin + 2);
  if (marker !== START_OF_SCAN) return end;
  let at = bytes.indexOf(MARKER, end);
  while (at !== -1 && isOfScan(bytes[at + 1] ?? 0)) at = bytes.indexOf(MARKER, at + 2);
  return at === -1 ? bytes.length + 1 : at;
}

/** A photo has at least so many pixels a side, and at most so many in all: about twice what a good camera takes. */
const LEAST_SIDE = 8;
const MOST_SIDE = 12_000;
const MOST_PIXELS = 50_000_000;
/** Each is tried while the one before gives too many bytes. */
const QUALITIES = [85, 70, 55, 40];

/** A small picture in place of many large ones at once: one thread a photo, nothing kept. */
sharp.cache(false);
sharp.concurrency(1);

/** A photo as it is kept: opened, turned as the camera was held, drawn no larger than it may be, and written anew, so that only its picture is left. */
export async function redrawn(bytes: Buffer, most: { readonly side: number; readonly bytes: number }): Promise<PhotoOutcome> {
  const plain = pictureOnly(bytes);
  if (!plain.ok) return plain;
  const opened = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'warning' });
  const size = await opened()
    .metadata()
    .catch(() => undefined);
  if (size?.format !== 'jpeg') return refused('The photo cannot be opened: it is damaged, or too large.');
  const { width, height } = size;
  if (Math.min(width, height) < LEAST_SIDE || Math.max(width, height) > MOST_SIDE || width * height > MOST_PIXELS)
    return refused(
      `The photo has ${width} × ${height} pixels; ${LEAST_SIDE} to ${MOST_SIDE} a side and at most ${MOST_PIXELS / 1e6} million in all are taken.`,
    );
  for (const quality of QUALITIES) {
    const drawn = await opened()
      .autoOrient()
      .resize({ width: most.side, height: most.side, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality, chromaSubsampling: '4:2:0' })
      .toBuffer()
      .catch(() => undefined);
    if (!drawn) return refused('The photo is damaged: its picture cannot be read to the end.');
    if (drawn.length <= most.bytes) return { ok: true, bytes: drawn };
  }
  return refused(`The picture has more than ${most.bytes} bytes however it is written; take a smaller one.`);
}
