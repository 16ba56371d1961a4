import { Injectable } from '@nestjs/common';
import type { HeldPiece, HolderKind, OutingView } from '@wainrope/contract';
import { type Insertable, sql } from 'kysely';
import { gathered, given } from '../database/rows.ts';
import type { OutingTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

const OPEN_SHOWN = 200;
const CLOSED_SHOWN = 50;

@Injectable()
export class OutingRepository {
  /** Those still out, soonest due first; then the latest that are closed. */
  async list(trx: TeamTransaction): Promise<OutingView[]> {
    const open = this.outings(trx).where('o.closed_at', 'is', null);
    const closed = this.outings(trx).where('o.closed_at', 'is not', null);
    const rows = [
      ...(await open.orderBy(sql`o.due_back_on nulls last`).orderBy('o.out_at').limit(OPEN_SHOWN).execute()),
      ...(await closed.orderBy('o.closed_at', 'desc').limit(CLOSED_SHOWN).execute()),
    ];
    const pieces = await this.pieces(
      trx,
      rows.map(({ outing_id }) => outing_id),
    );
    return rows.map((row) => ({ ...outingView(row), pieces: pieces.get(row.outing_id) ?? [] }));
  }

  /** How many should have been back before a day. */
  async lateOn(trx: TeamTransaction, day: string): Promise<number> {
    const { count } = await trx
      .selectFrom('outing')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .where('closed_at', 'is', null)
      .where('due_back_on', '<', day)
      .executeTakeFirstOrThrow();
    return Number(count);
  }

  async byId(trx: TeamTransaction, outingId: string): Promise<OutingView | undefined> {
    const row = await this.outings(trx).where('o.outing_id', '=', outingId).executeTakeFirst();
    return row && { ...outingView(row), pieces: (await this.pieces(trx, [outingId])).get(outingId) ?? [] };
  }

  /** The same, held against other changes until this transaction ends. */
  async locked(trx: TeamTransaction, outingId: string): Promise<OutingView | undefined> {
    await trx.selectFrom('outing').select('outing_id').where('outing_id', '=', outingId).forUpdate().execute();
    return this.byId(trx, outingId);
  }

  private outings(trx: TeamTransaction) {
    return trx
      .selectFrom('outing as o')
      .innerJoin('person as b', 'b.person_id', 'o.out_by')
      .leftJoin('person as p', 'p.person_id', 'o.holder_person')
      .leftJoin('vehicle as v', 'v.vehicle_id', 'o.holder_vehicle')
      .leftJoin('person as c', 'c.person_id', 'o.closed_by')
      .select([
        'o.outing_id',
        'o.name',
        'o.holder_kind',
        'o.holder_person',
        'o.holder_vehicle',
        'o.out_at',
        'b.name as out_by_name',
        'o.due_back_on',
      ])
      .select([
        'o.closed_at',
        'c.name as closed_by_name',
        'o.missing_note',
        sql<string>`coalesce(p.name, v.name, o.holder_name)`.as('holder'),
      ]);
  }

  private async pieces(trx: TeamTransaction, outingIds: readonly string[]): Promise<ReadonlyMap<string, OutingView['pieces']>> {
    const rows = await trx
      .selectFrom('outing_piece as e')
      .innerJoin('gear as g', 'g.gear_id', 'e.gear_id')
      .innerJoin('person as b', 'b.person_id', 'e.out_by')
      .leftJoin('person as r', 'r.person_id', 'e.back_by')
      .select(['e.outing_id', 'e.gear_id', 'g.tag', 'g.name', 'e.out_at', 'b.name as out_by_name', 'e.back_at', 'r.name as back_by_name'])
      .where('e.outing_id', '=', sql<string>`any(${outingIds}::uuid[])`)
      .orderBy('g.tag_key')
      .execute();
    return gathered(rows, ({ outing_id }) => outing_id, outingPiece);
  }

  async add(trx: TeamTransaction, row: Insertable<OutingTable>): Promise<void> {
    await trx.insertInto('outing').values(row).execute();
  }

  async addPieces(
    trx: TeamTransaction,
    key: { readonly teamId: string; readonly outingId: string; readonly by: string },
    gearIds: readonly string[],
  ): Promise<void> {
    if (gearIds.length === 0) return;
    await trx
      .insertInto('outing_piece')
      .values(
        gearIds.map((gear_id) => ({
          team_id: key.teamId,
          outing_id: key.outingId,
          gear_id,
          out_by: key.by,
          back_at: null,
          back_by: null,
          settled: false,
        })),
      )
      .onConflict((conflict) =>
        conflict.columns(['team_id', 'outing_id', 'gear_id']).doUpdateSet({ back_at: null, back_by: null, settled: false }),
      )
      .execute();
  }

  async countBack(trx: TeamTransaction, outingId: string, by: string, gearIds: readonly string[]): Promise<void> {
    await trx
      .updateTable('outing_piece')
      .set({ back_at: sql<Date>`wainrope_now()`, back_by: by })
      .where('outing_id', '=', outingId)
      .where('gear_id', '=', sql<string>`any(${gearIds}::uuid[])`)
      .where('back_at', 'is', null)
      .execute();
  }

  async close(trx: TeamTransaction, outingId: string, by: string, missingNote: string | null): Promise<void> {
    await trx
      .updateTable('outing')
      .set({ closed_at: sql<Date>`wainrope_now()`, closed_by: by, missing_note: missingNote })
      .where('outing_id', '=', outingId)
      .execute();
    await trx.updateTable('outing_piece').set({ settled: true }).where('outing_id', '=', outingId).where('back_at', 'is', null).execute();
  }

  /** Pieces checked out to a person and not counted back. */
  async heldBy(trx: TeamTransaction, personId: string): Promise<HeldPiece[]> {
    const rows = await trx
      .selectFrom('outing_piece as e')
      .innerJoin('outing as o', 'o.outing_id', 'e.outing_id')
      .innerJoin('gear as g', 'g.gear_id', 'e.gear_id')
      .select(['e.gear_id', 'g.tag', 'g.name', 'e.out_at'])
      .where('o.holder_person', '=', personId)
      .where('e.back_at', 'is', null)
      .where('e.settled', '=', false)
      .orderBy('g.tag')
      .execute();
    return rows.map(({ gear_id, tag, name, out_at }) => ({ gearId: gear_id, tag, name, since: out_at.toISOString().slice(0, 10) }));
  }
}

interface OutingPieceRow {
  readonly gear_id: string;
  readonly tag: string;
  readonly name: string;
  readonly out_at: Date;
  readonly out_by_name: string;
  readonly back_at: Date | null;
  readonly back_by_name: string | null;
}

const outingPiece = (row: OutingPieceRow): OutingView['pieces'][number] => ({
  gearId: row.gear_id,
  tag: row.tag,
  name: row.name,
  outAt: row.out_at.toISOString(),
  outBy: row.out_by_name,
  ...given('backAt', row.back_at?.toISOString()),
  ...given('backBy', row.back_by_name),
});

interface OutingRow {
  readonly outing_id: string;
  readonly name: string;
  readonly holder_kind: string;
  readonly holder_person: string | null;
  readonly holder_vehicle: string | null;
  readonly holder: string;
  readonly out_at: Date;
  readonly out_by_name: string;
  readonly due_back_on: string | null;
  readonly closed_at: Date | null;
  readonly closed_by_name: string | null;
  readonly missing_note: string | null;
}

function outingView(row: OutingRow): Omit<OutingView, 'pieces'> {
  return {
    outingId: row.outing_id,
    name: row.name,
    holderKind: row.holder_kind as HolderKind,
    holder: row.holder,
    outAt: row.out_at.toISOString(),
    outBy: row.out_by_name,
    ...given('holderId', row.holder_person ?? row.holder_vehicle),
    ...given('dueBackOn', row.due_back_on),
    ...given('closedAt', row.closed_at?.toISOString()),
    ...given('closedBy', row.closed_by_name),
    ...given('missingNote', row.missing_note),
  };
}
