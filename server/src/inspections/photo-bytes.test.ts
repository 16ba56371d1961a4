import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { pictureOnly, redrawn } from './photo-bytes.ts';

const segment = (marker: number, content: string) => {
  const body = Buffer.from(content, 'latin1');
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
};
const start = Buffer.from([0xff, 0xd8]);
const header = segment(0xe0, 'JFIF header');
const place = segment(0xe1, 'Exif GPS 54.1N 2.3W');
const colour = segment(0xee, 'Adobe colour');
const comment = segment(0xfe, 'taken by somebody');
const table = segment(0xdb, 'quantisation');
const scan = Buffer.concat([segment(0xda, 'scan'), Buffer.from([1, 2, 0xff, 0, 3, 0xff, 0xd9])]);

describe('a photo', () => {
  it('keeps its picture byte for byte and loses place, device and comments', () => {
    const outcome = pictureOnly(Buffer.concat([start, header, place, colour, comment, table, scan]));
    expect(outcome).toEqual({ ok: true, bytes: Buffer.concat([start, header, colour, table, scan]) });
  });
  it('loses them between its scans and behind its end, too', () => {
    const part = scan.subarray(0, -2);
    const end = scan.subarray(-2);
    const whole = Buffer.concat([start, part, comment, table, part, place, end, place, Buffer.from('GPS')]);
    expect(pictureOnly(whole)).toEqual({ ok: true, bytes: Buffer.concat([start, part, table, part, end]) });
  });
  it.each([
    ['no JPEG', Buffer.from('GIF89a, not a photo')],
    ['nothing', Buffer.alloc(0)],
    ['cut short', Buffer.concat([start, header, place.subarray(0, 10)])],
    ['without an end', Buffer.concat([start, scan.subarray(0, -2)])],
    ['damaged', Buffer.concat([start, Buffer.from([0, 1, 2, 3, 4, 5])])],
  ])('is refused where it is %s', (_name, bytes) => {
    expect(pictureOnly(bytes).ok).toBe(false);
  });
});

describe('a photo that is drawn anew', () => {
  const most = { side: 100, bytes: 60_000 };
  const taken = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#5a7850' } });
  const sizeOf = async (outcome: Awaited<ReturnType<typeof redrawn>>) => {
    if (!outcome.ok) throw new Error(outcome.message);
    const { width, height, exif, format } = await sharp(outcome.bytes).metadata();
    return { width, height, exif, format };
  };

  it('is turned as the camera was held, and keeps nothing that the camera wrote', async () => {
    const sideways = await taken(60, 40)
      .withExif({ IFD0: { Copyright: 'somebody' }, IFD3: { GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const outcome = await redrawn(Buffer.concat([sideways, Buffer.from('hidden behind the end')]), most);
    expect(await sizeOf(outcome)).toEqual({ width: 40, height: 60, exif: undefined, format: 'jpeg' });
    if (outcome.ok) expect(pictureOnly(outcome.bytes)).toEqual(outcome);
    if (outcome.ok) expect(outcome.bytes.includes('hidden')).toBe(false);
  });

  it('is made no larger than it may be, and never larger than it was', async () => {
    expect(await sizeOf(await redrawn(await taken(300, 150).jpeg().toBuffer(), most))).toMatchObject({ width: 100, height: 50 });
    expect(await sizeOf(await redrawn(await taken(100, 20).jpeg().toBuffer(), most))).toMatchObject({ width: 100, height: 20 });
    expect(await sizeOf(await redrawn(await taken(99, 20).jpeg().toBuffer(), most))).toMatchObject({ width: 99, height: 20 });
  });

  it.each([
    [8, 8, true],
    [7, 8, false],
    [8, 7, false],
    [12_000, 8, true],
    [12_001, 8, false],
  ])('of %i × %i pixels: %s', async (width, height, isTaken) => {
    const outcome = await redrawn(await taken(width, height).jpeg().toBuffer(), most);
    expect(outcome.ok).toBe(isTaken);
    if (!outcome.ok) expect(outcome.message).toContain(`${width} × ${height}`);
  });

  it('is refused where its picture is damaged, is of so many pixels that it fills the memory, or is another kind of file', async () => {
    const plain = await taken(200, 200).jpeg().toBuffer();
    const cut = Buffer.concat([plain.subarray(0, plain.length - 200), Buffer.from([0xff, 0xd9])]);
    expect((await redrawn(cut, most)).ok).toBe(false);
    // The height stands behind the marker of the frame: a small file may speak of 65,000 lines.
    const bomb = Buffer.from(plain);
    const frame = bomb.indexOf(Buffer.from([0xff, 0xc0]));
    bomb.writeUInt16BE(65_000, frame + 5);
    bomb.writeUInt16BE(65_000, frame + 7);
    expect((await redrawn(bomb, most)).ok).toBe(false);
    expect((await redrawn(await taken(20, 20).png().toBuffer(), most)).ok).toBe(false);
  });

  it('is written more coarsely where it has too many bytes, and refused where that does not do', async () => {
    const noise = await sharp(Buffer.from(Array.from({ length: 100 * 100 * 3 }, (_, at) => (at * 7919 * ((at % 89) + 3)) % 256)), {
      raw: { width: 100, height: 100, channels: 3 },
    })
      .jpeg({ quality: 95 })
      .toBuffer();
    const fine = await redrawn(noise, most);
    if (!fine.ok) throw new Error(fine.message);
    const coarse = await redrawn(noise, { ...most, bytes: fine.bytes.length - 1 });
    expect(coarse.ok && coarse.bytes.length < fine.bytes.length).toBe(true);
    expect(await redrawn(noise, { ...most, bytes: 500 })).toMatchObject({ ok: false, message: expect.stringContaining('500 bytes') });
  });
});
