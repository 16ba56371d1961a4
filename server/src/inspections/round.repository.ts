import { Injectable } from '@nestjs/common';
import type { RoundDraft, RoundKeep, RoundListed, RoundView } from '@wainrope/contract';
import { benchAnswersCodec, read } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { readStored } from '../database/read-stored.ts';
import { given } from '../database/rows.ts';
import type { TeamTransaction } from '../database/team-database.ts';

const LISTED = 100;
/** A round of which nothing was heard for so long is not listed any more. */
const FORGOTTEN_MS = 60 * 86_400_000;

@Injectable()
export class RoundRepository {
  private rounds(trx: TeamTransaction) {
    return trx
      .selectFrom('bench_round as r')
      .innerJoin('person as p', 'p.person_id', 'r.person_id')
      .select(['r.round_id', 'r.title', 'r.kind', 'r.begun_at', 'r.person_id', 'p.name', 'r.device_id', 'r.heard_at', 'r.gear_ids'])
      .select(['r.confirmed', 'r.corrects', 'r.drafts']);
  }

  /** Those heard of last come first. */
  async list(trx: TeamTransaction): Promise<RoundListed[]> {
    const since = new Date(Date.now() - FORGOTTEN_MS);
    const rows = await this.rounds(trx).where('r.heard_at', '>', since).orderBy('r.heard_at', 'desc').limit(LISTED).execute();
    return rows.map(listedView);
  }

  async byId(trx: TeamTransaction, roundId: string): Promise<RoundView | undefined> {
    const row = await this.rounds(trx).where('r.round_id', '=', roundId).executeTakeFirst();
    return row && { ...listedView(row), gearIds: row.gear_ids, drafts: draftsOf(row.drafts), ...given('corrects', row.corrects) };
  }

  async keep(trx: TeamTransaction, actor: Actor, roundId: string, input: RoundKeep): Promise<void> {
    const { title, kind, gearIds, confirmed, drafts, begunAt, deviceId, corrects } = input;
    const told = {
      title,
      gear_ids: [...gearIds],
      confirmed: [...confirmed],
      drafts: JSON.stringify(drafts),
      heard_at: new Date(),
    };
    await trx
      .insertInto('bench_round')
      .values({
        team_id: actor.teamId,
        round_id: roundId,
        person_id: actor.personId,
        device_id: deviceId,
        kind,
        corrects: corrects ?? null,
        begun_at: new Date(begunAt),
        ...told,
      })
      .onConflict((on) => on.columns(['team_id', 'round_id']).doUpdateSet(told))
      .execute();
  }

  async hold(trx: TeamTransaction, actor: Actor, roundId: string, deviceId: string): Promise<void> {
    await trx
      .updateTable('bench_round')
      .set({ person_id: actor.personId, device_id: deviceId, heard_at: new Date() })
      .where('round_id', '=', roundId)
      .execute();
  }

  async putAway(trx: TeamTransaction, actor: Actor, roundId: string, deviceId: string): Promise<void> {
    await trx
      .deleteFrom('bench_round')
      .where('round_id', '=', roundId)
      .where('person_id', '=', actor.personId)
      .where('device_id', '=', deviceId)
      .execute();
  }
}

interface ListedRow {
  readonly round_id: string;
  readonly title: string;
  readonly kind: string;
  readonly begun_at: Date;
  readonly person_id: string;
  readonly name: string;
  readonly device_id: string;
  readonly heard_at: Date;
  readonly gear_ids: readonly string[];
  readonly confirmed: readonly string[];
}

function listedView(row: ListedRow): RoundListed {
  return {
    roundId: row.round_id,
    title: row.title,
    kind: row.kind as RoundListed['kind'],
    begunAt: row.begun_at.toISOString(),
    personId: row.person_id,
    by: row.name,
    deviceId: row.device_id,
    heardAt: row.heard_at.toISOString(),
    pieces: row.gear_ids.length,
    confirmed: row.confirmed,
  };
}

/** Drafts as they were taken in: what was answered is read by the same codec again. */
function draftsOf(stored: unknown): readonly RoundDraft[] {
  return (stored as readonly RoundDraft[]).map((draft) => ({
    ...draft,
    answers: readStored('A stored draft of a round', read(benchAnswersCodec, draft.answers)),
  }));
}
