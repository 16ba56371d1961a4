import { Injectable } from '@nestjs/common';
import { type Kysely, sql } from 'kysely';
import type { Database } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { type EndedSessions, SESSION_CHANNEL } from '../events/event-channel.ts';
import { KNOWN_DAYS, type RecentFailures, WINDOW_MINUTES } from './sign-in-limits.ts';

type Db = Kysely<Database> | TeamTransaction;

export interface Membership {
  readonly teamId: string;
  readonly personId: string;
}

/** Accounts, memberships, invitations and attempts: the tables outside teams. */
@Injectable()
export class AccessRepository {
  accountOfLogin(db: Db, login: string) {
    return db.selectFrom('account').selectAll().where(sql<boolean>`lower(login) = ${login.toLowerCase()}`).executeTakeFirst();
  }

  account(db: Db, accountId: string) {
    return db.selectFrom('account').selectAll().where('account_id', '=', accountId).executeTakeFirst();
  }

  async memberships(db: Db, accountId: string): Promise<readonly Membership[]> {
    const rows = await db.selectFrom('membership').select(['team_id', 'person_id']).where('account_id', '=', accountId).execute();
    return rows.map(({ team_id, person_id }) => ({ teamId: team_id, personId: person_id }));
  }

  memberOf(trx: TeamTransaction, { teamId, accountId }: { readonly teamId: string; readonly accountId: string }) {
    return trx
      .selectFrom('membership as m')
      .innerJoin('person as p', (join) => join.onRef('p.team_id', '=', 'm.team_id').onRef('p.person_id', '=', 'm.person_id'))
      .select(['p.person_id', 'p.name', 'p.role', 'p.left_on'])
      .where('m.account_id', '=', accountId)
      .where('m.team_id', '=', teamId)
      .executeTakeFirst();
  }

  async accountOfPerson(db: Db, { teamId, personId }: Membership) {
    return db
      .selectFrom('membership as m')
      .innerJoin('account as a', 'a.account_id', 'm.account_id')
      .select(['a.account_id', 'a.login'])
      .where('m.team_id', '=', teamId)
      .where('m.person_id', '=', personId)
      .executeTakeFirst();
  }

  async loginsOfTeam(db: Db, teamId: string): Promise<ReadonlyMap<string, string>> {
    const rows = await db
      .selectFrom('membership as m')
      .innerJoin('account as a', 'a.account_id', 'm.account_id')
      .select(['m.person_id', 'a.login'])
      .where('m.team_id', '=', teamId)
      .execute();
    return new Map(rows.map(({ person_id, login }) => [person_id, login]));
  }

  async anyAccount(db: Db): Promise<boolean> {
    return (await db.selectFrom('account').select('account_id').limit(1).executeTakeFirst()) !== undefined;
  }

  async teamIds(db: Db): Promise<readonly string[]> {
    return (await db.selectFrom('membership').select('team_id').distinct().execute()).map(({ team_id }) => team_id);
  }

  async addAccount(db: Db, account: { readonly accountId: string; readonly login: string; readonly passwordHash: string }): Promise<void> {
    await db
      .insertInto('account')
      .values({ account_id: account.accountId, login: account.login, password_hash: account.passwordHash })
      .execute();
  }

  async addMembership(db: Db, accountId: string, { teamId, personId }: Membership): Promise<void> {
    await db.insertInto('membership').values({ account_id: accountId, team_id: teamId, person_id: personId }).execute();
  }

  async setPassword(db: Db, accountId: string, passwordHash: string): Promise<void> {
    await db
      .updateTable('account')
      .set({ password_hash: passwordHash, password_set_at: new Date() })
      .where('account_id', '=', accountId)
      .execute();
  }

  /** Ends every session of an account, except perhaps one. */
  async endSessions(db: Db, accountId: string, except?: string): Promise<void> {
    let query = db.deleteFrom('sign_in_session').where(sql<boolean>`sess->'signedIn'->>'accountId' = ${accountId}`);
    if (except !== undefined) query = query.where('sid', '<>', except);
    await query.execute();
    await this.tellEnded(db, { accountId, ...(except !== undefined && { except }) });
  }

  /** Tells every server of this database that sessions have ended, so that nothing goes on under them. */
  async tellEnded(db: Db, ended: EndedSessions): Promise<void> {
    await sql`select pg_notify(${SESSION_CHANNEL}, ${JSON.stringify(ended)})`.execute(db);
  }

  async addInvitation(
    db: Db,
    invitation: { readonly tokenHash: string; readonly membership?: Membership; readonly madeBy?: string; readonly expiresAt: Date },
  ): Promise<void> {
    const { tokenHash, membership, madeBy, expiresAt } = invitation;
    await db
      .insertInto('invitation')
      .values({
        token_hash: tokenHash,
        team_id: membership?.teamId ?? null,
        person_id: membership?.personId ?? null,
        made_by: madeBy ?? null,
        expires_at: expiresAt,
        used_at: null,
      })
      .execute();
  }

  /** Earlier links of the same person, or to found a team, open nothing any more. */
  async withdrawInvitations(db: Db, membership: Membership | undefined): Promise<void> {
    let query = db.updateTable('invitation').set({ used_at: new Date() }).where('used_at', 'is', null);
    query = membership
      ? query.where('team_id', '=', membership.teamId).where('person_id', '=', membership.personId)
      : query.where('team_id', 'is', null);
    await query.execute();
  }

  /** An invitation that still opens, held against a second use until the transaction ends. Its day is asked of the database’s own clock. */
  async openInvitation(db: Db, tokenHash: string) {
    return db
      .selectFrom('invitation')
      .selectAll()
      .where('token_hash', '=', tokenHash)
      .where('used_at', 'is', null)
      .where('expires_at', '>', sql<Date>`clock_timestamp()`)
      .forUpdate()
      .executeTakeFirst();
  }

  /** Who of a team has not left it, held so until the transaction ends. */
  async isHere(trx: TeamTransaction, personId: string): Promise<boolean> {
    const row = await trx
      .selectFrom('person')
      .select('person_id')
      .where('person_id', '=', personId)
      .where('left_on', 'is', null)
      .forShare()
      .executeTakeFirst();
    return row !== undefined;
  }

  async useInvitation(db: Db, tokenHash: string): Promise<void> {
    await db.updateTable('invitation').set({ used_at: new Date() }).where('token_hash', '=', tokenHash).execute();
  }

  /**
   * Failures of late, this attempt not yet counted. Attempts on one name or from one address wait for each other until the
   * transaction ends, so that many at once are counted as what they are.
   */
  async recentFailures(trx: TeamTransaction, login: string, address: string): Promise<RecentFailures> {
    for (const key of [`login ${login}`, `address ${address}`].sort())
      await sql`select pg_advisory_xact_lock(hashtextextended(${key}, 0))`.execute(trx);
    const { rows } = await sql<RecentFailures>`
      select
        count(*) filter (where not succeeded and login = ${login} and address = ${address} and at > now() - make_interval(mins => ${WINDOW_MINUTES}))::int as pair,
        count(*) filter (where not succeeded and login = ${login} and at > now() - make_interval(mins => ${WINDOW_MINUTES}))::int as login,
        count(*) filter (where not succeeded and address = ${address} and at > now() - make_interval(mins => ${WINDOW_MINUTES}))::int as address,
        coalesce(bool_or(succeeded and login = ${login} and address = ${address}), false) as known
      from sign_in_attempt where (login = ${login} or address = ${address}) and at > now() - make_interval(days => ${KNOWN_DAYS})`.execute(
      trx,
    );
    return rows[0] as RecentFailures;
  }

  /** Notes an attempt, and forgets those that count no more. */
  async noteAttempt(db: Db, attempt: { readonly login: string; readonly address: string; readonly succeeded: boolean }): Promise<void> {
    await db.insertInto('sign_in_attempt').values(attempt).execute();
    await sql`delete from sign_in_attempt where at < now() - make_interval(days => ${KNOWN_DAYS})`.execute(db);
  }

  /** A success forgives what was mistyped before it from the same address. */
  async forgiveFailures(db: Db, login: string, address: string): Promise<void> {
    await db
      .deleteFrom('sign_in_attempt')
      .where('login', '=', login)
      .where('address', '=', address)
      .where('succeeded', '=', false)
      .execute();
  }
}
