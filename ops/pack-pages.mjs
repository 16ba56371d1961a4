// @ts-check
// Packs the built pages once, so that serving them costs nothing: each text beside itself as .br and .gz, where that is smaller.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXT = /\.(?:js|css|html|svg|json|webmanifest)$/;

/** @param {string} folder */
function packPages(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true })) {
    if (!entry.isFile() || !TEXT.test(entry.name)) continue;
    const path = join(entry.parentPath, entry.name);
    const bytes = readFileSync(path);
    const brotli = brotliCompressSync(bytes, {
      params: { [constants.BROTLI_PARAM_QUALITY]: 9, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length },
    });
    const gzip = gzipSync(bytes, { level: 9 });
    if (brotli.length < bytes.length) writeFileSync(`${path}.br`, brotli);
    if (gzip.length < bytes.length) writeFileSync(`${path}.gz`, gzip);
  }
}

packPages(resolve(process.argv[2] ?? 'web/dist'));
