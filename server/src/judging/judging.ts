import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { type Case, CORE_VERSION, canonicalJson, type Report } from '@wainrope/core';
import { LRUCache } from 'lru-cache';
import { type Run, threadFile, WorkerPool } from '../threads/worker-pool.ts';
import type { JudgedOnce } from './judge.worker.ts';

const JUDGE = threadFile<Case, JudgedOnce>(import.meta.url, './judge.worker');

/** Reports kept in memory: a plan that is opened again and again is judged once. */
const KEPT = 60;

/** Judges on threads; a report is kept for a while by what it was made from. */
@Injectable()
export class Judging {
  private readonly reports = new LRUCache<string, JudgedOnce>({ max: KEPT });

  constructor(private readonly pool: WorkerPool) {}

  async report(subject: Case, run: Run = {}): Promise<Report> {
    return (await this.judged(subject, run)).report;
  }

  async judged(subject: Case, run: Run = {}): Promise<JudgedOnce> {
    const key = createHash('sha256').update(CORE_VERSION).update(canonicalJson(subject)).digest('base64');
    const kept = this.reports.get(key);
    if (kept) return kept;
    const judged = await this.pool.run(JUDGE, subject, run);
    this.reports.set(key, judged);
    return judged;
  }
}
