import { Injectable } from '@nestjs/common';
import type { LifeEvent, LifeKind, LifeView } from '@wainrope/contract';
import { sql } from 'kysely';
import { given } from '../database/rows.ts';
import type { TeamTransaction } from '../database/team-database.ts';

interface LifeRow {
  readonly day: string;
  readonly key: string;
  readonly kind: LifeKind;
  readonly id: string | null;
  readonly what: string;
  readonly words: string | null;
  readonly by_person: string | null;
  readonly grade: string | null;
  readonly happened_n: number | null;
  readonly wll_n: number | null;
  readonly overload: string | null;
  readonly spool_state: LifeEvent['spoolState'] | null;
  readonly until: string | null;
  readonly corrected: boolean;
}

/** Where a page begins: behind an event of a day. */
export interface Behind {
  readonly on: string;
  readonly key: string;
}

/** Everything that happened to a piece, from every table that tells of it, in one order. */
@Injectable()
export class LifeRepository {
  /** Newest first, behind an event where one is named. */
  async page(trx: TeamTransaction, gearId: string, limit: number, behind?: Behind): Promise<LifeView> {
    const { rows } = await sql<LifeRow>`
      select e.* , e.day::text as day, e.until::text as until from (
        select i.inspected_on as day, 'i' || lpad(i.recorded_no::text, 12, '0') as key, 'inspection' as kind, i.inspection_id::text as id,
          i.kind as what, i.note as words, coalesce(i.inspector, p.name) as by_person, i.grade, null::float8 as happened_n, null::float8 as wll_n,
          null::text as overload, null::text as spool_state, null::date as until,
          exists (select 1 from inspection c where c.corrects = i.inspection_id) as corrected
        from inspection i join person p on p.person_id = i.recorded_by where i.gear_id = ${gearId}
        union all
        select l.pulled_on, 'l' || lpad(l.recorded_no::text, 12, '0'), 'load', l.series_id::text, l.known, coalesce(l.place, l.note), p.name, null,
          l.happened_n, l.wll_n, l.overload, null, null, exists (select 1 from load_record c where c.corrects = l.record_id)
        from load_record l join person p on p.person_id = l.recorded_by where l.gear_id = ${gearId}
        union all
        select x.met_on, 'm' || x.exposure_id::text, 'met', null, x.kind, x.note, p.name, null, null, null, null, null, null, false
        from exposure x join person p on p.person_id = x.noted_by where x.gear_id = ${gearId}
        union all
        select d.done_on, 'd' || lpad(d.recorded_no::text, 12, '0'), 'done', null, d.kind, d.note, p.name, null, null, null, null, d.spool_state, null, false
        from diary_entry d join person p on p.person_id = d.recorded_by where d.gear_id = ${gearId}
        union all
        select s.at::date, 's' || lpad(s.change_no::text, 12, '0'), 'state', s.inspection_id::text, s.to_state, s.reason, p.name, null, null, null,
          null, null, null, false
        from state_change s join person p on p.person_id = s.changed_by where s.gear_id = ${gearId}
        union all
        select n.happened_on, 'n' || n.incident_id::text, 'incident', n.incident_id::text, n.kind, n.words, p.name, null, null, null, null, null, null,
          exists (select 1 from incident c where c.corrects = n.incident_id)
        from incident_piece e join incident n on n.incident_id = e.incident_id join person p on p.person_id = n.recorded_by
        where e.gear_id = ${gearId}
        union all
        select e.out_at::date, 'o' || e.outing_id::text, 'out', e.outing_id::text, coalesce(h.name, v.name, o.holder_name), o.name, p.name, null,
          null, null, null, null, e.back_at::date, false
        from outing_piece e join outing o on o.outing_id = e.outing_id join person p on p.person_id = e.out_by
          left join person h on h.person_id = o.holder_person left join vehicle v on v.vehicle_id = o.holder_vehicle
        where e.gear_id = ${gearId}) e
      where ${behind ? sql<boolean>`(e.day, e.key) < (${behind.on}::date, ${behind.key})` : sql<boolean>`true`}
      order by e.day desc, e.key desc limit ${limit + 1}`.execute(trx);
    const shown = rows.slice(0, limit);
    const last = shown.at(-1);
    return { items: shown.map(lifeEvent), ...(rows.length > limit && last && { next: `${last.day} ${last.key}` }) };
  }
}

function lifeEvent(row: LifeRow): LifeEvent {
  return {
    key: row.key,
    on: row.day,
    kind: row.kind,
    what: row.what,
    isCorrected: row.corrected,
    ...given('id', row.id),
    ...given('words', row.words),
    ...given('by', row.by_person),
    ...given('grade', row.grade),
    ...given('happenedN', row.happened_n),
    ...given('wllN', row.wll_n),
    ...given('overload', row.overload),
    ...given('spoolState', row.spool_state),
    ...given('until', row.until),
  };
}
