import { availableParallelism } from 'node:os';
import { MessageChannel } from 'node:worker_threads';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { ProblemException } from '../http/problem.ts';
import type { Progress, Tell, ThreadTask } from './in-thread.ts';

/** A file that threads run, with what goes in and what comes out. */
export interface ThreadFile<I, O> {
  readonly url: string;
  /** Only the compiler asks: the work of the file, as `inThread` makes it. */
  readonly work?: (task: ThreadTask<I>) => O;
}

/** The file of a thread’s work beside the module that asks for it: built as JavaScript, in tests as it was written. */
export const threadFile = <I, O>(beside: string, name: string): ThreadFile<I, O> => ({
  url: new URL(`${name}${AS_WRITTEN ? '.ts' : '.js'}`, beside).href,
});

const AS_WRITTEN = import.meta.url.endsWith('.ts');

/** One core is left to whoever only reads pages. */
export const THREADS = Math.max(1, availableParallelism() - 1);
/** So many wait at most; who comes after is told that the server is busy. */
export const MOST_WAITING = 200;
const IDLE_MS = 60_000;
const MOST_MEMORY_MB = 512;

export interface Run {
  readonly signal?: AbortSignal | undefined;
  readonly tell?: Tell | undefined;
}

/** Threads for what takes long, fewer than the machine has cores. The event loop only waits for them. */
@Injectable()
export class WorkerPool implements OnApplicationShutdown {
  private pool: Piscina | undefined;
  /** Tasks that were asked for and are not answered. */
  private asked = 0;

  /** Runs a file’s work on a thread. Ended by its signal it stops at once, its thread with it. */
  async run<I, O>(file: ThreadFile<I, O>, input: I, { signal, tell }: Run = {}): Promise<O> {
    const pool = this.begun();
    if (pool.queueSize >= MOST_WAITING) throw busy();
    signal?.throwIfAborted();
    const { port1, port2 } = new MessageChannel();
    port1.on('message', ({ done, of }: Progress) => tell?.(done, of));
    port1.unref();
    const task: ThreadTask<I> = tell ? { input, progress: port2 } : { input };
    this.asked++;
    try {
      return await pool.run(task, { filename: file.url, ...(tell && { transferList: [port2] }), ...(signal && { signal }) });
    } catch (error) {
      throw (error as { readonly code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooLarge() : error;
    } finally {
      this.asked--;
      port1.close();
      port2.close();
    }
  }

  /** How many tasks run, and how many wait for a thread. */
  get load(): { readonly running: number; readonly waiting: number } {
    const { pool } = this;
    return pool === undefined ? { running: 0, waiting: 0 } : { running: this.asked - pool.queueSize, waiting: pool.queueSize };
  }

  private begun(): Piscina {
    this.pool ??= new Piscina({
      minThreads: 0,
      maxThreads: THREADS,
      idleTimeout: IDLE_MS,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
      execArgv: AS_WRITTEN ? ['--import', 'tsx', '--conditions=source'] : [],
    });
    return this.pool;
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool?.destroy();
  }
}

const tooLarge = () =>
  new ProblemException({
    status: 413,
    title: 'Too large',
    detail: `This takes more than ${MOST_MEMORY_MB} MB of the server’s memory. Nothing was saved; send it in smaller parts.`,
  });

const busy = () =>
  new ProblemException({
    status: 503,
    title: 'Busy',
    detail: 'The server is busy judging other plans. Nothing was saved; try again in a minute.',
  });
