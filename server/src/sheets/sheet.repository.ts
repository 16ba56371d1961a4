import { Injectable } from '@nestjs/common';
import type { SheetView } from '@wainrope/contract';
import { type GearClass, gearClassNames, type InspectionSheet, inspectionSheetCodec, read, standardSheets } from '@wainrope/core';
import { sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { readStored } from '../database/read-stored.ts';
import type { TeamTransaction } from '../database/team-database.ts';

interface VersionRow {
  readonly kind: string;
  readonly version_no: number;
  readonly sheet: unknown;
  readonly reason: string;
  readonly saved_at: Date;
  readonly name: string;
}

/** A team's own inspection sheets; a class without one has the standard sheet, version 0. */
@Injectable()
export class SheetRepository {
  async inForce(trx: TeamTransaction): Promise<SheetView[]> {
    const { rows } = await sql<VersionRow>`
      select distinct on (s.kind) s.kind, s.version_no, s.sheet, s.reason, s.saved_at, p.name from sheet_version s
      join person p on p.person_id = s.saved_by order by s.kind, s.version_no desc`.execute(trx);
    const own = new Map(rows.map((row) => [row.kind, row]));
    return gearClassNames.map((kind) => sheetView(kind, own.get(kind)));
  }

  async inForceFor(trx: TeamTransaction, kind: GearClass): Promise<SheetView> {
    const found = (await this.inForce(trx)).find((sheet) => sheet.kind === kind);
    if (!found) throw new Error(`Broken invariant: no sheet for ${kind}`);
    return found;
  }

  /** A version as it stood; an inspection keeps the one it was made with. */
  async version(trx: TeamTransaction, kind: GearClass, version: number): Promise<InspectionSheet | undefined> {
    if (version === 0) return standardSheets[kind];
    const row = await trx
      .selectFrom('sheet_version')
      .select('sheet')
      .where('kind', '=', kind)
      .where('version_no', '=', version)
      .executeTakeFirst();
    return row && readSheet(row.sheet);
  }

  async add(
    trx: TeamTransaction,
    actor: Actor,
    entry: { readonly kind: GearClass; readonly version: number; readonly sheet: InspectionSheet; readonly reason: string },
  ): Promise<void> {
    await trx
      .insertInto('sheet_version')
      .values({
        team_id: actor.teamId,
        kind: entry.kind,
        version_no: entry.version,
        sheet: JSON.stringify(entry.sheet),
        reason: entry.reason,
        saved_by: actor.personId,
      })
      .execute();
  }
}

const readSheet = (stored: unknown): InspectionSheet => readStored('A stored sheet', read(inspectionSheetCodec, stored));

function sheetView(kind: GearClass, row: VersionRow | undefined): SheetView {
  if (!row) return { kind, version: 0, sheet: standardSheets[kind] };
  return {
    kind,
    version: row.version_no,
    sheet: readSheet(row.sheet),
    reason: row.reason,
    savedBy: row.name,
    savedAt: row.saved_at.toISOString(),
  };
}
