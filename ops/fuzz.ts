// Throws a million damaged inputs at the reader of files and at the solver. Run: npm run fuzz [-- inputs [state]]; a failure names the state to go on from.
import { cpus } from 'node:os';
import { readRig, readRigFile, seriesEnvelope, seriesHead, seriesOfPieces, seriesRows } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import type { Network, NetworkNode } from '../core/src/statics/network.ts';
import { solveNetwork } from '../core/src/statics/solve-network.ts';
import { layouts } from '../core/src/testing/layouts.ts';

const INPUTS = Number(process.argv[2] ?? 1_000_000);
const SEED = 20_260_115;
/** Any answer must come within this, milliseconds: a pull of 500 m is 25,000 steps. */
const MOST_MS = 30_000;

/** A small generator of its own, so that a run can be repeated (xorshift). */
let state = Number(process.argv[3] ?? SEED);
const next = (): number => {
  state ^= state << 13;
  state ^= state >>> 17;
  state ^= state << 5;
  return (state >>> 0) / 2 ** 32;
};
const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;

const NONSENSE: readonly unknown[] = [
  null,
  undefined,
  0,
  -1,
  1e-12,
  1e9,
  -1e9,
  Number.NaN,
  Number.POSITIVE_INFINITY,
  '',
  'at-larch',
  'x'.repeat(5000),
  [],
  {},
  true,
  [[]],
  { kind: 'tree' },
  { kind: 'joint', jointId: 'apex' },
];

/** Sets one random place in a document to nonsense, or swaps it with another. */
function damage(root: Record<string, unknown>): void {
  let at: Record<string, unknown> = root;
  for (let depth = 0; depth < 9; depth++) {
    const keys = Object.keys(at);
    if (keys.length === 0) return;
    const key = pick(keys);
    const value = at[key];
    if (typeof value !== 'object' || value === null || next() < 0.18) {
      if (typeof value === 'number' && next() < 0.5) at[key] = value * (next() * 4 - 1);
      else at[key] = pick(NONSENSE);
      return;
    }
    at = value as Record<string, unknown>;
  }
}

/** Every layout, and beside it what a plan may say of its way: a path, a travel that nobody said, a run-up that somebody chose. */
const originals = layouts.flatMap(({ build }) => {
  const subject = build();
  const { rig } = subject;
  const { travelM: _said, ...unsaid } = rig.load;
  const path = [
    { xM: 2, yM: 1 },
    { xM: 3, yM: 4 },
  ];
  const runUp = rig.lines.map((line) =>
    line.drive.kind === 'tow' ? { ...line, drive: { ...line.drive, runUp: { speedMPerS: 3, slackM: 4 }, attempts: 2 } } : line,
  );
  return [
    subject,
    { ...subject, rig: { ...rig, load: { ...rig.load, path, drivesAlong: true } } },
    { ...subject, rig: { ...rig, load: unsaid, lines: runUp, chosenPull: { pullN: 9000, rollingN: 3000, person: 'x', reason: 'y' } } },
  ];
});
const known = originals.map(({ gear }) => new Set(gear.map(({ id }) => id)));
const texts = originals.map(({ rig }) => JSON.stringify(rig));
const counts: Record<string, number> = {};
const tally = (key: string) => {
  counts[key] = (counts[key] ?? 0) + 1;
};
let slowestMs = 0;
function timed<T>(work: () => T): T {
  const from = performance.now();
  const result = work();
  const took = performance.now() - from;
  slowestMs = Math.max(slowestMs, took);
  if (took > MOST_MS) throw new Error(`took ${took.toFixed(0)} ms`);
  return result;
}

function finite(value: unknown, path = 'report'): void {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`${path} is ${value}`);
  if (typeof value === 'object' && value !== null) for (const [key, entry] of Object.entries(value)) finite(entry, `${path}.${key}`);
}

function fuzzRig(): void {
  const which = Math.floor(next() * texts.length);
  const rig = JSON.parse(texts[which] as string) as Record<string, unknown>;
  const times = 1 + Math.floor(next() * 3);
  for (let index = 0; index < times; index++) damage(rig);
  const read = timed(() => readRig(rig, known[which] as Set<string>));
  if (!read.ok) {
    if (read.faults.length === 0 || read.faults.some(({ message }) => message === '')) throw new Error('refused without a word');
    tally('rigs refused with their paths');
    return;
  }
  tally('rigs read');
  const subject = { ...(originals[which] as (typeof originals)[number]), rig: read.value };
  const report = timed(() => judge(subject));
  finite(report);
  tally(report.findings.some(({ code }) => code === 'not-solved') ? 'judged: not solvable, named' : 'judged: solved');
}

function fuzzFile(): void {
  const subject = pick(originals);
  const file = JSON.parse(JSON.stringify({ format: 'wainrope.rig', version: pick([1, 2, 3, 4]), case: subject })) as Record<
    string,
    unknown
  >;
  damage(file);
  const read = timed(() => readRigFile(file));
  tally(read.ok ? 'files read' : 'files refused with their paths');
}

const SEPARATORS = [',', ';', '\t', '|'];
const CELLS = [
  '',
  '0',
  '-1',
  '1e308',
  '-1e308',
  '1,5',
  '1.5',
  'NaN',
  '∞',
  '2 000',
  '10:15:00',
  '2026-01-01 10:15:00',
  'x'.repeat(300),
  '"',
  '\0',
  '٣',
];
const HEADINGS = ['time_s', 'Time (ms)', 't/s', 'tension_N', 'Load (kN)', 'force', 'load (ton)', 'travel_m', '', ' ', '(', '_', 'T', 'kN'];

/** A recorder's file of which any cell, heading, separator and unit may be damaged: read to its end or refused in words, every figure finite. */
function fuzzSeries(): void {
  const columns = 1 + Math.floor(next() * 4);
  const sound = next() < 0.5;
  const heads = sound
    ? ['time_s', 'tension_N', 'travel_m'].slice(0, 2 + Math.floor(next() * 2))
    : Array.from({ length: columns }, () => pick(HEADINGS));
  let time = 0;
  const cell = (column: number) => {
    if (next() < (sound ? 0.02 : 0.3)) return pick(CELLS);
    time += next() < 0.05 ? -1 : next();
    return column === 0 ? time.toFixed(3) : ((next() - 0.1) * 10 ** Math.floor(next() * 7)).toFixed(2);
  };
  const rows = Array.from({ length: Math.floor(next() * 80) }, () => heads.map((_, column) => cell(column)));
  // As a file of text, parted and put together again.
  const separator = pick(SEPARATORS);
  const lines = [heads, ...rows].map((cells) => cells.join(separator).split(pick([separator, separator, pick(SEPARATORS)])));
  const head = timed(() => seriesHead(lines, next() < 0.2 ? { forceUnit: pick(['kN', 'ton', 'x']), timeUnit: pick(['ms', 'x']) } : {}));
  if (head.kind !== 'read') {
    if (head.kind === 'fault' ? head.message === '' : head.choices.length === 0) throw new Error('refused without a word');
    tally('series refused or asked about, in words');
    return;
  }
  const envelope = seriesEnvelope();
  const pieces = seriesOfPieces({ travelM: [0, 3], pieces: [{ gearId: 'a', mbsN: 100_000, shares: [1, 2] }] });
  const seen: number[] = [];
  const reader = seriesRows({
    columns: head.columns,
    leavesOutSpikes: next() < 0.5,
    seen: (timeS, tensionN, travelM) => {
      seen.push(tensionN);
      envelope.push(timeS, tensionN);
      pieces.push(tensionN, travelM);
    },
  });
  timed(() => lines.slice(head.columns.headLines).forEach((cells, index) => reader.push(cells, index + 1)));
  const summary = reader.end();
  finite(summary, 'series');
  finite(pieces.end(), 'pieces');
  if (
    summary.rows !== seen.length ||
    summary.rows + summary.refusedCount + (summary.rows < seen.length ? 0 : summary.spikes) < summary.rows
  )
    throw new Error('rows are lost');
  if (seen.length > 0 && summary.peakN !== Math.max(...seen)) throw new Error('the peak is not the largest reading');
  if (seen.length > 0 && Math.max(...envelope.end().highN.filter((n) => !Number.isNaN(n))) !== summary.peakN)
    throw new Error('the outline has lost the peak');
  tally('series read');
}

const coordinate = () => (next() < 0.03 ? pick([0, 1e9, Number.NaN, -1e9]) : next() * 30 - 15);
const length = () => (next() < 0.04 ? pick([1e-9, 1e9, Number.NaN, 1e-3]) : 0.05 + next() * 6);

function randomNetwork(): Network {
  const size = 2 + Math.floor(next() * 8);
  const nodes = Array.from(
    { length: size },
    (_, index): NetworkNode => ({
      id: `n${index}`,
      held: index < 2 || next() < 0.4,
      at: { x: coordinate(), y: coordinate(), z: next() * 3 },
    }),
  );
  const any = () => Math.floor(next() * size);
  const links = Array.from({ length: Math.floor(next() * size) }, (_, index) => ({
    id: `l${index}`,
    from: any(),
    to: any(),
    lengthM: length(),
  }));
  const ropes = Array.from({ length: 1 + Math.floor(next() * 2) }, (_, index) => {
    const path = Array.from({ length: 2 + Math.floor(next() * 5) }, any);
    const bends = path.slice(2).map(() => ({ kind: 'by-wrap', efficiency180: 0.6 + 0.4 * next() }) as const);
    const driven = index === 0 || next() < 0.5;
    const pull = driven
      ? ({ kind: 'driven', tension: next() < 0.02 ? pick([0, 1e9, Number.NaN]) : 0.2 + next() } as const)
      : ({ kind: 'length', lengthM: 2 * length() } as const);
    return { id: `r${index}`, nodes: path, bends, pull };
  });
  return { nodes, links, ropes };
}

/** A network that could stand in a wood: every pulley on a chain of its own, now and then a figure that makes no sense. */
function soundNetwork(): Network {
  const pulleys = 1 + Math.floor(next() * 5);
  const at = () => ({ x: coordinate(), y: coordinate(), z: next() * 3 });
  const held = Array.from({ length: pulleys + 2 }, (_, index): NetworkNode => ({ id: `h${index}`, held: true, at: at() }));
  const free = Array.from({ length: pulleys }, (_, index): NetworkNode => ({ id: `f${index}`, held: false, at: at() }));
  const links = free.map((_, index) => ({ id: `l${index}`, from: index + 2, to: held.length + index, lengthM: length() }));
  const path = [0, ...free.map((_, index) => held.length + index), 1];
  const bends = free.map(() => ({ kind: 'by-wrap', efficiency180: 0.6 + 0.4 * next() }) as const);
  return { nodes: [...held, ...free], links, ropes: [{ id: 'rope', nodes: path, bends }] };
}

function fuzzNetwork(): void {
  const network = next() < 0.5 ? soundNetwork() : randomNetwork();
  const outcome = timed(() => solveNetwork(network, pick(['hauling', 'frictionless', 'lowering'] as const)));
  tally(`network: ${outcome.kind}`);
  if (outcome.kind === 'solved') {
    finite({ ...outcome, residual: outcome.residual }, 'state');
    if (!(outcome.residual < 1e-9)) throw new Error(`solved with a residual of ${outcome.residual}`);
  } else if (outcome.nodes.length === 0) throw new Error(`${outcome.kind} without naming anything`);
}

const from = performance.now();
for (let index = 0; index < INPUTS; index++) {
  const before = state;
  try {
    const dice = next();
    if (dice < 0.1) fuzzSeries();
    else if (dice < 0.6) fuzzNetwork();
    else if (dice < 0.99) fuzzRig();
    else fuzzFile();
  } catch (error) {
    console.error(`Input ${index} (generator state ${before}): ${error instanceof Error ? error.stack : error}`);
    process.exit(1);
  }
}
const seconds = (performance.now() - from) / 1000;
console.log(
  `${INPUTS.toLocaleString('en')} inputs, from state ${process.argv[3] ?? SEED}, ${seconds.toFixed(0)} s on one of ${cpus().length} cores, node ${process.version}; slowest answer ${slowestMs.toFixed(0)} ms`,
);
for (const [key, count] of Object.entries(counts).sort(([, a], [, b]) => b - a))
  console.log(`${count.toLocaleString('en').padStart(10)}  ${key}`);
