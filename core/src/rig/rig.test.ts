import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { exampleCase } from '../testing/example-case.ts';
import { RIG_FILE_FORMAT, RIG_FILE_VERSION, readRigFile } from './case.ts';
import { applyEdit, type Edit } from './edits.ts';

const file = () => JSON.parse(JSON.stringify({ format: RIG_FILE_FORMAT, version: 1, case: exampleCase() }));
const faultsOf = (value: unknown) => {
  const result = readRigFile(value);
  return result.ok ? [] : result.faults;
};

describe('reading a rig file', () => {
  it('gives back what was written, and the same verdict', () => {
    const result = readRigFile(file());
    if (!result.ok) throw new Error(JSON.stringify(result.faults));
    expect(judge(result.value.case)).toEqual(judge(exampleCase()));
  });
  it('keeps what stands under ext and refuses unknown fields elsewhere with their path', () => {
    const kept = file();
    kept.case.rig.ext = { colour: 'red' };
    const result = readRigFile(kept);
    expect(result.ok && (result.value.case.rig as { ext?: unknown }).ext).toEqual({ colour: 'red' });
    const refused = file();
    refused.case.rig.bodies[1].colour = 'red';
    expect(faultsOf(refused)).toEqual([{ path: 'case.rig.bodies[1].colour', message: expect.stringContaining('not known') }]);
  });
  it.each([
    [
      'case.kind',
      (f: ReturnType<typeof file>) => {
        f.case.kind = 'tow';
      },
    ],
    [
      'version',
      (f: ReturnType<typeof file>) => {
        f.version = RIG_FILE_VERSION + 1;
      },
    ],
    [
      'case.asOf',
      (f: ReturnType<typeof file>) => {
        f.case.asOf = '2026-02-30';
      },
    ],
    [
      'case.rig.bodies[0].massKg',
      (f: ReturnType<typeof file>) => {
        f.case.rig.bodies[0].massKg = 1e9;
      },
    ],
    [
      'case.rig.lines[0].via[0].chainId',
      (f: ReturnType<typeof file>) => {
        f.case.rig.lines[0].via[0].chainId = 'nowhere';
      },
    ],
    [
      'case.rig.lines[0].to.chainId',
      (f: ReturnType<typeof file>) => {
        f.case.rig.lines[0].to.chainId = 'at-tree';
      },
    ],
    [
      'case.rig.points[1].place',
      (f: ReturnType<typeof file>) => {
        f.case.rig.points[1].place = { kind: 'on-vehicle', forwardM: 1, leftM: 0, heightM: 1 };
      },
    ],
    [
      'case.rig.load.bodyId',
      (f: ReturnType<typeof file>) => {
        f.case.rig.load.bodyId = 'larch';
      },
    ],
    [
      'case.rig.bodies[1].id',
      (f: ReturnType<typeof file>) => {
        f.case.rig.bodies[1].id = 'truck';
      },
    ],
    [
      'case.rig.chains[0].pieces[0].gearId',
      (f: ReturnType<typeof file>) => {
        f.case.rig.chains[0].pieces[0].gearId = 'ghost';
      },
    ],
    [
      'case.gear[0].marks[0].readings[0].forceN',
      (f: ReturnType<typeof file>) => {
        f.case.gear[0].marks[0].readings[0].forceN = -1;
      },
    ],
    [
      'case.gear[2].attributes.lengthM',
      (f: ReturnType<typeof file>) => {
        f.case.gear[2].attributes.lengthM = 3;
      },
    ],
  ])('names the fault at %s', (path, damage) => {
    const damaged = file();
    damage(damaged);
    expect(faultsOf(damaged).map((fault) => fault.path)).toContain(path);
  });
  it('refuses anything else without throwing', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => !readRigFile(value).ok),
      { seed: 31, numRuns: 500 },
    );
  });
  it('survives any one value of a good file replaced by anything', () => {
    const paths: (string | number)[][] = [];
    const walk = (value: unknown, path: (string | number)[]) => {
      paths.push(path);
      if (typeof value === 'object' && value !== null) for (const [key, entry] of Object.entries(value)) walk(entry, [...path, key]);
    };
    walk(file().case.rig, ['case', 'rig']);
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue(), (path, value) => {
        const damaged = file();
        let holder = damaged;
        for (const key of path.slice(0, -1)) holder = holder[key];
        holder[path.at(-1) as string] = value;
        const result = readRigFile(damaged);
        if (result.ok) expect(['clear', 'clear-judged', 'watch', 'stop']).toContain(judge(result.value.case).verdict);
      }),
      { seed: 32, numRuns: 400 },
    );
  });
});

describe('edits', () => {
  const { rig } = exampleCase();
  const edits: readonly Edit[] = [
    { kind: 'choose-piece', useId: 'tree-strap', gearId: 'TS-light' },
    { kind: 'choose-piece', useId: 'winch-line', gearId: undefined },
    { kind: 'change-use', useId: 'tree-strap', use: { id: 'tree-strap', role: 'tree-strap', hitch: 'choke' } },
    { kind: 'move-body', bodyId: 'larch', xM: 3, yM: 4 },
    { kind: 'change-ground', ground: { slopeRad: 0.1, uphillRad: 1 } },
    { kind: 'change-situation', situation: { ...rig.situation, depth: 'roof' } },
    { kind: 'change-load', load: { ...rig.load, travelM: 1 } },
    { kind: 'choose-pull', chosenPull: { pullN: 1, person: 'a', reason: 'b' } },
    { kind: 'state-limiter', limiter: { pullN: 1, statedBy: 'a' } },
    { kind: 'place-dampers', dampers: [] },
    { kind: 'answer', questionId: 'strap-twisted.tree-strap', answer: undefined },
    { kind: 'answer', questionId: 'new', answer: 'no' },
    { kind: 'lay-lines', points: [], chains: [], lines: [] },
    { kind: 'move-body', bodyId: 'nobody', xM: 3, yM: 4 },
  ];
  it('each has an inverse that brings the rig back exactly', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...edits), { maxLength: 12 }), (list) => {
        const inverses: Edit[] = [];
        let now = rig;
        for (const edit of list) {
          const done = applyEdit(now, edit);
          inverses.unshift(done.inverse);
          now = done.rig;
        }
        for (const edit of inverses) now = applyEdit(now, edit).rig;
        expect(now).toEqual(rig);
      }),
      { seed: 33, numRuns: 200 },
    );
  });
  it('do what they say', () => {
    expect(applyEdit(rig, { kind: 'move-body', bodyId: 'larch', xM: 3, yM: 4 }).rig.bodies[1]).toMatchObject({ xM: 3, yM: 4 });
    expect(applyEdit(rig, { kind: 'choose-piece', useId: 'tree-strap', gearId: 'TS-light' }).rig.chains[0]?.pieces[0]?.gearId).toBe(
      'TS-light',
    );
  });
});
