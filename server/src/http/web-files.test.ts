import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import express from 'express';
import supertest from 'supertest';
import { beforeAll, describe, expect, it } from 'vitest';
import { webFiles } from './web-files.ts';

const SCRIPT = `console.log('${'peat '.repeat(400)}');`;
let folder: string;
let pages: ReturnType<typeof supertest>;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'pages-'));
  mkdirSync(join(folder, 'assets'));
  const put = (name: string, text: string | Buffer) => writeFileSync(join(folder, name), text);
  put('index.html', '<!doctype html><title>Wainrope</title>');
  put('assets/page-1a2b.js', SCRIPT);
  put('assets/page-9f9f.js', SCRIPT);
  put('assets/page-1a2b.js.br', brotliCompressSync(SCRIPT));
  put('assets/page-1a2b.js.gz', gzipSync(SCRIPT));
  put('page-modules.json', '[]');
  put('page-modules.json.br', brotliCompressSync('[]'));
  put('robots.txt', 'User-agent: *\n');
  const app = express();
  for (const handler of webFiles(folder, 'wainrope')) app.use(handler);
  pages = supertest(app);
});

describe('the built pages', () => {
  it.each([
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
    ['identity', undefined],
  ])('are served as packed as the asker takes them: %s', async (accepted, encoding) => {
    const answer = await pages
      .get('/assets/page-1a2b.js')
      .set('Accept-Encoding', accepted)
      .buffer(true)
      .parse((response, done) => {
        (response as unknown as NodeJS.ReadableStream).resume();
        response.on('end', () => done(null, undefined));
      });
    expect([answer.status, answer.headers['content-encoding']]).toEqual([200, encoding]);
    expect(answer.headers['content-type']).toContain('javascript');
    expect(answer.headers['cache-control']).toContain('immutable');
    if (encoding) expect(Number(answer.headers['content-length'])).toBeLessThan(SCRIPT.length / 10);
  });

  it.each([
    ['/', 200, 'text/html'],
    ['/plans/any', 200, 'text/html'],
    ['/gear/import', 200, 'text/html'],
    ['/robots.txt', 200, 'text/plain'],
    ['/assets/gone-1a2b.js', 404, undefined],
    ['/api/v1/nothing', 404, undefined],
    ['/favicon.png', 404, undefined],
    ['/page-modules.json', 404, undefined],
    ['/page-modules.json.br', 404, undefined],
    ['/../package.json', 404, undefined],
    ['/%2e%2e/package.json', 404, undefined],
  ])('%s is answered %s', async (path, status, type) => {
    const answer = await pages.get(path).set('Accept', 'text/html');
    expect(answer.status).toBe(status);
    if (type) expect(answer.headers['content-type']).toContain(type);
    if (type === 'text/html')
      expect([answer.text, answer.headers['cache-control']]).toEqual(['<!doctype html><title>Wainrope</title>', 'no-cache']);
  });

  it('are read, and nothing else', async () => {
    expect((await pages.post('/plans/any').set('Accept', 'text/html')).status).toBe(404);
  });

  it('that a new build has taken away are told as missing, and the server goes on', async () => {
    rmSync(join(folder, 'assets/page-9f9f.js'));
    await pages.get('/assets/page-9f9f.js').set('Accept-Encoding', 'identity').expect(404);
    await pages.get('/assets/page-1a2b.js').expect(200);
  });
});
