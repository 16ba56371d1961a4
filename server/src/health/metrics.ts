import { Injectable } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import { TeamDatabase } from '../database/team-database.ts';
import { WorkerPool } from '../threads/worker-pool.ts';
import { lastBackup, restarts } from './kept-marks.ts';

/** From what a list takes to what somebody would call a standstill, seconds. */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10];
const EVENTS = '/api/v1/events';

/** What this process counts about itself, in the usual text format. Nothing in it tells of a team, a person or a thing. */
@Injectable()
export class Metrics {
  readonly registry = new Registry();
  private readonly durations = new Histogram({
    name: 'wainrope_http_request_duration_seconds',
    help: 'How long requests took, by the pattern of their address',
    labelNames: ['method', 'route', 'status'],
    buckets: SECONDS,
    registers: [this.registry],
  });
  private readonly streams = new Gauge({
    name: 'wainrope_event_streams',
    help: 'Pages that follow what others change',
    registers: [this.registry],
  });

  constructor(database: TeamDatabase, threads: WorkerPool) {
    collectDefaultMetrics({ register: this.registry });
    const { pool } = database;
    this.gauge('wainrope_database_connections', 'Connections to the database', {
      inUse: () => pool.totalCount - pool.idleCount,
      idle: () => pool.idleCount,
    });
    this.gauge('wainrope_database_waiting', 'Requests that wait for a connection', { all: () => pool.waitingCount });
    this.gauge('wainrope_threads', 'Long tasks, on threads or before them', {
      running: () => threads.load.running,
      waiting: () => threads.load.waiting,
    });
    this.marks();
  }

  /** Times what is answered; a stream lasts as long as its page and is only counted. */
  readonly timing = (request: Request, response: Response, next: NextFunction): void => {
    if (request.path === EVENTS) {
      this.streams.inc();
      response.once('close', () => this.streams.dec());
      next();
      return;
    }
    const began = process.hrtime.bigint();
    response.once('finish', () => {
      const seconds = Number(process.hrtime.bigint() - began) / 1e9;
      this.durations.observe({ method: request.method, route: routeOf(request), status: response.statusCode }, seconds);
    });
    next();
  };

  /** A gauge that is looked up when somebody asks, by state. */
  private gauge(name: string, help: string, states: { readonly [state: string]: () => number }): void {
    new Gauge({
      name,
      help,
      labelNames: ['state'],
      registers: [this.registry],
      collect() {
        for (const [state, count] of Object.entries(states)) this.set({ state }, count());
      },
    });
  }

  /** What whoever watches over the processes has written down. */
  private marks(): void {
    new Gauge({
      name: 'wainrope_last_backup_timestamp_seconds',
      help: 'When the newest backup was written; 0 where there is none',
      registers: [this.registry],
      async collect() {
        this.set(((await lastBackup(process.env.WAINROPE_BACKUPS)) ?? 0) / 1000);
      },
    });
    new Gauge({
      name: 'wainrope_started_again',
      help: 'How often server and database ended by themselves since npm start',
      labelNames: ['what'],
      registers: [this.registry],
      async collect() {
        const { server = 0, database = 0 } = (await restarts()) ?? {};
        this.set({ what: 'server' }, server);
        this.set({ what: 'database' }, database);
      },
    });
  }
}

/** The pattern of an address, never the address: ids belong to a team. */
function routeOf(request: Request): string {
  const { path } = (request.route ?? {}) as { readonly path?: unknown };
  if (typeof path === 'string') return path;
  return request.path.startsWith('/api/') ? 'api, refused before its route' : 'pages';
}
