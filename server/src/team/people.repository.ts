import { Injectable } from '@nestjs/common';
import type { HeldPiece, InspectedPiece, PracticeView } from '@wainrope/contract';
import type { Insertable } from 'kysely';
import type { PersonTable, PracticeTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

const INSPECTIONS_SHOWN = 40;

@Injectable()
export class PeopleRepository {
  async add(trx: TeamTransaction, person: Insertable<PersonTable>): Promise<void> {
    await trx.insertInto('person').values(person).execute();
  }

  async change(trx: TeamTransaction, personId: string, change: Pick<Insertable<PersonTable>, 'name' | 'role' | 'left_on'>): Promise<void> {
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

  /** Pieces checked out to a person and not yet counted back. */
  async holds(_trx: TeamTransaction, _personId: string): Promise<HeldPiece[]> {
    return [];
  }

  async inspected(trx: TeamTransaction, personId: string): Promise<{ readonly items: InspectedPiece[]; readonly count: number }> {
    const { count } = await trx
      .selectFrom('inspection')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .where('recorded_by', '=', personId)
      .executeTakeFirstOrThrow();
    const rows = await trx
      .selectFrom('inspection as i')
      .innerJoin('gear as g', 'g.gear_id', 'i.gear_id')
      .select(['i.inspection_id', 'i.gear_id', 'g.tag', 'g.name', 'i.inspected_on', 'i.grade'])
      .where('i.recorded_by', '=', personId)
      .orderBy('i.inspected_on', 'desc')
      .orderBy('i.recorded_no', 'desc')
      .limit(INSPECTIONS_SHOWN)
      .execute();
    const items = rows.map(({ inspection_id, gear_id, tag, name, inspected_on, grade }) => ({
      inspectionId: inspection_id,
      gearId: gear_id,
      tag,
      name,
      on: inspected_on,
      kind: 'calendar',
      grade,
    }));
    return { items, count: Number(count) };
  }
}
