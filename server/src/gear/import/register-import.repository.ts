import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { Actor } from '../../actor/actor.ts';
import { chunks } from '../../database/rows.ts';
import type { TeamTransaction } from '../../database/team-database.ts';
import type { TakenTag } from './made-tags.ts';

export interface NewInspection {
  readonly gearId: string;
  readonly on: string;
  readonly grade: string;
  readonly nextDue?: string;
  readonly by?: string;
}

/** What bringing a gear list in reads and writes beside the pieces themselves. */
@Injectable()
export class RegisterImportRepository {
  /** Every tag with the class that it is of, in one order. */
  async everyTag(trx: TeamTransaction): Promise<readonly TakenTag[]> {
    return trx.selectFrom('gear').select(['tag', 'kind']).orderBy('tag_key').execute();
  }

  async addInspections(trx: TeamTransaction, actor: Actor, inspections: readonly NewInspection[]): Promise<void> {
    for (const part of chunks(inspections)) {
      await trx
        .insertInto('inspection')
        .values(
          part.map(({ gearId, on, grade, nextDue, by }) => ({
            team_id: actor.teamId,
            inspection_id: randomUUID(),
            gear_id: gearId,
            inspected_on: on,
            grade,
            next_due_on: nextDue ?? null,
            inspector: by ?? null,
            kind: 'on-record',
            counts: true,
            sheet_version: null,
            sheet: null,
            answers: null,
            proposed_grade: null,
            note: null,
            corrects: null,
            recorded_by: actor.personId,
          })),
        )
        .execute();
    }
  }
}
