import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  type Cells,
  type ColumnChoice,
  exportColumns,
  type GearView,
  type ImportCommit,
  type ImportFault,
  type ImportPreview,
  type ImportRequest,
  type ImportResult,
  type ImportRowView,
  type RegisterRow,
  readRegisterRow,
  registerColumns,
  writeRegisterRow,
} from '@wainrope/contract';
import { basisWords, canonicalJson, force, formatFigure, type Mark } from '@wainrope/core';
import { stringify } from 'csv-stringify/sync';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { invalid } from '../http/problem.ts';
import { TeamRepository, type Whereabouts } from '../team/team.repository.ts';
import { GearRepository } from './gear.repository.ts';
import { columnsOf, factsChange, gearName, told } from './gear.service.ts';
import { gearInputOf, mergeRegisterRow, registerRowOf, rowChanges } from './merge-register-row.ts';
import { type RegisterFile, readRegisterFile, recogniseColumns } from './register-file.ts';

interface PlannedRow {
  readonly view: ImportRowView;
  readonly row?: RegisterRow;
  readonly before?: GearView;
  readonly inspectionIsNew?: boolean;
}

interface Reading {
  readonly file: RegisterFile;
  readonly columns: readonly ColumnChoice[];
  readonly planned: readonly PlannedRow[];
}

@Injectable()
export class RegisterImportService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: GearRepository,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
  ) {}

  /** Reads a file and says, row by row, what bringing it in would do. Writes nothing. */
  async preview(actor: Actor, request: ImportRequest): Promise<ImportPreview> {
    const { file, columns, planned } = await this.database.inTeam(actor.teamId, (trx) => this.read(trx, request));
    return { encoding: file.encoding, separator: file.separator, columns, rows: planned.map(({ view }) => view) };
  }

  /** Brings the chosen rows in, all in one transaction or none. A chosen row with faults refuses the whole. */
  async commit(actor: Actor, request: ImportCommit): Promise<ImportResult> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const { planned } = await this.read(trx, request);
      const wanted = new Set(request.rows);
      const chosen = planned.filter(({ view }) => wanted.has(view.row));
      const faulty = chosen.filter(({ row }) => row === undefined);
      if (faulty.length > 0)
        throw invalid(
          faulty.flatMap(({ view }) => view.faults.map(({ column, message }) => ({ path: `rows[${view.row}].${column}`, message }))),
          'Some chosen rows have faults; nothing was brought in.',
        );
      if (chosen.length !== wanted.size) throw invalid([{ path: 'rows', message: 'A chosen row is not in this file.' }]);
      return this.store(trx, actor, chosen);
    });
  }

  async exportCsv(actor: Actor): Promise<string> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const whereabouts = await this.teams.whereabouts(trx);
      const rows = (await this.repository.all(trx)).map((gear) => writeRegisterRow(registerRowOf(gear, whereabouts)));
      const used = exportColumns
        .map(({ key }) => key)
        .filter((key) => ['tag', 'class', 'name'].includes(key) || rows.some((row) => row[key] !== undefined));
      return stringify(
        rows.map((row) => used.map((key) => row[key] ?? '')),
        { header: true, columns: used },
      );
    });
  }

  private async read(trx: TeamTransaction, { contentBase64, columns: chosen }: ImportRequest): Promise<Reading> {
    const outcome = readRegisterFile(Buffer.from(contentBase64, 'base64'));
    if (!outcome.ok) throw invalid([{ path: 'contentBase64', message: outcome.message }], outcome.message);
    const { file } = outcome;
    const columns = chosen ?? recogniseColumns(file.headings);
    this.checkColumns(file, columns);
    const team = await this.teams.team(trx);
    const whereabouts = await this.teams.whereabouts(trx);
    const existing = new Map((await this.repository.all(trx)).map((gear) => [gear.tag.toLowerCase(), gear]));
    const units = Object.fromEntries(columns.flatMap(({ column, unit }) => (column && unit ? [[column, unit]] : [])));
    const seen = new Map<string, number>();
    const tonOfMaker = await this.repository.tonOfMaker(trx);
    const planned = file.rows.map(({ line, cells }) => {
      const named = Object.fromEntries(columns.flatMap(({ column }, index) => (column ? [[column, cells[index] ?? '']] : [])));
      if (cells.every((cell) => cell.trim() === '')) return { view: emptyRow(line) };
      return planRow({
        line,
        cells: named,
        surplus: cells.length - file.headings.length,
        settings: { decimal: team.decimal_mark, units, tonOfMaker },
        existing,
        whereabouts,
        seen,
      });
    });
    return { file, columns, planned };
  }

  private checkColumns(file: RegisterFile, columns: readonly ColumnChoice[]): void {
    const known = new Set(registerColumns.map(({ key }) => key));
    if (columns.length !== file.headings.length)
      throw invalid([{ path: 'columns', message: `The file has ${file.headings.length} columns, ${columns.length} were described.` }]);
    const faults = columns.flatMap(({ column }, index) => {
      if (column === undefined) return [];
      if (!known.has(column)) return [{ path: `columns[${index}].column`, message: `“${column}” is not a column of the register.` }];
      const twice = columns.findIndex((other) => other.column === column) < index;
      return twice ? [{ path: `columns[${index}].column`, message: `Two columns are taken for “${column}”; leave one out.` }] : [];
    });
    if (faults.length > 0) throw invalid(faults);
  }

  private async store(trx: TeamTransaction, actor: Actor, chosen: readonly PlannedRow[]): Promise<ImportResult> {
    const kits = await this.kitIds(trx, actor, chosen);
    const vehicles = new Map((await this.teams.vehicles(trx)).map(({ vehicle_id, name }) => [name.toLowerCase(), vehicle_id]));
    const pieces = chosen.flatMap(({ row, before, view, inspectionIsNew }) => {
      if (!row) return [];
      const input = gearInputOf(row, row.kit && kits.get(row.kit.toLowerCase()), row.vehicle && vehicles.get(row.vehicle.toLowerCase()));
      return [{ gearId: before?.gearId ?? randomUUID(), input, row, before, outcome: view.outcome, inspectionIsNew }];
    });
    const fresh = pieces.filter(({ outcome }) => outcome === 'new');
    await this.repository.insert(
      trx,
      actor,
      fresh.map(({ gearId, input }) => ({ gearId, columns: columnsOf({ ...input, marks: [] }), marks: input.marks })),
    );
    const changed = pieces.filter(({ outcome }) => outcome === 'changed');
    for (const { gearId, input, before } of changed) {
      const after = { ...(before as GearView), ...input, marks: input.marks.map((mark) => ({ ...mark, readings: [...mark.readings] })) };
      await this.repository.replace(trx, actor, {
        gearId,
        columns: columnsOf({ ...input, marks: [] }),
        marks: input.marks,
        factsChanged: factsChange(before as GearView, after),
      });
    }
    const inspections = pieces.flatMap(({ gearId, row, inspectionIsNew }) =>
      inspectionIsNew && row.inspection ? [{ gearId, ...row.inspection }] : [],
    );
    await this.repository.addInspections(trx, actor, inspections);
    await this.noteImport(trx, actor, [...fresh, ...changed]);
    return {
      created: fresh.length,
      changed: changed.length,
      unchanged: pieces.length - fresh.length - changed.length,
      inspections: inspections.length,
    };
  }

  private async noteImport(
    trx: TeamTransaction,
    actor: Actor,
    pieces: readonly { readonly gearId: string; readonly before: GearView | undefined }[],
  ): Promise<void> {
    const ids = pieces.map(({ gearId }) => gearId);
    const stored = new Map((await this.repository.byIds(trx, ids)).map((piece) => [piece.gearId, piece]));
    const places = await this.teams.whereabouts(trx);
    const acts = pieces.flatMap(({ gearId, before }) => {
      const after = stored.get(gearId);
      if (!after) return [];
      const action = before ? 'changed a piece from a file' : 'added a piece from a file';
      return [
        {
          action,
          kind: 'gear' as const,
          id: gearId,
          name: gearName(after),
          before: before && told(before, places),
          after: told(after, places),
        },
      ];
    });
    await this.audit.noteAll(trx, actor, acts);
  }

  /** Ids of the kits that rows name; kits not yet known are added. */
  private async kitIds(trx: TeamTransaction, actor: Actor, chosen: readonly PlannedRow[]): Promise<ReadonlyMap<string, string>> {
    const known = new Map((await this.teams.kits(trx)).map(({ kit_id, name }) => [name.toLowerCase(), kit_id]));
    for (const { row } of chosen) {
      const name = row?.kit;
      if (name !== undefined && !known.has(name.toLowerCase()))
        known.set(name.toLowerCase(), await this.teams.addKit(trx, actor.teamId, name));
    }
    return known;
  }
}

function emptyRow(row: number): ImportRowView {
  return { row, outcome: 'empty', changes: [], faults: [], understood: [] };
}

interface RowInput {
  readonly line: number;
  readonly cells: Cells;
  readonly surplus: number;
  readonly settings: Parameters<typeof readRegisterRow>[1];
  readonly existing: ReadonlyMap<string, GearView>;
  readonly whereabouts: Whereabouts;
  readonly seen: Map<string, number>;
}

function planRow(input: RowInput): PlannedRow {
  const { line, cells, settings, existing, whereabouts } = input;
  const { row, faults: found } = readRegisterRow(cells, settings);
  const faults = [...found, ...fileFaults(input, row)];
  const tag = cells.tag?.trim();
  const name = row?.name ?? cells.name;
  const head = { row: line, ...(tag && { tag }), ...(name && { name }), ...(row && { kind: row.kind }) };
  if (!row || faults.length > 0) return { view: { ...head, outcome: 'faulty', changes: [], faults, understood: [] } };
  const before = existing.get(row.tag.toLowerCase());
  const understood = row.marks.map(markWords);
  if (!before)
    return { row, inspectionIsNew: row.inspection !== undefined, view: { ...head, outcome: 'new', changes: [], faults: [], understood } };
  const old = registerRowOf(before, whereabouts);
  const merged = mergeRegisterRow(old, row, cells);
  if (merged.state !== old.state) {
    const message = `${merged.tag} is ${old.state} in the register. Its state changes by an inspection, by quarantine or by retiring it; empty this cell to leave it.`;
    return { view: { ...head, outcome: 'faulty', changes: [], faults: [{ column: 'state', message }], understood: [] } };
  }
  const changes = [...rowChanges(old, merged)];
  const inspectionIsNew = merged.inspection !== undefined && canonicalJson(old.inspection) !== canonicalJson(merged.inspection);
  return {
    row: merged,
    before,
    inspectionIsNew,
    view: { ...head, outcome: changes.length > 0 ? 'changed' : 'unchanged', changes, faults: [], understood },
  };
}

/** What is wrong with a row in this file and this register, beyond its own cells. */
function fileFaults({ line, cells, surplus, whereabouts, seen }: RowInput, row: RegisterRow | undefined): readonly ImportFault[] {
  const faults: ImportFault[] = [];
  const key = (cells.tag ?? '').trim().toLowerCase();
  const earlier = seen.get(key);
  if (key !== '' && earlier !== undefined)
    faults.push({ column: 'tag', message: `The tag stands already on line ${earlier}; one of the two must go.` });
  if (key !== '' && earlier === undefined) seen.set(key, line);
  if (surplus > 0) faults.push({ column: 'tag', message: `The row has ${surplus} more cells than there are headings.` });
  const known = [...whereabouts.vehicleNames.values()];
  const vehicle = row?.vehicle?.toLowerCase();
  if (vehicle !== undefined && !known.some((name) => name.toLowerCase() === vehicle))
    faults.push({ column: 'vehicle', message: `No vehicle is called “${row?.vehicle}”; known are ${known.join(', ') || 'none'}.` });
  return faults;
}

/** A mark as understood, and what is unclear about it. */
function markWords({ asWritten, basis, readings, settingDecided }: Mark): string {
  const values = readings.map(({ forceN }) => formatFigure(force(forceN)));
  const size = values.length === 1 ? values[0] : `${values[0]} to ${values.at(-1)}, the ton is not stated`;
  return `“${asWritten}”: ${size}, ${basisWords[basis]}${settingDecided ? ', thousands or decimals by the team’s setting' : ''}`;
}
