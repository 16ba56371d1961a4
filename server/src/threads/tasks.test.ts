import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import type { Actor } from '../actor/actor.ts';
import { ProblemException } from '../http/problem.ts';
import { Tasks } from './tasks.ts';

const actor = { teamId: randomUUID(), personId: randomUUID() } as Actor;

/** What the asker is told where the work fails with this after they stopped it. */
async function toldAfterStop(error: Error): Promise<unknown> {
  const tasks = new Tasks();
  const task = randomUUID();
  return tasks
    .follow(actor, 'Bringing in', { task }, async () => {
      tasks.stop(actor, task);
      throw error;
    })
    .catch((told: unknown) => told);
}

describe('work that was stopped', () => {
  it('is told as stopped, with nothing saved', async () => {
    const told = await toldAfterStop(new Error('aborted'));
    expect(told).toBeInstanceOf(ProblemException);
    expect((told as ProblemException).problem).toMatchObject({ status: 409, detail: 'Bringing in: stopped. Nothing was saved.' });
  });

  it('keeps the words of a problem of its own: perhaps saved is not “nothing was saved”', async () => {
    const perhaps = new ProblemException({ status: 503, title: 'Perhaps saved', detail: 'Look before you send it again.' });
    expect(await toldAfterStop(perhaps)).toBe(perhaps);
  });
});
