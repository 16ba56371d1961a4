/** Segments of a JPEG that carry no picture: cameras put place, time and device there, programs their comments. */
const APP0 = 0xe0;
const APP15 = 0xef;
const APP14_COLOUR = 0xee;
const COMMENT = 0xfe;
const START_OF_SCAN = 0xda;
const MARKER = 0xff;

export type PhotoOutcome = { readonly ok: true; readonly bytes: Buffer } | { readonly ok: false; readonly message: string };

/**
 * A JPEG without anything but its picture: every application segment except the plain header (APP0) and the colour note (APP14),
 * and every comment, is left out. Anything that is no JPEG is refused.
 */
export function pictureOnly(bytes: Buffer): PhotoOutcome {
  if (bytes.length < 4 || bytes[0] !== MARKER || bytes[1] !== 0xd8) return { ok: false, message: 'The photo is not a JPEG.' };
  const kept: Buffer[] = [bytes.subarray(0, 2)];
  for (let at = 2; at + 4 <= bytes.length; ) {
    if (bytes[at] !== MARKER) return { ok: false, message: 'The photo is damaged: a segment does not begin where it should.' };
    const marker = bytes[at + 1] ?? 0;
    if (marker === START_OF_SCAN) return { ok: true, bytes: Buffer.concat([...kept, bytes.subarray(at)]) };
    const end = at + 2 + bytes.readUInt16BE(at + 2);
    if (end > bytes.length) break;
    if (!carriesNoPicture(marker)) kept.push(bytes.subarray(at, end));
    at = end;
  }
  return { ok: false, message: 'The photo is cut short.' };
}

function carriesNoPicture(marker: number): boolean {
  return marker === COMMENT || (marker > APP0 && marker <= APP15 && marker !== APP14_COLOUR);
}
