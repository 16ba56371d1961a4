import { Injectable } from '@nestjs/common';
import type { FirstSteps } from '@wainrope/contract';
import { sql } from 'kysely';
import type { TeamTransaction } from '../database/team-database.ts';

/** How far a new team is. */
@Injectable()
export class FirstStepsRepository {
  async of(trx: TeamTransaction): Promise<FirstSteps> {
    const { rows } = await sql<FirstSteps>`
      select exists (select 1 from person where left_on is null offset 1) as people,
        exists (select 1 from gear where state <> 'retired') as gear,
        exists (select 1 from gear where kit_id is not null and state <> 'retired') as kit,
        exists (select 1 from vehicle) as vehicle,
        exists (select 1 from plan) as plan,
        coalesce(first_steps_away, false) as "putAway"
      from team`.execute(trx);
    const [steps] = rows;
    if (!steps) throw new Error('Broken invariant: a team has no row');
    return steps;
  }

  async putAway(trx: TeamTransaction, putAway: boolean): Promise<void> {
    await trx.updateTable('team').set({ first_steps_away: putAway }).execute();
  }
}
