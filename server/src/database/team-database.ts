import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Kysely, PostgresDialect, sql, type Transaction } from 'kysely';
import pg from 'pg';
import { Clock } from '../clock/clock.ts';
import { isConnectionLost } from '../http/database-problem.ts';
import { ProblemException } from '../http/problem.ts';
import type { Database } from './schema.ts';

/** Days as text, never as moments in some time zone. */
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

export type TeamTransaction = Transaction<Database>;

/** The serving role's access: every query runs inside a transaction that names its team, which row-level security reads. */
@Injectable()
export class TeamDatabase implements OnApplicationShutdown {
  /** Shared with the session store. */
  readonly pool = new pg.Pool({ connectionString: requiredUrl(), max: 10, idleTimeoutMillis: IDLE_MS, ...WAITS });
  private readonly db = new Kysely<Database>({ dialect: new PostgresDialect({ pool: this.pool }) });

  private readonly closing: (() => void)[] = [];

  constructor(private readonly clock: Clock) {
    // One that breaks in the midst of a transaction fails its query; without a listener of its own it would end the process too.
    this.pool.on('connect', (client) => client.on('error', () => undefined));
    // An idle connection that the database closes is replaced on next use; without a listener it would end the process.
    this.pool.on('error', () => undefined);
  }

  /** Runs `work` in one transaction that sees only `teamId`'s rows. */
  async inTeam<T>(teamId: string, work: (trx: TeamTransaction) => Promise<T>): Promise<T> {
    return againWhereOvertaken(() => this.whole(this.db.transaction(), (trx) => this.named(trx, teamId, work)));
  }

  /** The same for what carries an id of its own: whoever sends it at the same time waits, and finds what the first has saved. */
  async inTeamOnce<T>(teamId: string, id: string, work: (trx: TeamTransaction) => Promise<T>): Promise<T> {
    return this.inTeam(teamId, async (trx) => {
      await sql`select pg_advisory_xact_lock(hashtextextended(${`${teamId} ${id}`}, 0))`.execute(trx);
      return work(trx);
    });
  }

  /** The same, with every query seeing the same moment. */
  async inTeamAtOneMoment<T>(teamId: string, work: (trx: TeamTransaction) => Promise<T>): Promise<T> {
    const transaction = this.db.transaction().setIsolationLevel('repeatable read');
    return this.whole(transaction, (trx) => this.named(trx, teamId, work));
  }

  /** All of it or nothing; where the connection breaks at the very end, nobody knows which, and that is what is said. */
  private async whole<T>(begin: ReturnType<Kysely<Database>['transaction']>, work: (trx: TeamTransaction) => Promise<T>): Promise<T> {
    let isDone = false;
    try {
      return await begin.execute(async (trx) => {
        const result = await work(trx);
        isDone = true;
        return result;
      });
    } catch (error) {
      throw isDone && isConnectionLost(error) ? perhapsSaved() : error;
    }
  }

  private async named<T>(trx: TeamTransaction, teamId: string, work: (trx: TeamTransaction) => Promise<T>): Promise<T> {
    await sql`select set_config('wainrope.team_id', ${teamId}, true)`.execute(trx);
    const told = this.clock.told();
    if (told) await sql`select set_config('wainrope.now', ${told.toISOString()}, true)`.execute(trx);
    return work(trx);
  }

  /** Tables outside every team, listed by name in the migrations: accounts, memberships, sessions, invitations, attempts, calendar links. */
  async outsideTeams<T>(work: (db: Kysely<Database>) => Promise<T>): Promise<T> {
    return work(this.db);
  }

  /** What else uses the pool, ended before it. */
  beforeClose(step: () => void): void {
    this.closing.push(step);
  }

  /** After the last request has been answered. */
  async onApplicationShutdown(): Promise<void> {
    for (const step of this.closing) step();
    await this.db.destroy();
  }
}

/** A connection that nobody used for so long is closed; a new one costs whoever comes next tens of milliseconds. */
const IDLE_MS = 300_000;

/** Milliseconds: for a connection, for a statement, for a lock, and in which a transaction may do nothing. */
const WAITS = {
  connectionTimeoutMillis: 5000,
  statement_timeout: 30_000,
  lock_timeout: 10_000,
  idle_in_transaction_session_timeout: 60_000,
} as const;

/** Another one was first, by a key of its own or in the order of locks: what was asked for is looked at anew. */
const OVERTAKEN = ['23505', '40001', '40P01'];
const ATTEMPTS = 3;

/**
 * Does something again that another transaction has got in the way of: the same command sent twice finds what the first has saved, and
 * what is taken by now is refused as taken by somebody else.
 */
async function againWhereOvertaken<T>(work: () => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await work();
    } catch (error) {
      const { code } = error as { readonly code?: string };
      if (attempt < ATTEMPTS && code !== undefined && OVERTAKEN.includes(code)) continue;
      if (attempt > 1 && error instanceof ProblemException && error.problem.status === 422)
        throw new ProblemException({ ...error.problem, status: 409, title: 'Changed by somebody else' });
      throw error;
    }
  }
}

const perhapsSaved = () =>
  new ProblemException({
    status: 503,
    title: 'Perhaps saved',
    detail: 'The connection to the database broke while it was saving: perhaps it is saved, perhaps not. Send it again; it is saved once.',
  });

function requiredUrl(): string {
  const url = process.env.WAINROPE_DATABASE_URL;
  if (!url)
    throw new Error(
      'WAINROPE_DATABASE_URL is not set: the address of the database for the serving role, for example postgres://wainrope_app:…@127.0.0.1:5432/wainrope',
    );
  return url;
}
