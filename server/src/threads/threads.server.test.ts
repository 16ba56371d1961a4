import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { readRigFile } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { ProblemException } from '../http/problem.ts';
import { Judging } from '../judging/judging.ts';
import { base64, startTestServer, type TestServer } from '../testing/test-server.ts';
import { MOST_WAITING, THREADS, threadFile, WorkerPool } from './worker-pool.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const ENDLESS = threadFile<number, string>(import.meta.url, '../testing/endless.worker');

describe('the pool', () => {
  it('answers, tells how far it is, and leaves a core to whoever reads pages', async () => {
    const told: string[] = [];
    const pool = server.app.get(WorkerPool);
    expect(await pool.run(ENDLESS, 400, { tell: (done, of) => told.push(`${done} of ${of}`) })).toBe('done');
    expect(told.length).toBeGreaterThan(0);
    expect(told.every((line) => /^\d+ of 400$/.test(line))).toBe(true);
    expect(THREADS).toBeGreaterThan(0);
  });
  it('is stopped in the midst, and goes on with what comes next', async () => {
    const pool = server.app.get(WorkerPool);
    const stop = new AbortController();
    const endless = pool.run(ENDLESS, Number.POSITIVE_INFINITY, { signal: stop.signal, tell: () => stop.abort() });
    await expect(endless).rejects.toThrow();
    expect(await pool.run(ENDLESS, 1)).toBe('done');
    await expect(pool.run(ENDLESS, 1, { signal: stop.signal })).rejects.toThrow();
  });
  it('lets so many wait and tells whoever comes after that it is busy', async () => {
    const pool = server.app.get(WorkerPool);
    const stops: AbortController[] = [];
    const endless = () => {
      const stop = new AbortController();
      stops.push(stop);
      return pool.run(ENDLESS, Number.POSITIVE_INFINITY, { signal: stop.signal });
    };
    const refused: { readonly at: number; readonly problem: unknown }[] = [];
    const asked = Array.from({ length: THREADS + MOST_WAITING + 2 }, (_, at) =>
      endless().catch((error: unknown) => refused.push({ at, problem: error instanceof ProblemException && error.problem })),
    );
    await vi.waitFor(() => expect(refused).not.toEqual([]), { timeout: 60_000 });
    // Threads that are still starting have taken nothing on yet.
    expect(refused[0]?.at).toBeGreaterThanOrEqual(MOST_WAITING);
    expect(refused[0]?.at).toBeLessThanOrEqual(MOST_WAITING + THREADS);
    expect(refused[0]?.problem).toMatchObject({ status: 503, title: 'Busy' });
    for (const stop of stops) stop.abort();
    await Promise.all(asked);
    expect(await pool.run(ENDLESS, 1)).toBe('done');
  });
  it('hands on what a thread throws', async () => {
    await expect(server.app.get(WorkerPool).run(ENDLESS, -1)).rejects.toThrow('less than nothing');
  });
});

/** A register file of many rows, so that reading it lasts. */
const longFile = base64(
  `tag,class,name,mark\n${Array.from({ length: 15_000 }, (_, row) => `L-${row},tree-strap,Strap ${row},WLL 3 t\n`).join('')}`,
);

describe('what takes long', () => {
  it('shows how far it is to whoever began it, and is stopped by them; nobody else sees it', async () => {
    const task = randomUUID();
    const preview = server.http.post(`/api/v1/gear/import/preview?task=${task}`).send({ fileName: 'long.csv', contentBase64: longFile });
    const answer = preview.then((response) => response);
    const seen = await vi.waitFor(
      async () => {
        const { body } = await server.http.get(`/api/v1/tasks/${task}`).expect(200);
        expect(body.of).toBeGreaterThan(0);
        return body;
      },
      { timeout: 60_000, interval: 20 },
    );
    expect(seen).toMatchObject({ taskId: task, what: 'Reading long.csv', of: 30_000 });
    const member = await server.as('member');
    await member.get(`/api/v1/tasks/${task}`).expect(404);
    await member.delete(`/api/v1/tasks/${task}`).expect(404);
    await server.http.delete(`/api/v1/tasks/${task}`).expect(204);
    const { status, body } = await answer;
    expect(status).toBe(409);
    expect(body).toMatchObject({ title: 'Stopped', detail: 'Reading long.csv: stopped. Nothing was saved.' });
    await server.http.get(`/api/v1/tasks/${task}`).expect(404);
  });

  it('brings nothing in once it is stopped', async () => {
    const task = randomUUID();
    const rows = Array.from({ length: 15_000 }, (_, row) => row + 2);
    const answer = server.http
      .post(`/api/v1/gear/import?task=${task}`)
      .send({ fileName: 'long.csv', contentBase64: longFile, rows })
      .then((response) => response);
    await vi.waitFor(() => server.http.delete(`/api/v1/tasks/${task}`).expect(204), { timeout: 60_000, interval: 20 });
    expect((await answer).status).toBe(409);
    const { rows: found } = await server.owner.query("select 1 from gear where tag like 'L-%'");
    expect(found).toEqual([]);
  });

  it('is refused twice under one name, and under a name that is none', async () => {
    const task = randomUUID();
    const body = { fileName: 'long.csv', contentBase64: longFile };
    const first = server.http
      .post(`/api/v1/gear/import/preview?task=${task}`)
      .send(body)
      .then((response) => response);
    await vi.waitFor(() => server.http.get(`/api/v1/tasks/${task}`).expect(200), { timeout: 60_000, interval: 20 });
    // From another device of the same person: what is heavy waits its turn on each.
    const elsewhere = await server.as('coordinator');
    await elsewhere.post(`/api/v1/gear/import/preview?task=${task}`).send(body).expect(409);
    await server.http.delete(`/api/v1/tasks/${task}`).expect(204);
    await first;
    await server.http.post('/api/v1/gear/import/preview?task=mine').send(body).expect(422);
  });

  it('ends when whoever asked is gone', async () => {
    const task = randomUUID();
    const gone = server.http.post(`/api/v1/gear/import/preview?task=${task}`).send({ fileName: 'long.csv', contentBase64: longFile });
    gone.end(() => undefined);
    await vi.waitFor(() => server.http.get(`/api/v1/tasks/${task}`).expect(200), { timeout: 60_000, interval: 20 });
    gone.abort();
    await vi.waitFor(() => server.http.get(`/api/v1/tasks/${task}`).expect(404), { timeout: 60_000, interval: 20 });
  });

  it('lets others read meanwhile: the event loop only waits', async () => {
    const preview = server.http.post('/api/v1/gear/import/preview').send({ fileName: 'long.csv', contentBase64: longFile });
    let isDone = false;
    const answer = preview.then((response) => {
      isDone = true;
      return response;
    });
    await wait(300);
    let answered = 0;
    while (!isDone) {
      await server.http.get('/api/v1/session').expect(200);
      if (!isDone) answered += 1;
    }
    expect((await answer).body.rows).toHaveLength(15_000);
    expect(answered).toBeGreaterThan(3);
  });
});

describe('a preview of settings', () => {
  interface Under {
    readonly before: string;
    readonly after: string;
  }
  /** The settings in force with one figure changed, and how many judgements it takes to know what follows for every plan. */
  async function preview(change: (content: Record<string, { value: number } & Record<string, { value: number }>>) => void) {
    const { body: policy } = await server.http.get('/api/v1/policy').expect(200);
    change(policy.content);
    const judged = vi.spyOn(server.app.get(WorkerPool), 'run');
    const { body } = await server.http.post('/api/v1/policy/preview').send({ content: policy.content }).expect(200);
    const times = judged.mock.calls.length;
    judged.mockRestore();
    return { plans: body.plans as readonly Under[], times };
  }

  it('judges nothing where nothing is changed, only what a figure can touch, and all where it touches all', async () => {
    const { body: list } = await server.http.get('/api/v1/plans').expect(200);
    const outOfDate = list.items.filter((plan: { outOfDate: readonly string[] }) => plan.outOfDate.length > 0).length;
    const none = await preview(() => undefined);
    expect(none.plans).toHaveLength(list.items.length);
    expect(none.plans.every(({ before, after }) => before === after)).toBe(true);
    expect(none.times).toBeLessThanOrEqual(outOfDate);
    // What is out of date was judged just now, and is remembered.
    expect((await preview(() => undefined)).times).toBe(0);
    const some = await preview((content) => {
      const table = content.runUp as unknown as { greatestFactor: { value: number } };
      table.greatestFactor.value *= 1.01;
    });
    expect(some.times).toBeGreaterThan(0);
    expect(some.times).toBeLessThan(list.items.length);
    const all = await preview((content) => {
      const table = content.condition as unknown as { A: { value: number } };
      table.A.value = 0.5;
    });
    expect(all.times).toBeGreaterThan(some.times);
  });
});

it('a report from a thread is the one that core writes', async () => {
  const { body: list } = await server.http.get('/api/v1/plans').expect(200);
  const { body } = await server.http.get(`/api/v1/plans/${list.items[0].planId}/rig-file`).expect(200);
  const file = readRigFile(body);
  if (!file.ok) throw new Error('the plan is no rig file');
  const { judge } = await import('@wainrope/core/judging');
  expect(await server.app.get(Judging).report(file.value.case)).toEqual(judge(file.value.case));
});
