import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Kysely, PostgresDialect, sql, type Transaction } from 'kysely';
import pg from 'pg';
import { Clock } from '../clock/clock.ts';
import type { Database } from './schema.ts';

/** Days as text, never as moments in some time zone. */
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

export type TeamTransaction = Transaction<Database>;

/** The serving role's access: every query runs inside a transaction that names its team, which row-level security reads. */
@Injectable()
export class TeamDatabase implements OnApplicationShutdown {
  /** Shared with the session store. */
  readonly pool = new pg.Pool({ connectionString: requiredUrl(), max: 10 });
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
    return this.db.transaction().execute((trx) => this.named(trx, teamId, work));
  }

  /** The same, with every query seeing the same moment. */
  async inTeamAtOneMoment<T>(teamId: string, work: (trx: TeamTransaction) => Promise<T>): Promise<T> {
    const transaction = this.db.transaction().setIsolationLevel('repeatable read');
    return transaction.execute((trx) => this.named(trx, teamId, work));
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

function requiredUrl(): string {
  const url = process.env.WAINROPE_DATABASE_URL;
  if (!url)
    throw new Error(
      'WAINROPE_DATABASE_URL is not set: the address of the database for the serving role, for example postgres://wainrope_app:…@127.0.0.1:5432/wainrope',
    );
  return url;
}
