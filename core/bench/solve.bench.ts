// Timings of the built solve beside their floor, measured in one run: npm run bench
import { readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { resolve } from 'node:path';
import { judge, readRigFile } from '@wainrope/core';
import { Bench } from 'tinybench';
import { assess } from '../dist/judgement/assess.js';
import { solveLinear } from '../dist/statics/solve-linear.js';
import { solveNetwork } from '../dist/statics/solve-network.js';

const file = readRigFile(JSON.parse(readFileSync(resolve(import.meta.dirname, '../../demo/plans/bog-below-tarn-quarry.json'), 'utf8')));
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const subject = file.value.case;
const { network } = assess(subject).network;
const unknowns = network.nodes.filter(({ held }) => !held).length * 3 + network.links.length;

/** A well-conditioned dense system of the rig's own size: the least that any Newton step costs. */
const matrix = Float64Array.from({ length: unknowns * unknowns }, (_, index) => (index % (unknowns + 1) === 0 ? 4 : Math.sin(index)));
const right = Float64Array.from({ length: unknowns }, (_, index) => index + 1);

const bench = new Bench({ time: 1500, warmupTime: 500 });
bench
  .add(
    `floor: one dense factorisation of ${unknowns} unknowns`,
    () => void solveLinear(Float64Array.from(matrix), Float64Array.from(right)),
  )
  .add('solve the rig once, hauling', () => void solveNetwork(network, 'hauling'))
  .add('solve and judge the rig', () => void judge(subject));
await bench.run();

const rows = bench.tasks.map(({ name, result }) => {
  if (result.state !== 'completed') throw new Error(`${name} did not complete`);
  return { name, medianUs: result.latency.p50 * 1000, spreadUs: result.latency.mad * 1000 };
});
const floor = rows[0]?.medianUs ?? Number.NaN;
console.log(`${cpus().length} cores, node ${process.version}, ${subject.name}, ${subject.gear.length} pieces`);
for (const { name, medianUs, spreadUs } of rows)
  console.log(
    `${name.padEnd(52)} median ${medianUs.toFixed(1).padStart(9)} µs  spread ${spreadUs.toFixed(1).padStart(7)} µs  ${(medianUs / floor).toFixed(1).padStart(7)} × floor`,
  );
