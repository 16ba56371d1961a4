// Timings of the built solve beside their floors, measured in one run: npm run bench
import { readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { resolve } from 'node:path';
import { type Case, figuresOf, judge, readRigFile } from '@wainrope/core';
import { Bench } from 'tinybench';
import { assess } from '../dist/moment/assess.js';
import { drivenBy } from '../dist/moment/drives.js';
import { solveLinear } from '../dist/statics/solve-linear.js';
import { solveNetwork } from '../dist/statics/solve-network.js';

function caseOf(path: string): Case {
  const file = readRigFile(JSON.parse(readFileSync(resolve(import.meta.dirname, '../../demo', path), 'utf8')));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}

/** What one solve costs at least: a dense factorisation of as many unknowns. */
function floorOf(unknowns: number): () => void {
  const matrix = Float64Array.from({ length: unknowns * unknowns }, (_, index) => (index % (unknowns + 1) === 0 ? 4 : Math.sin(index)));
  const right = Float64Array.from({ length: unknowns }, (_, index) => index + 1);
  return () => void solveLinear(Float64Array.from(matrix), Float64Array.from(right));
}

async function measure(name: string, subject: Case): Promise<void> {
  const assessment = assess(subject);
  const { solved, drives } = assessment;
  if (!solved) throw new Error(`${name} has no balance`);
  const network = drivenBy(assessment.network, drives, ({ share }) => share);
  const given = network.ropes.filter(({ pull }) => pull?.kind === 'length').length;
  const unknowns = network.nodes.filter(({ held }) => !held).length * 3 + network.links.length + given;
  const bench = new Bench({ time: 1200, warmupTime: 600 });
  bench
    .add(`floor: one dense factorisation of ${unknowns} unknowns`, floorOf(unknowns))
    .add('solve once, hauling, from nothing', () => void solveNetwork(network, 'hauling'))
    .add('solve once, hauling, from a neighbouring state', () => void solveNetwork(network, 'hauling', solved.frictionless))
    .add('solve and judge', () => void judge(subject))
    .add('every figure explained', () => {
      for (const figure of figuresOf(subject)) figure.explain();
    });
  await bench.run();
  const rows = bench.tasks.map(({ name: task, result }) => {
    if (result.state !== 'completed') throw new Error(`${task} did not complete`);
    return { task, medianUs: result.latency.p50 * 1000, spreadUs: result.latency.mad * 1000 };
  });
  const floor = rows[0]?.medianUs ?? Number.NaN;
  console.log(`\n${name}: ${subject.gear.length} pieces, ${judge(subject).places.length} places`);
  for (const { task, medianUs, spreadUs } of rows)
    console.log(
      `${task.padEnd(52)} median ${medianUs.toFixed(1).padStart(9)} µs  spread ${spreadUs.toFixed(1).padStart(7)} µs  ${(medianUs / floor).toFixed(1).padStart(7)} × floor`,
    );
}

console.log(`${cpus().length} cores (${cpus()[0]?.model.trim()}), node ${process.version}`);
await measure('Compound driven by the winch of the load', caseOf('cases/compound-by-winch.json'));
await measure('Beck crossing: double line, tied back', caseOf('plans/beck-crossing.json'));
await measure('Bog below Tarn Quarry: double line', caseOf('plans/bog-below-tarn-quarry.json'));
