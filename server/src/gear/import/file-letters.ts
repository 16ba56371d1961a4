import type { FileEncoding } from '@wainrope/contract';
import iconv from 'iconv-lite';

export interface FileText {
  readonly text: string;
  readonly encoding: FileEncoding;
}

/** Single-byte pages that spreadsheets of three systems write, the commonest first. */
const PAGES = ['windows-1252', 'macintosh', 'cp850'] as const;
/** What stands in gear lists beside plain letters; anything else that a page makes of a byte speaks against the page. */
const USUAL =
  /[A-Za-z0-9\s.,;:()'"/&%+*#@?!|=_<>[\]{}$\\~^`-]|[ÀÁÂÃÄÅÆÇÈÉÊËÌÍÎÏÑÒÓÔÕÖØÙÚÛÜßàáâãäåæçèéêëìíîïñòóôõöøùúûüÿŒœ]|[°½¼¾×ø±·–—‘’“”•£€§²³µ…]/;

/**
 * The text of a file: in the letters that a person named, else UTF-8 or UTF-16 where it is that, else the single-byte page that makes the
 * most sense of it. Undefined where it is no text.
 */
export function readLetters(bytes: Uint8Array, named?: FileEncoding): FileText | undefined {
  const utf16 = utf16Of(bytes);
  if (utf16) return { text: new TextDecoder(utf16).decode(bytes), encoding: 'UTF-16' };
  if (bytes.includes(0)) return undefined;
  if (named !== undefined && named !== 'UTF-16') return { text: iconv.decode(Buffer.from(bytes), named), encoding: named };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    // Not UTF-8. In a single-byte page every sequence is valid: the letters may be wrong but nothing is lost; the preview shows them.
    return likeliest(bytes);
  }
}

/** UTF-16 by its mark, or by every second byte of its plain letters being none. */
function utf16Of(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const head = bytes.subarray(0, Math.min(bytes.length, 400) & ~1);
  const zeros = [0, 1].map((odd) => head.filter((byte, index) => index % 2 === odd && byte === 0).length) as [number, number];
  const most = head.length / 2;
  if (most < 4) return undefined;
  if (zeros[1] > 0.8 * most && zeros[0] === 0) return 'utf-16le';
  return zeros[0] > 0.8 * most && zeros[1] === 0 ? 'utf-16be' : undefined;
}

function likeliest(bytes: Uint8Array): FileText {
  const read = PAGES.map((encoding) => ({ encoding, text: iconv.decode(Buffer.from(bytes), encoding) }));
  const [best] = read.map((page) => ({ ...page, odd: oddOf(page.text) })).sort((a, b) => a.odd - b.odd);
  return { text: best?.text ?? '', encoding: best?.encoding ?? 'windows-1252' };
}

/** Letters that make no sense, and capitals in the middle of a small word. */
function oddOf(text: string): number {
  let odd = 0;
  for (const letter of text) if (letter > '\u007f' && !USUAL.test(letter)) odd++;
  return odd + (text.match(/[a-z][À-ÖØ-Þ][a-z]/g)?.length ?? 0) + (text.match(/[a-z][°½¼¾×±–—“‘•£€§²³µ…][a-z]/g)?.length ?? 0);
}
