import iconv from 'iconv-lite';
import { describe, expect, it } from 'vitest';
import { readLetters } from './file-letters.ts';

// Letters and signs that each of them has.
const TEXT = 'Tag;Name\nÄ-1;Öse 20 °C, 3" für René\n';

describe('the letters of a file', () => {
  it.each([
    ['UTF-8', Buffer.from(TEXT)],
    ['UTF-16', Buffer.concat([Buffer.from([0xff, 0xfe]), iconv.encode(TEXT, 'utf-16le')])],
    ['UTF-16', Buffer.concat([Buffer.from([0xfe, 0xff]), iconv.encode(TEXT, 'utf-16be')])],
    // Without a mark: every second byte of plain letters is none.
    ['UTF-16', iconv.encode(TEXT, 'utf-16le')],
    ['UTF-16', iconv.encode(TEXT, 'utf-16be')],
    ['windows-1252', iconv.encode(TEXT, 'windows-1252')],
    ['macintosh', iconv.encode(TEXT, 'macintosh')],
    ['cp850', iconv.encode(TEXT, 'cp850')],
  ] as const)('are known: %s', (encoding, bytes) => {
    const read = readLetters(bytes);
    expect([read?.encoding, read?.text.replace('\ufeff', '')]).toEqual([encoding, TEXT]);
  });
  it('are those that a person names', () => {
    const bytes = iconv.encode('Žluť', 'windows-1250');
    expect(readLetters(bytes, 'windows-1250')).toEqual({ text: 'Žluť', encoding: 'windows-1250' });
  });
  it('are none where a null character stands', () => {
    expect(readLetters(Buffer.from('PNG\u0000\u0000'))).toBeUndefined();
    expect(readLetters(Buffer.from('a\u0000b'), 'cp850')).toBeUndefined();
  });
});
