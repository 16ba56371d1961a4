import { type Case, readRigFile } from '@wainrope/core';
import { judge, judgeStart } from '@wainrope/core/judging';
import { describe, expect, it, vi } from 'vitest';
import badgerFile from '../../../../demo/plans/badger-on-peat-track.json' with { type: 'json' };
import type { Solver } from './solver.worker.ts';

const exposed = vi.hoisted(() => ({ solver: undefined as unknown }));
vi.mock('comlink', () => ({
  expose: (solver: unknown) => {
    exposed.solver = solver;
  },
}));
await import('./solver.worker.ts');
const solver = exposed.solver as Solver;

const read = readRigFile(badgerFile);
if (!read.ok) throw new Error(JSON.stringify(read.faults));
const badger: Case = read.value.case;
/** So far that the worker has to draw breath on the way, on any machine. */
const far: Case = {
  ...badger,
  rig: {
    ...badger.rig,
    bodies: badger.rig.bodies.map((body) => (body.kind === 'tree' ? { ...body, xM: body.xM * 30, yM: body.yM * 30 } : body)),
    load: { ...badger.rig.load, travelM: 300 },
  },
};

describe('the worker', () => {
  it('follows nothing before a case was begun', async () => {
    await expect(solver.follow()).rejects.toThrow('no case was begun');
  });
  it('answers with the start, then with the whole of the same case, as core does', async () => {
    expect(solver.judgeStart(badger)).toEqual(judgeStart(badger));
    expect(await solver.follow()).toEqual(judge(badger));
  });
  it('gives up a pull when it is told to, and one that a newer overtakes', async () => {
    solver.judgeStart(far);
    const givenUp = solver.follow();
    solver.overtake();
    expect(await givenUp).toBeUndefined();
    const older = solver.follow();
    solver.judgeStart(badger);
    const newer = solver.follow();
    expect(await older).toBeUndefined();
    expect((await newer)?.pull.askedM).toBe(9);
  });
});
