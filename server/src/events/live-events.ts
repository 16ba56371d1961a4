import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type { SubjectKind } from '@wainrope/contract';
import pg from 'pg';
import { filter, merge, type Observable, Subject } from 'rxjs';
import { log } from '../http/logging.ts';
import { type EndedSessions, EVENT_CHANNEL, SESSION_CHANNEL } from './event-channel.ts';

/** Something of a team’s records has changed. `reset`: some changes may have been missed. */
export type TeamEvent =
  | { readonly type: 'changed'; readonly teamId: string; readonly kind: SubjectKind; readonly by: string; readonly ids?: readonly string[] }
  | { readonly type: 'reset' };

const RETRY_MS = 1000;

/** Listens on the database and hands events on to the pages that this server feeds. A dropped connection is taken up again. */
@Injectable()
export class LiveEvents implements OnModuleInit, OnModuleDestroy {
  private readonly events = new Subject<TeamEvent>();
  private readonly ended = new Subject<EndedSessions>();
  private readonly over = new Subject<void>();
  private client: pg.Client | undefined;
  private stopped = false;
  private retry: NodeJS.Timeout | undefined;

  async onModuleInit(): Promise<void> {
    await this.listen().catch((error: unknown) => this.again(error));
  }

  of(teamId: string): Observable<TeamEvent> {
    return this.events.pipe(filter((event) => event.type === 'reset' || event.teamId === teamId));
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
      else this.events.next({ type: 'changed', ...JSON.parse(payload) });
    });
    client.on('error', (error) => this.again(error));
    client.on('end', () => this.again(undefined));
    await client.connect();
    await client.query(`listen ${EVENT_CHANNEL}; listen ${SESSION_CHANNEL}`);
  }

  /** Connects anew after a moment; pages then read everything again, since what happened meanwhile was not heard. */
  private again(error: unknown): void {
    if (this.stopped || this.retry) return;
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
