import { describe, expect, it } from 'vitest';
import { pictureOnly } from './photo-bytes.ts';

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
  it.each([
    ['no JPEG', Buffer.from('GIF89a, not a photo')],
    ['nothing', Buffer.alloc(0)],
    ['cut short', Buffer.concat([start, header, place.subarray(0, 10)])],
    ['damaged', Buffer.concat([start, Buffer.from([0, 1, 2, 3, 4, 5])])],
  ])('is refused where it is %s', (_name, bytes) => {
    expect(pictureOnly(bytes).ok).toBe(false);
  });
});
