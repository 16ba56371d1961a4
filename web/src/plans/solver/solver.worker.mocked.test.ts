import { type Case, readRigFile } from '@wainrope/core';
import { explainPlace, judgedCase, judgedStart } from '@wainrope/core/judging';
import { describe, expect, it, vi } from 'vitest';
import badgerFile from '../../../../demo/plans/badger-on-peat-track.json' with { type: 'json' };
import { judge, judgeStart } from '../../testing/judged.ts';
import type { Solver } from './solver.worker.ts';

const exposed = vi.hoisted(() => ({ solver: undefined as unknown }));
vi.mock('comlink', () => ({
  expose: (solver: unknown) => {
    exposed.solver = solver;
  },
}));
/** How often a case was solved over its whole act, and its start. */
const solved = vi.hoisted(() => ({ whole: 0, start: 0 }));
vi.mock('@wainrope/core/judging', async (original) => {
  const core = await original<typeof import('@wainrope/core/judging')>();
  return {
    ...core,
    judgedCase: (subject: Case) => {
      solved.whole += 1;
      return core.judgedCase(subject);
    },
    judgedSteps: (subject: Case) => {
      solved.whole += 1;
      return core.judgedSteps(subject);
    },
    judgedStart: (subject: Case) => {
      solved.start += 1;
      return core.judgedStart(subject);
    },
  };
});
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
  it('follows nothing that it was not sent', async () => {
    await expect(solver.follow('nowhere')).rejects.toThrow('knows no case nowhere');
  });
  it('answers with the start, then with the whole of the same case, as core does', async () => {
    solver.know('badger', badger);
    expect(solver.judgeStart('badger')).toEqual(judgeStart(badger));
    expect(await solver.follow('badger')).toEqual(judge(badger));
  });
  it('explains what it has judged without solving anything again, and solves what nobody has followed', () => {
    const [start, whole] = [judgedStart(badger), judgedCase(badger)];
    const [place] = judge(badger).places;
    if (!place) throw new Error('no place');
    Object.assign(solved, { whole: 0, start: 0 });
    expect(solver.explain('badger', place.id, 'start')).toEqual(explainPlace(start, place.id));
    expect(solver.explain('badger', place.id, 'worst')).toEqual(explainPlace(whole, place.id, 'worst'));
    expect(solver.figures('badger').length).toBeGreaterThan(20);
    expect(solver.judge('badger').verdict).toBe(judge(badger).verdict);
    expect(solved).toEqual({ whole: 0, start: 0 });
    solver.know('fresh', badger);
    solver.explain('fresh', place.id, 'worst');
    solver.figures('fresh');
    expect(solved).toEqual({ whole: 1, start: 0 });
    solver.forget('fresh');
    expect(() => solver.judge('fresh')).toThrow('knows no case fresh');
  });
  it('gives up a pull when it is told to, and one that a newer overtakes', async () => {
    solver.know('far', far);
    solver.know('again', badger);
    solver.judgeStart('far');
    const givenUp = solver.follow('far');
    solver.overtake();
    expect(await givenUp).toBeUndefined();
    const older = solver.follow('far');
    solver.judgeStart('again');
    const newer = solver.follow('again');
    expect(await older).toBeUndefined();
    expect((await newer)?.pull.askedM).toBe(9);
  });
});
