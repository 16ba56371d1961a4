import { Injectable } from '@nestjs/common';
import type { PracticeView } from '@wainrope/contract';
import type { Insertable } from 'kysely';
import type { PersonTable, PracticeTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

@Injectable()
export class PeopleRepository {
  async add(trx: TeamTransaction, person: Insertable<PersonTable>): Promise<void> {
    await trx.insertInto('person').values(person).execute();
  }

  async change(
    trx: TeamTransaction,
    personId: string,
    change: Pick<Insertable<PersonTable>, 'name' | 'role' | 'left_on' | 'first_aider'>,
  ): Promise<void> {
    await trx.updateTable('person').set(change).where('person_id', '=', personId).execute();
  }

  async hasPractice(trx: TeamTransaction, practiceId: string): Promise<boolean> {
    return (await trx.selectFrom('practice').select('practice_id').where('practice_id', '=', practiceId).executeTakeFirst()) !== undefined;
  }

  async addPractice(trx: TeamTransaction, practice: Insertable<PracticeTable>): Promise<void> {
    await trx.insertInto('practice').values(practice).execute();
  }

  async practised(trx: TeamTransaction, personId: string): Promise<PracticeView[]> {
    const rows = await trx
      .selectFrom('practice as e')
      .innerJoin('person as p', 'p.person_id', 'e.seen_by')
      .select(['e.practice_id', 'e.layout', 'e.practised_on', 'e.note', 'p.name'])
      .where('e.person_id', '=', personId)
      .orderBy('e.practised_on', 'desc')
      .orderBy('e.recorded_at', 'desc')
      .execute();
    return rows.map(({ practice_id, layout, practised_on, note, name }) => ({
      practiceId: practice_id,
      layout,
      on: practised_on,
      seenBy: name,
      ...(note !== null && { note }),
    }));
  }

  async inspections(trx: TeamTransaction, personId: string): Promise<number> {
    const { count } = await trx
      .selectFrom('inspection')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .where('recorded_by', '=', personId)
      .executeTakeFirstOrThrow();
    return Number(count);
  }
}
