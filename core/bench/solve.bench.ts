// Timings of the built solve beside their floors, measured in one run: npm run bench
import { readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { resolve } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { Bench } from 'tinybench';
import { type Case, readRigFile, rules } from '../dist/index.js';
import { figuresOf, judge } from '../dist/judging.js';
import { drivenBy } from '../dist/moment/balance.js';
import { holdsOf } from '../dist/moment/holds.js';
import { momentAt } from '../dist/moment/moment-at.js';
import { placesAt } from '../dist/moment/places.js';
import { networkAt } from '../dist/moment/poses.js';
import { resolveRig } from '../dist/resolved/resolve-rig.js';
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

setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

/** Bytes that one call allocates, by the growth of the heap over many calls between collections. */
function allocated(work: () => void): number {
  const calls = 200;
  for (let call = 0; call < calls; call++) work();
  const grown = Array.from({ length: 7 }, () => {
    collect();
    const before = process.memoryUsage().heapUsed;
    for (let call = 0; call < 20; call++) work();
    return (process.memoryUsage().heapUsed - before) / 20;
  });
  return grown.sort((a, b) => a - b)[3] ?? Number.NaN;
}

async function measure(name: string, subject: Case): Promise<void> {
  const rig = resolveRig(subject);
  const start = momentAt(rig, 0);
  const { balances, drives, states, positions } = start;
  if (!balances) throw new Error(`${name} has no balance`);
  const network = drivenBy(networkAt(rig, positions), drives, ({ share }) => share);
  const given = network.ropes.filter(({ pull }) => pull?.kind === 'length').length;
  const unknowns = network.nodes.filter(({ held }) => !held).length * 3 + network.links.length + given;
  const margins = rules.flatMap((rule) => rule.margins?.(rig) ?? []);
  const next = drivenBy(networkAt(rig, momentAt(rig, 0.02).positions), drives, ({ share }) => share);
  const { hauling, frictionless } = balances;
  const judgeMargins = () => {
    let least = Number.POSITIVE_INFINITY;
    for (const { count, at } of margins) for (let index = 0; index < count; index++) least = Math.min(least, at(start, index) ?? 0);
    return least;
  };
  const bench = new Bench({ time: 1500, warmupTime: 2500 });
  bench
    .add(`floor: one dense factorisation of ${unknowns} unknowns`, floorOf(unknowns))
    .add('one balance from nothing', () => void solveNetwork(network, 'hauling'))
    .add('one balance from a neighbouring state', () => void solveNetwork(network, 'hauling', frictionless.equilibrium))
    .add('the balances of a start', () => {
      const first = solveNetwork(network, 'hauling');
      if (first.kind === 'solved') solveNetwork(network, 'frictionless', first);
    })
    .add('judge the start', () => void judge(subject))
    .add('the balances of one more moment', () => {
      solveNetwork(next, 'hauling', hauling.equilibrium);
      solveNetwork(next, 'frictionless', frictionless.equilibrium);
    })
    .add('one more moment', () => void momentAt(rig, 0.02, start))
    .add('its capacities, loads and holds', () => {
      const holds = holdsOf({ rig, positions, states });
      placesAt({ rig, hauling, drives, states, holds });
    })
    .add('the margins of all rules', () => void judgeMargins())
    .add('every figure explained', () => {
      for (const figure of figuresOf(subject)) figure.explain();
    });
  await bench.run();
  const rows = bench.tasks.map(({ name: task, result }) => {
    if (result.state !== 'completed') throw new Error(`${task} did not complete`);
    return { task, medianUs: result.latency.p50 * 1000, spreadUs: result.latency.mad * 1000 };
  });
  const us = (task: string) => rows.find((row) => row.task === task)?.medianUs ?? Number.NaN;
  const floor = rows[0]?.medianUs ?? Number.NaN;
  console.log(`\n${name}: ${subject.gear.length} pieces, ${judge(subject).places.length} places`);
  for (const { task, medianUs, spreadUs } of rows)
    console.log(
      `${task.padEnd(52)} median ${medianUs.toFixed(1).padStart(9)} µs  spread ${spreadUs.toFixed(1).padStart(7)} µs  ${(medianUs / floor).toFixed(1).padStart(7)} × floor`,
    );
  const balanced = us('the balances of a start');
  const more = us('the balances of one more moment');
  const rest = us('one more moment') + us('the margins of all rules') - more;
  console.log(`judging the start ÷ its balances                     ${(us('judge the start') / balanced).toFixed(2)}   (aim: under 3)`);
  console.log(`one more moment and all margins, less its balances   ${(rest / more).toFixed(2)} × its balances   (aim: under 0.6)`);
  console.log(
    `allocated by judging the start                       ${(allocated(() => void judge(subject)) / 1e6).toFixed(3)} MB   (aim: under 0.2)`,
  );
}

console.log(`${cpus().length} cores (${cpus()[0]?.model.trim()}), node ${process.version}`);
await measure('Compound driven by the winch of the load', caseOf('cases/compound-by-winch.json'));
await measure('Beck crossing: double line, tied back', caseOf('plans/beck-crossing.json'));
await measure('Bog below Tarn Quarry: double line', caseOf('plans/bog-below-tarn-quarry.json'));
