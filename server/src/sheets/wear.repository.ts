import { Injectable } from '@nestjs/common';
import {
  type GearClass,
  type InspectionAnswers,
  inspectionAnswersCodec,
  inspectionSheetCodec,
  type Measured,
  read,
  standardSheets,
  type WearForecast,
} from '@wainrope/core';
import { sql } from 'kysely';
import { readStored } from '../database/read-stored.ts';
import { gathered } from '../database/rows.ts';
import type { TeamTransaction } from '../database/team-database.ts';

/** A piece as far as its wear goes. */
export interface WearingPiece {
  readonly gearId: string;
  readonly kind: GearClass;
  readonly attributes: { readonly [key: string]: unknown };
  readonly forecast?: WearForecast;
}

/** An inspection that measured something, and whose it is. */
export interface MeasuredOf extends Measured {
  readonly inspectionId: string;
  readonly by: string;
}

interface MeasuredRow {
  readonly gear_id: string;
  readonly kind: string;
  readonly inspection_id: string;
  readonly inspected_on: string;
  readonly sheet: unknown;
  readonly answers: unknown;
  readonly by_name: string;
  readonly pulls: number | null;
}

/** Measures of pieces over all their inspections, and what is forecast of them. */
@Injectable()
export class WearRepository {
  /** Pieces in one order; where they are held, until this transaction ends. */
  async pieces(trx: TeamTransaction, gearIds: readonly string[], { hold = false } = {}): Promise<readonly WearingPiece[]> {
    const query = trx
      .selectFrom('gear')
      .select(['gear_id', 'kind', 'attributes', 'wear_meets_on', 'wear_measure'])
      .where('gear_id', '=', sql<string>`any(${gearIds}::uuid[])`)
      .orderBy('gear_id');
    const rows = await (hold ? query.forNoKeyUpdate() : query).execute();
    return rows.map(({ gear_id, kind, attributes, wear_meets_on, wear_measure }) => ({
      gearId: gear_id,
      kind: kind as GearClass,
      attributes: attributes as WearingPiece['attributes'],
      ...(wear_meets_on !== null && wear_measure !== null && { forecast: { on: wear_meets_on, measure: wear_measure } }),
    }));
  }

  /** Pieces of a class that were ever measured. */
  async measuredOfKind(trx: TeamTransaction, kind: GearClass): Promise<readonly string[]> {
    const rows = await trx
      .selectFrom('gear as g')
      .select('g.gear_id')
      .where('g.kind', '=', kind)
      .where(({ exists, selectFrom }) =>
        exists(selectFrom('inspection as i').select('i.inspection_id').whereRef('i.gear_id', '=', 'g.gear_id').where(hasMeasured)),
      )
      .execute();
    return rows.map(({ gear_id }) => gear_id);
  }

  /** Pieces of the whole team that were ever measured. */
  async measured(trx: TeamTransaction): Promise<readonly string[]> {
    const rows = await trx.selectFrom('inspection as i').select('i.gear_id').distinct().where(hasMeasured).execute();
    return rows.map(({ gear_id }) => gear_id);
  }

  /** What the inspections of pieces measured that none corrects, oldest first, with the pulls that each piece had made by then. */
  async inspections(trx: TeamTransaction, gearIds: readonly string[]): Promise<ReadonlyMap<string, MeasuredOf[]>> {
    const { rows } = await sql<MeasuredRow>`
      select i.gear_id, g.kind, i.inspection_id, i.inspected_on, i.sheet, i.answers, p.name as by_name,
        case when exists (select 1 from load_record l where l.gear_id = i.gear_id)
          then (select coalesce(sum(l.pulls), 0)::int from load_record l where l.gear_id = i.gear_id and l.pulled_on <= i.inspected_on
            and not exists (select 1 from load_record c where c.corrects = l.record_id)) end as pulls
      from inspection i join gear g on g.gear_id = i.gear_id join person p on p.person_id = i.recorded_by
      where i.gear_id = any(${gearIds}::uuid[]) and ${hasMeasured}
        and not exists (select 1 from inspection c where c.corrects = i.inspection_id)
      order by i.inspected_on, i.done_at, i.recorded_no`.execute(trx);
    return gathered(rows, ({ gear_id }) => gear_id, measuredOf);
  }

  /** Keeps forecasts; `isJudged` where what they say of a piece may be judged otherwise from now on. */
  async keep(
    trx: TeamTransaction,
    forecasts: readonly { readonly gearId: string; readonly forecast?: WearForecast | undefined }[],
    isJudged: boolean,
  ): Promise<void> {
    if (forecasts.length === 0) return;
    await sql`
      update gear set wear_meets_on = f.meets_on, wear_measure = f.measure, facts_revision = facts_revision + ${isJudged ? 1 : 0}
      from unnest(${forecasts.map(({ gearId }) => gearId)}::uuid[], ${forecasts.map(({ forecast }) => forecast?.on ?? null)}::date[],
        ${forecasts.map(({ forecast }) => forecast?.measure ?? null)}::text[]) as f (gear_id, meets_on, measure)
      where gear.gear_id = f.gear_id`.execute(trx);
  }
}

const hasMeasured = sql<boolean>`i.answers is not null and i.answers -> 'measures' <> '{}'::jsonb`;

function measuredOf({ kind, inspection_id, inspected_on, sheet, answers, by_name, pulls }: MeasuredRow): MeasuredOf {
  const { measures }: InspectionAnswers = readStored('Stored answers', read(inspectionAnswersCodec, answers));
  return {
    inspectionId: inspection_id,
    on: inspected_on,
    by: by_name,
    sheet: sheet === null ? standardSheets[kind as GearClass] : readStored('A stored sheet', read(inspectionSheetCodec, sheet)),
    measures,
    ...(pulls !== null && { pulls }),
  };
}
