// Timings of the built solve beside their floors, measured in one run: npm run bench
import { readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { resolve } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { Bench } from 'tinybench';
import { rainflowCount } from '../dist/fatigue/count-rainflow-cycles.js';
import { type Case, readRigFile, rules } from '../dist/index.js';
import { figuresOf, judge, judgedCase, judgeStart } from '../dist/judging.js';
import { drivenBy } from '../dist/moment/balance.js';
import { holdsOf } from '../dist/moment/holds.js';
import { momentAt } from '../dist/moment/moment-at.js';
import { placesAt } from '../dist/moment/places.js';
import { networkAt } from '../dist/moment/poses.js';
import { runPull } from '../dist/pull/run-pull.js';
import { energyMargins } from '../dist/release/what-leaves.js';
import { resolveRig } from '../dist/resolved/resolve-rig.js';
import { planRunUp } from '../dist/shock/run-up-plan.js';
import { solveLinear } from '../dist/statics/solve-linear.js';
import { solveNetwork } from '../dist/statics/solve-network.js';
import { stretched } from './stretched.ts';

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
  const start = momentAt(rig, { travelM: 0 });
  const { balances, drives, states, positions } = start;
  if (!balances) throw new Error(`${name} has no balance`);
  const network = drivenBy(networkAt(rig, positions), drives, ({ share }) => share);
  const given = network.ropes.filter(({ pull }) => pull?.kind === 'length').length;
  const unknowns = network.nodes.filter(({ held }) => !held).length * 3 + network.links.length + given;
  const margins = rules.flatMap((rule) => rule.margins?.(rig) ?? []);
  const next = drivenBy(networkAt(rig, momentAt(rig, { travelM: 0.02 }).positions), drives, ({ share }) => share);
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
    .add('judge the start', () => void judgeStart(subject))
    .add('the balances of one more moment', () => {
      solveNetwork(next, 'hauling', hauling.equilibrium);
      solveNetwork(next, 'frictionless', frictionless.equilibrium);
    })
    .add('one more moment', () => void momentAt(rig, { travelM: 0.02 }, start))
    .add('its capacities, loads and holds', () => {
      const { ties } = holdsOf({ rig, positions, states, leg: undefined });
      placesAt({ rig, hauling, drives, states, positions, pose: start.pose, ties });
    })
    .add('the margins of all rules', () => void judgeMargins())
    .add('every figure explained', () => {
      for (const figure of figuresOf(judgedCase(subject))) figure.explain();
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
    `allocated by judging the start                       ${(allocated(() => void judgeStart(subject)) / 1e6).toFixed(3)} MB   (aim: under 0.2)`,
  );
}

/** The case over the whole of the pull, its long ropes longer still. */
const longer = (subject: Case): Case => ({
  ...subject,
  rig: stretched(subject.rig, PULL_M),
  gear: subject.gear.map((facts) =>
    'lengthM' in facts.attributes && (facts.attributes.lengthM ?? 0) > 15
      ? ({ ...facts, attributes: { ...facts.attributes, lengthM: 400 } } as typeof facts)
      : facts,
  ),
});

const PULL_M = 40;
const STEPS = PULL_M / 0.02;

/** A whole pull beside its floor: as many bare balances, each begun from the one before. Medians of some rounds, in one run. */
function measurePull(subject: Case): void {
  const rig = resolveRig(longer(subject));
  const first = momentAt(rig, { travelM: 0 });
  const { balances, drives } = first;
  if (!balances) throw new Error('no balance');
  const networks = Array.from({ length: STEPS }, (_, step) =>
    drivenBy(networkAt(rig, momentAt(rig, { travelM: 0.02 * (step + 1) }, first).positions), drives, ({ share }) => share),
  );
  const bare = () => {
    let [hauling, frictionless] = [balances.hauling.equilibrium, balances.frictionless.equilibrium];
    for (const network of networks) {
      const [a, b] = [solveNetwork(network, 'hauling', hauling), solveNetwork(network, 'frictionless', frictionless)];
      if (a.kind !== 'solved' || b.kind !== 'solved') throw new Error('no balance on the way');
      [hauling, frictionless] = [a, b];
    }
  };
  const figures = () => {
    let here = first;
    for (let step = 1; step <= STEPS; step++) here = momentAt(rig, { travelM: 0.02 * step }, here);
  };
  const margins = [...rules.flatMap((rule) => rule.margins?.(rig) ?? []), energyMargins(rig)];
  let moments = 0;
  const whole = () => {
    const act = runPull(rig, margins);
    if (act.end.kind !== 'travel-done') throw new Error(`ended by ${act.end.kind} at ${act.end.atM}`);
    moments = act.curves.travelM.length;
  };
  const rounds = { bare: [] as number[], figures: [] as number[], whole: [] as number[] };
  for (let round = 0; round < 9; round++)
    for (const [name, work] of [
      ['bare', bare],
      ['figures', figures],
      ['whole', whole],
    ] as const) {
      const since = performance.now();
      work();
      if (round >= 2) rounds[name].push(performance.now() - since);
    }
  const median = (all: number[]) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? Number.NaN;
  const [floor, alone, all] = [median(rounds.bare), median(rounds.figures), median(rounds.whole)];
  console.log(`\n${PULL_M} m of pull at 2 cm on the compound: ${STEPS} steps, ${moments} moments taken`);
  console.log(`floor: ${2 * STEPS} bare balances, each from the one before   ${floor.toFixed(0)} ms`);
  console.log(
    `figures alone                                        ${alone.toFixed(0)} ms   ${(alone / floor).toFixed(2)} × floor   (aim: under 1.2)`,
  );
  console.log(
    `both checks, every margin, events to 1 mm            ${all.toFixed(0)} ms   ${(all / ((floor * moments) / STEPS)).toFixed(2)} × the balances it makes   (aim: under 1.6)`,
  );
}

function measureRunUp(name: string, subject: Case): void {
  const start = momentAt(resolveRig(subject), { travelM: 0 });
  const times: number[] = [];
  for (let round = 0; round < 25; round++) {
    const since = performance.now();
    planRunUp(start);
    if (round >= 5) times.push(performance.now() - since);
  }
  times.sort((a, b) => a - b);
  console.log(`${name}: a plan of three attempts   ${(times[10] ?? Number.NaN).toFixed(1)} ms   (aim: under 50)`);
}

const SAMPLES = 1_000_000;

/** A line tension as a gauge writes it: pulls that rise and fall, with a tremble on them; made from a fixed seed. */
function series(trembleN: number): Float64Array {
  const tensions = new Float64Array(SAMPLES);
  let seed = 7;
  for (let at = 0; at < SAMPLES; at++) {
    seed = (Math.imul(seed, 1_103_515_245) + 12_345) >>> 0;
    tensions[at] = 12_000 * (1 - Math.cos(at / 5000)) + trembleN * (seed / 2 ** 32);
  }
  return tensions;
}

function measureRainflow(name: string, tensions: Float64Array): void {
  let sum = 0;
  const pass = () => {
    let here = 0;
    for (let at = 0; at < tensions.length; at++) here += tensions[at] ?? 0;
    sum += here;
  };
  let cycles = 0;
  const count = () => {
    const counting = rainflowCount((_range, part) => {
      cycles += part;
    });
    counting.pushAll(tensions);
    counting.end();
  };
  const times = { pass: [] as number[], count: [] as number[] };
  for (let round = 0; round < 15; round++)
    for (const [what, work] of [
      ['pass', pass],
      ['count', count],
    ] as const) {
      const since = performance.now();
      work();
      if (round >= 5) times[what].push(performance.now() - since);
    }
  const median = (all: number[]) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? Number.NaN;
  const [floor, took] = [median(times.pass), median(times.count)];
  console.log(
    `${name}: cycles of ${SAMPLES} samples ${took.toFixed(1)} ms, one pass over them ${floor.toFixed(2)} ms   ${(took / floor).toFixed(1)} × floor   (aim: under 10)`,
  );
  if (!(sum > 0 && cycles > 0)) throw new Error('nothing was counted');
}

console.log(`${cpus().length} cores (${cpus()[0]?.model.trim()}), node ${process.version}`);
await measure('Compound driven by the winch of the load', caseOf('cases/compound-by-winch.json'));
await measure('Beck crossing: double line, tied back', caseOf('plans/beck-crossing.json'));
await measure('Bog below Tarn Quarry: double line', caseOf('plans/bog-below-tarn-quarry.json'));
measurePull(caseOf('cases/compound-by-winch.json'));
measureRunUp('One stretch rope', caseOf('cases/stretch-pull.json'));
measureRunUp('Two joined', caseOf('cases/stretch-pull-joined.json'));
measureRainflow('A smooth series', series(0));
measureRainflow('One that trembles at every sample', series(300));
