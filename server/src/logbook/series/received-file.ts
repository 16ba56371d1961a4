import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';

/** A file as it came, packed and laid aside until it is known what it is. */
export interface ReceivedFile {
  readonly path: string;
  readonly bytes: number;
  readonly sha256: string;
  /** Its packed bytes, a part at a time. */
  readonly parts: () => AsyncIterable<Buffer>;
  readonly remove: () => Promise<void>;
}

export type Received = { readonly ok: true; readonly file: ReceivedFile } | { readonly ok: false };

/** Bytes of a part, so that no row of the database is large. */
const PART = 1_000_000;
const PACKED = 5;

const laidAside = /^wainrope-series-[0-9a-f-]{36}\.gz$/;
/** No file takes so long to come in, ms. */
const LEFT_BEHIND_MS = 24 * 3600 * 1000;

/** Removes what a server that died in the midst of a file left behind; tells how many. Another server's files under way are younger. */
export async function removeLeftBehind(now: number, folder = tmpdir()): Promise<number> {
  const names = (await readdir(folder)).filter((name) => laidAside.test(name));
  const old = await Promise.all(
    names.map(async (name) => {
      const path = join(folder, name);
      // Gone meanwhile is as good as removed.
      const { mtimeMs } = await stat(path).catch(() => ({ mtimeMs: now }));
      if (now - mtimeMs < LEFT_BEHIND_MS) return false;
      await rm(path, { force: true });
      return true;
    }),
  );
  return old.filter(Boolean).length;
}

/** Takes a file in as a stream and packs it on its way; more bytes than are taken, and nothing is left of it. */
export async function receiveFile(source: Readable, mostBytes: number, signal: AbortSignal): Promise<Received> {
  const path = join(tmpdir(), `wainrope-series-${randomUUID()}.gz`);
  const hash = createHash('sha256');
  let bytes = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, next) {
      bytes += chunk.length;
      hash.update(chunk);
      next(bytes > mostBytes ? new TooLarge() : null, chunk);
    },
  });
  const remove = () => rm(path, { force: true });
  try {
    await pipeline(source, counted, createGzip({ level: PACKED }), createWriteStream(path, { mode: 0o600 }), { signal });
  } catch (error) {
    await remove();
    if (error instanceof TooLarge) return { ok: false };
    throw error;
  }
  return {
    ok: true,
    file: { path, bytes, sha256: hash.digest('hex'), parts: () => createReadStream(path, { highWaterMark: PART }), remove },
  };
}

class TooLarge extends Error {}
