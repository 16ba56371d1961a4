// A load series of a million rows beside its floor, measured in one run: npm run bench
import { appendFileSync, createReadStream, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { parse } from 'csv-parse';
import { readSeries } from '../dist/logbook/series/read-series.js';
import { receiveFile } from '../dist/logbook/series/received-file.js';

const ROWS = 1_000_000;
const RUNS = 5;
const PIECES = 15;

const folder = mkdtempSync(join(tmpdir(), 'wainrope-bench-'));
const path = join(folder, 'series.csv');
let at = 1;
const noise = () => {
  at = (at * 48_271) % 2_147_483_647;
  return at / 2_147_483_647;
};
writeFileSync(path, 'time_s,tension_N\n');
for (let row = 0; row < ROWS; ) {
  let part = '';
  for (const end = row + 10_000; row < end; row++)
    part += `${(row / 1000).toFixed(3)},${(9000 + 4000 * Math.sin(row / 700) + 300 * noise()).toFixed(1)}\n`;
  appendFileSync(path, part);
}

/** What it costs at least: a standard parser over every row, and a standard packer over every byte. */
async function floor(): Promise<void> {
  const parser = parse({ delimiter: ',' });
  parser.on('readable', () => {
    while (parser.read() !== null);
  });
  await pipeline(createReadStream(path), parser);
  await pipeline(createReadStream(path), createGzip({ level: 5 }), new Writable({ write: (_chunk, _encoding, done) => done() }));
}

const shares = {
  travelM: [0],
  pieces: Array.from({ length: PIECES }, (_, piece) => ({ gearId: String(piece), mbsN: 100_000, shares: [1 + piece / 10] })),
};
async function whole(): Promise<void> {
  const received = await receiveFile(createReadStream(path), Number.POSITIVE_INFINITY, new AbortController().signal);
  if (!received.ok) throw new Error('not received');
  const outcome = await readSeries({ path: received.file.path, stated: {}, leavesOutSpikes: false, shares }, () => undefined);
  if (outcome.kind !== 'read' || outcome.summary.rows !== ROWS) throw new Error(JSON.stringify(outcome).slice(0, 200));
  await received.file.remove();
}

async function timed(work: () => Promise<void>): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;
const megabytes = (bytes: number) => Math.round(bytes / 1e6);

global.gc?.();
const idle = process.memoryUsage().rss;
let most = idle;
const watch = setInterval(() => {
  most = Math.max(most, process.memoryUsage().rss);
}, 20);
const pairs: (readonly [number, number])[] = [];
for (let run = 0; run < RUNS; run++) pairs.push([await timed(whole), await timed(floor)]);
clearInterval(watch);
rmSync(folder, { recursive: true });
console.log(
  `series of ${ROWS.toLocaleString('en')} rows, ${PIECES} pieces: ${(median(pairs.map(([ours]) => ours)) / 1000).toFixed(2)} s, ` +
    `${median(pairs.map(([ours, theirs]) => ours / theirs)).toFixed(2)} × (parser + gzip); ${megabytes(most - idle)} MB above idle at most; ${cpus().length} cores, node ${process.version}`,
);
