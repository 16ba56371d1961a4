import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type { SubjectKind } from '@wainrope/contract';
import pg from 'pg';
import { defer, EMPTY, filter, from, merge, type Observable, Subject } from 'rxjs';
import { log } from '../http/logging.ts';
import { type EndedSessions, EVENT_CHANNEL, SESSION_CHANNEL } from './event-channel.ts';

/**
 * Something of a team’s records has changed. `reset`: changes, and ends of sessions, may have been missed; `missed`: changes from before
 * the stream began may have been.
 */
export type TeamEvent =
  | { readonly type: 'changed'; readonly teamId: string; readonly kind: SubjectKind; readonly by: string; readonly ids?: readonly string[] }
  | { readonly type: 'reset' | 'missed' };

type Change = Extract<TeamEvent, { readonly type: 'changed' }>;

const RETRY_MS = 1000;

/** Listens on the database and hands events on to the pages that this server feeds. A dropped connection is taken up again. */
@Injectable()
export class LiveEvents implements OnModuleInit, OnModuleDestroy {
  private readonly events = new Subject<TeamEvent>();
  private readonly ended = new Subject<EndedSessions>();
  private readonly over = new Subject<void>();
  /** The last change of each kind, by team. */
  private readonly last = new Map<string, Map<SubjectKind, { readonly at: number; readonly change: Change }>>();
  /** Since when nothing has been missed. */
  private hearsSince = Number.POSITIVE_INFINITY;
  private client: pg.Client | undefined;
  private stopped = false;
  private retry: NodeJS.Timeout | undefined;

  async onModuleInit(): Promise<void> {
    await this.listen().catch((error: unknown) => this.again(error));
  }

  /** What changes in a team from now on; first what has changed in the last `agoMs`, each kind once. */
  of(teamId: string, agoMs?: number): Observable<TeamEvent> {
    const next = this.events.pipe(filter((event) => event.type !== 'changed' || event.teamId === teamId));
    const before = agoMs === undefined ? EMPTY : defer(() => from(this.since(teamId, performance.now() - agoMs)));
    return merge(next, before);
  }

  private since(teamId: string, moment: number): readonly TeamEvent[] {
    if (moment < this.hearsSince) return [{ type: 'missed' }];
    return [...(this.last.get(teamId)?.values() ?? [])].filter(({ at }) => at >= moment).map(({ change }) => change);
  }

  private changed(change: Change): void {
    const kinds = this.last.get(change.teamId) ?? new Map();
    this.last.set(change.teamId, kinds);
    const { ids: _ids, ...ofItsKind } = change;
    kinds.set(change.kind, { at: performance.now(), change: ofItsKind });
    this.events.next(change);
  }

  /** Every stream ends: the server does. */
  endAll(): void {
    this.over.next();
  }

  /** Once, when a session has ended, wherever that was done, or the server is about to. */
  endOf({ sid, accountId }: { readonly sid: string; readonly accountId: string }): Observable<unknown> {
    const own = this.ended.pipe(
      filter((ended) => ('sid' in ended ? ended.sid === sid : ended.accountId === accountId && ended.except !== sid)),
    );
    return merge(own, this.over);
  }

  private async listen(): Promise<void> {
    const client = new pg.Client({ connectionString: process.env.WAINROPE_DATABASE_URL, keepAlive: true });
    this.client = client;
    client.on('notification', ({ channel, payload }) => {
      if (!payload) return;
      if (channel === SESSION_CHANNEL) this.ended.next(JSON.parse(payload));
      else this.changed({ type: 'changed', ...JSON.parse(payload) });
    });
    client.on('error', (error) => this.again(error));
    client.on('end', () => this.again(undefined));
    await client.connect();
    await client.query(`listen ${EVENT_CHANNEL}; listen ${SESSION_CHANNEL}`);
    this.hearsSince = performance.now();
  }

  /** Connects anew after a moment; pages then read everything again, since what happened meanwhile was not heard. */
  private again(error: unknown): void {
    if (this.stopped || this.retry) return;
    this.hearsSince = Number.POSITIVE_INFINITY;
    log.warn({ err: error }, 'live events lost their connection; trying again');
    this.client?.removeAllListeners();
    this.client?.on('error', () => undefined);
    this.client?.end().catch(() => undefined);
    this.retry = setTimeout(() => {
      this.retry = undefined;
      this.listen().then(
        () => this.events.next({ type: 'reset' }),
        (cause: unknown) => this.again(cause),
      );
    }, RETRY_MS);
  }

  async onModuleDestroy(): Promise<void> {
    this.stopped = true;
    this.endAll();
    clearTimeout(this.retry);
    this.client?.removeAllListeners();
    this.events.complete();
    await this.client?.end();
  }
}
