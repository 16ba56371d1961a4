import { Injectable } from '@nestjs/common';
import type { WordMeaning } from '@wainrope/contract';
import { sql } from 'kysely';
import type { Actor } from '../../actor/actor.ts';
import type { TeamTransaction } from '../../database/team-database.ts';

/** What words of other people's files mean, as the team has said once. */
@Injectable()
export class FileWordRepository {
  async all(trx: TeamTransaction): Promise<readonly WordMeaning[]> {
    const rows = await trx.selectFrom('file_word').select(['about', 'word', 'meaning']).execute();
    return rows.map(({ about, word, meaning }) => ({ about: about as WordMeaning['about'], word, meaning }));
  }

  /** What was said before of a word gives way. */
  async remember(trx: TeamTransaction, { teamId, personId }: Actor, meanings: readonly WordMeaning[]): Promise<void> {
    if (meanings.length === 0) return;
    await trx
      .insertInto('file_word')
      .values(meanings.map(({ about, word, meaning }) => ({ team_id: teamId, about, word, meaning, said_by: personId })))
      .onConflict((conflict) =>
        conflict.columns(['team_id', 'about', 'word']).doUpdateSet({
          meaning: sql`excluded.meaning`,
          said_by: sql`excluded.said_by`,
          said_at: sql`wainrope_now()`,
        }),
      )
      .execute();
  }
}
