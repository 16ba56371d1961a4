import { Injectable } from '@nestjs/common';
import type { SeasonLoad, SeasonView } from '@wainrope/contract';
import { type RawBuilder, sql } from 'kysely';
import { given } from '../database/rows.ts';
import type { TeamTransaction } from '../database/team-database.ts';

const OVERLOADS = 100;
const HARDEST = 10;

interface StandingOut {
  readonly gear_id: string;
  readonly tag: string;
  readonly name: string;
  readonly pulled_on: string;
  readonly happened_n: number;
  readonly wll_n: number | null;
  readonly overload: string;
  readonly place: string | null;
}

/** What happened between two days, counted by the database. */
@Injectable()
export class SeasonRepository {
  async counts(
    trx: TeamTransaction,
    from: string,
    to: string,
  ): Promise<Pick<SeasonView, 'pulls' | 'piecesLoaded' | 'inspections' | 'failed' | 'takenOut' | 'retired' | 'outings'>> {
    const { rows } = await sql<Record<'pulls' | 'loaded' | 'inspections' | 'failed' | 'taken_out' | 'retired' | 'outings', number>>`
      select
        (select coalesce(sum(pulls), 0)::int from (
          select coalesce(l.pull_id, l.record_id) as pull, max(l.pulls) as pulls from load_record l where ${counting(from, to)} group by 1) p) as pulls,
        (select count(distinct l.gear_id)::int from load_record l where ${counting(from, to)}) as loaded,
        (select count(*)::int from inspection where inspected_on between ${from}::date and ${to}::date and kind <> 'on-record') as inspections,
        (select count(*)::int from inspection where inspected_on between ${from}::date and ${to}::date and grade = 'D') as failed,
        (select count(*)::int from state_change where at >= ${from}::date and at < ${to}::date + 1 and to_state = 'quarantined'
          and from_state <> to_state) as taken_out,
        (select count(*)::int from state_change where at >= ${from}::date and at < ${to}::date + 1 and to_state = 'retired') as retired,
        (select count(*)::int from outing where out_at >= ${from}::date and out_at < ${to}::date + 1) as outings`.execute(trx);
    const [row] = rows;
    if (!row) throw new Error('Broken invariant: counts give one row');
    const { pulls, loaded, inspections, failed, taken_out: takenOut, retired, outings } = row;
    return { pulls, piecesLoaded: loaded, inspections, failed, takenOut, retired, outings };
  }

  async overloads(trx: TeamTransaction, from: string, to: string): Promise<SeasonLoad[]> {
    return this.standingOut(
      trx,
      sql`${counting(from, to)} and l.overload in ('inspect', 'quarantine') order by l.pulled_on desc, l.recorded_no desc limit ${OVERLOADS}`,
    );
  }

  async hardest(trx: TeamTransaction, from: string, to: string): Promise<SeasonLoad[]> {
    return this.standingOut(
      trx,
      sql`${counting(from, to)} and l.wll_n > 0 order by l.happened_n / l.wll_n desc, l.recorded_no limit ${HARDEST}`,
    );
  }

  private async standingOut(trx: TeamTransaction, which: RawBuilder<unknown>): Promise<SeasonLoad[]> {
    const { rows } = await sql<StandingOut>`
      select l.gear_id, g.tag, g.name, l.pulled_on, l.happened_n, l.wll_n, l.overload, l.place
      from load_record l join gear g on g.gear_id = l.gear_id where ${which}`.execute(trx);
    return rows.map((row) => ({
      gearId: row.gear_id,
      tag: row.tag,
      name: row.name,
      on: row.pulled_on,
      happenedN: row.happened_n,
      overload: row.overload,
      ...given('wllN', row.wll_n),
      ...given('share', row.wll_n === null || row.wll_n === 0 ? null : row.happened_n / row.wll_n),
      ...given('place', row.place),
    }));
  }
}

/** Records of a season that none corrects. */
const counting = (from: string, to: string) => sql<boolean>`
  l.pulled_on between ${from}::date and ${to}::date and not exists (select 1 from load_record c where c.corrects = l.record_id)`;
