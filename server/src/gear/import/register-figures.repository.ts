import { Injectable } from '@nestjs/common';
import { plainDecimal } from '@wainrope/contract';
import type { SheetMeasure } from '@wainrope/core';
import { sql } from 'kysely';
import { gathered } from '../../database/rows.ts';
import type { TeamTransaction } from '../../database/team-database.ts';

/** What the register's file tells beside what it reads: counters and last figures. Reading a file passes them over. */
export const figureColumns = ['pulls_logged', 'last_load_n', 'last_load_on', 'hardest_share_of_limit', 'last_measured'] as const;
export type RegisterFigures = { readonly [C in (typeof figureColumns)[number]]?: string };

interface LoadFigures {
  readonly gear_id: string;
  readonly pulls: number;
  readonly happened_n: number;
  readonly pulled_on: string;
  readonly hardest: number | null;
}

interface LastMeasured {
  readonly gear_id: string;
  readonly value: number;
  readonly inspected_on: string;
  readonly measure: SheetMeasure | null;
}

/** Units of a measure as the file writes them. */
const UNITS: { readonly [Q in SheetMeasure['quantity']]: string } = {
  length: ' m',
  'small-length': ' m',
  'angle-deg': '°',
  count: '',
  share: '',
};

/** The figures of pieces, each in two statements however many there are. */
@Injectable()
export class RegisterFiguresRepository {
  async of(trx: TeamTransaction, gearIds: readonly string[]): Promise<ReadonlyMap<string, RegisterFigures>> {
    const loadOf = new Map((await this.loads(trx, gearIds)).map((row) => [row.gear_id, row]));
    const measuredOf = gathered(await this.measured(trx, gearIds), ({ gear_id }) => gear_id, measuredWords);
    return new Map(gearIds.map((gearId) => [gearId, figuresOf(loadOf.get(gearId), measuredOf.get(gearId))]));
  }

  private async loads(trx: TeamTransaction, gearIds: readonly string[]): Promise<readonly LoadFigures[]> {
    const { rows } = await sql<LoadFigures>`
    select t.gear_id, t.pulls, t.hardest, l.happened_n, l.pulled_on from (
        select gear_id, sum(pulls)::int as pulls, max(happened_n / nullif(wll_n, 0)) as hardest from load_record c
        where gear_id = any(${gearIds}::uuid[]) and not exists (select 1 from load_record x where x.corrects = c.record_id) group by gear_id) t
      cross join lateral (
        select n.happened_n, n.pulled_on from load_record n where n.gear_id = t.gear_id
          and not exists (select 1 from load_record x where x.corrects = n.record_id)
        order by n.pulled_on desc, n.recorded_no desc limit 1) l`.execute(trx);
    return rows;
  }

  private async measured(trx: TeamTransaction, gearIds: readonly string[]): Promise<readonly LastMeasured[]> {
    const { rows } = await sql<LastMeasured>`
    select distinct on (i.gear_id, m.key) i.gear_id, (m.value ->> 'value')::float8 as value, i.inspected_on,
        jsonb_path_query_first(i.sheet, '$.measures[*] ? (@.id == $id)', jsonb_build_object('id', m.key)) as measure
      from inspection i cross join lateral jsonb_each(i.answers -> 'measures') m
      where i.gear_id = any(${gearIds}::uuid[]) and i.answers is not null
        and not exists (select 1 from inspection c where c.corrects = i.inspection_id)
      order by i.gear_id, m.key, i.inspected_on desc, i.done_at desc`.execute(trx);
    return rows;
  }
}

function figuresOf(load: LoadFigures | undefined, measures: readonly string[] = []): RegisterFigures {
  const known = measures.filter((words) => words !== '');
  return {
    ...(load && { pulls_logged: String(load.pulls), last_load_n: plainDecimal(load.happened_n), last_load_on: load.pulled_on }),
    ...(load && load.hardest !== null && { hardest_share_of_limit: plainDecimal(load.hardest) }),
    ...(known.length > 0 && { last_measured: known.join('; ') }),
  };
}

const measuredWords = ({ measure, value, inspected_on }: LastMeasured): string =>
  measure === null ? '' : `${measure.label}: ${plainDecimal(value)}${UNITS[measure.quantity]} on ${inspected_on}`;
