import { Injectable } from '@nestjs/common';
import type { Kysely } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import type { Database } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

type Db = Kysely<Database> | TeamTransaction;

/** Private calendar addresses, outside teams, kept as hashes. */
@Injectable()
export class CalendarRepository {
  active(db: Db, { teamId, personId }: Actor) {
    return db
      .selectFrom('calendar_link')
      .select('made_at')
      .where('team_id', '=', teamId)
      .where('person_id', '=', personId)
      .where('revoked_at', 'is', null)
      .executeTakeFirst();
  }

  /** Whether there was one to end. */
  async revoke(db: Db, { teamId, personId }: Actor): Promise<boolean> {
    const { numUpdatedRows } = await db
      .updateTable('calendar_link')
      .set({ revoked_at: new Date() })
      .where('team_id', '=', teamId)
      .where('person_id', '=', personId)
      .where('revoked_at', 'is', null)
      .executeTakeFirstOrThrow();
    return numUpdatedRows > 0n;
  }

  async add(db: Db, { teamId, personId }: Actor, tokenHash: string): Promise<void> {
    await db
      .insertInto('calendar_link')
      .values({ token_hash: tokenHash, team_id: teamId, person_id: personId, revoked_at: null })
      .execute();
  }

  holder(db: Db, tokenHash: string) {
    return db
      .selectFrom('calendar_link')
      .select(['team_id', 'person_id'])
      .where('token_hash', '=', tokenHash)
      .where('revoked_at', 'is', null)
      .executeTakeFirst();
  }
}
