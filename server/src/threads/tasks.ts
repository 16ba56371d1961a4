import { Injectable } from '@nestjs/common';
import type { TaskView } from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { conflict, notFound, ProblemException } from '../http/problem.ts';
import type { Run } from './worker-pool.ts';

interface Running {
  readonly actor: Actor;
  readonly stop: AbortController;
  readonly what: string;
  done: number;
  of: number;
}

/** What somebody asks for that may take long. */
export interface Asked {
  /** The name by which the asker follows and stops it; without one nobody can. */
  readonly task?: string | undefined;
  /** Ends when the asker is gone. */
  readonly gone?: AbortSignal | undefined;
}

/** What takes long in this process, while it runs: whoever began it sees how far it is and may stop it, nobody else. */
@Injectable()
export class Tasks {
  private readonly running = new Map<string, Running>();

  /** Runs work under the name its asker gave it. Stopped, it answers in words that nothing was kept. */
  async follow<T>(actor: Actor, what: string, { task, gone }: Asked, work: (run: Required<Run>) => Promise<T>): Promise<T> {
    const running: Running = { actor, what, stop: new AbortController(), done: 0, of: 0 };
    if (task !== undefined) {
      if (this.running.has(task)) throw conflict('This is being done already.', undefined);
      this.running.set(task, running);
    }
    const stop = () => running.stop.abort();
    gone?.addEventListener('abort', stop);
    try {
      return await work({
        signal: running.stop.signal,
        tell: (done, of) => {
          running.done = done;
          running.of = of;
        },
      });
    } catch (error) {
      // A problem has its own words: one that says “perhaps saved” must not become “nothing was saved”.
      throw running.stop.signal.aborted && !(error instanceof ProblemException) ? stopped(what) : error;
    } finally {
      gone?.removeEventListener('abort', stop);
      if (task !== undefined) this.running.delete(task);
    }
  }

  view(actor: Actor, taskId: string): TaskView {
    const { what, done, of } = this.own(actor, taskId);
    return { taskId, what, done, of };
  }

  stop(actor: Actor, taskId: string): void {
    this.own(actor, taskId).stop.abort();
  }

  private own(actor: Actor, taskId: string): Running {
    const running = this.running.get(taskId);
    if (!running || running.actor.personId !== actor.personId || running.actor.teamId !== actor.teamId)
      throw notFound('running task', taskId);
    return running;
  }
}

const stopped = (what: string) => new ProblemException({ status: 409, title: 'Stopped', detail: `${what}: stopped. Nothing was saved.` });
