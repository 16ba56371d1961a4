import { randomUUID } from 'node:crypto';
import { setImmediate as others } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import {
  exportColumns,
  type GearView,
  guardCell,
  type ImportCommit,
  type ImportRequest,
  type ImportResult,
  meaningKey,
  plainWord,
  type WordMeaning,
  writeRegisterRow,
} from '@wainrope/contract';
import { canonicalJson, gearClassNames, gearStates, grades } from '@wainrope/core';
import { stringify } from 'csv-stringify/sync';
import type { Actor } from '../../actor/actor.ts';
import { AuditTrail } from '../../audit/audit-trail.ts';
import { Clock } from '../../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../../database/team-database.ts';
import { conflict, type FieldFault, invalid } from '../../http/problem.ts';
import { Forecasts } from '../../sheets/forecasts.ts';
import { TeamRepository } from '../../team/team.repository.ts';
import { type Asked, Tasks } from '../../threads/tasks.ts';
import { type Run, threadFile, WorkerPool } from '../../threads/worker-pool.ts';
import { GearRepository } from '../gear.repository.ts';
import { columnsOf, factsChange, gearName, told } from '../gear.service.ts';
import type { CompareInput, PlannedRow } from './compare-register.ts';
import { FileWordRepository } from './file-word.repository.ts';
import { gearInputOf, registerRowOf } from './merge-register-row.ts';
import type { PreviewInput } from './preview-register.worker.ts';
import type { ReadInput, ReadOutcome, ReadRegister } from './read-register.ts';
import { figureColumns, RegisterFiguresRepository } from './register-figures.repository.ts';
import { RegisterImportRepository } from './register-import.repository.ts';

const READ = threadFile<ReadInput, ReadOutcome>(import.meta.url, './read-register.worker');
const COMPARE = threadFile<CompareInput, readonly PlannedRow[]>(import.meta.url, './compare-register.worker');
const PREVIEW = threadFile<PreviewInput, Uint8Array>(import.meta.url, './preview-register.worker');

type WrittenRow = { readonly [column: string]: string | undefined };

/** Pieces that are read or written before others are answered. */
const AT_ONCE = 200;

/** So often rows are held against the register again because it changed meanwhile. */
const ATTEMPTS = 4;

interface Compared {
  readonly against: Omit<CompareInput, 'lines'>;
  readonly planned: readonly PlannedRow[];
}

/** Register files: read and held against the register on threads, so that whoever else asks something does not wait. */
@Injectable()
export class RegisterImportService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: GearRepository,
    private readonly teams: TeamRepository,
    private readonly figures: RegisterFiguresRepository,
    private readonly imports: RegisterImportRepository,
    private readonly words: FileWordRepository,
    private readonly clock: Clock,
    private readonly forecasts: Forecasts,
    private readonly audit: AuditTrail,
    private readonly pool: WorkerPool,
    private readonly tasks: Tasks,
  ) {}

  /** Reads a file and says, row by row, what bringing it in would do: an `ImportPreview`, written. Saves nothing. */
  async preview(actor: Actor, request: ImportRequest, asked: Asked = {}): Promise<Uint8Array> {
    return this.tasks.follow(actor, `Reading ${request.fileName}`, asked, async (run) => {
      const file = await this.read(actor, request, half(run, 0));
      const { encoding, separator, headingLine, columns, dayOrder, lines } = file;
      const against = await this.database.inTeam(actor.teamId, (trx) => this.against(trx, file));
      const head = { encoding, separator, headingLine, columns: [...columns], ...(dayOrder && { dayOrder }) };
      return this.pool.run(PREVIEW, { head, lines, ...against }, half(run, 1));
    });
  }

  /** Brings the chosen rows in, all in one transaction or none. A chosen row with faults refuses the whole. */
  async commit(actor: Actor, request: ImportCommit, asked: Asked = {}): Promise<ImportResult> {
    return this.tasks.follow(actor, `Bringing in ${request.fileName}`, asked, async (run) => {
      const file = await this.read(actor, request, half(run, 0));
      let compared = await this.compared(actor, file, half(run, 1));
      for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
        const { against, planned } = compared;
        const chosen = chosenRows(planned, request.rows);
        const result = await this.database.inTeam(actor.teamId, async (trx) => {
          await this.repository.lock(
            trx,
            against.existing.map(({ gearId }) => gearId),
          );
          const now = await this.against(trx, file);
          return canonicalJson(rowVersions(now)) === canonicalJson(rowVersions(against))
            ? this.store(trx, actor, chosen, request.meanings ?? [])
            : undefined;
        });
        if (result) return result;
        compared = await this.compared(actor, file, half(run, 1));
      }
      throw conflict('The register changes faster than this file can be brought in. Nothing was saved; try again in a moment.', undefined);
    });
  }

  async exportCsv(actor: Actor): Promise<string> {
    const rows = await this.database.inTeamAtOneMoment(actor.teamId, (trx) => this.written(trx));
    const used = [...exportColumns.map(({ key }) => key), ...figureColumns].filter(
      (key) => ['tag', 'class', 'name'].includes(key) || rows.some((row) => row[key] !== undefined),
    );
    let text = stringify([used]);
    for (let first = 0; first < rows.length; first += AT_ONCE) {
      const some = rows.slice(first, first + AT_ONCE);
      text += stringify(some.map((row) => used.map((key) => guardCell(row[key] ?? ''))));
      await others();
    }
    return text;
  }

  /** The whole register as rows of a file, read a part at a time, so that others are answered between. */
  private async written(trx: TeamTransaction): Promise<readonly WrittenRow[]> {
    const whereabouts = await this.teams.whereabouts(trx);
    const rows: WrittenRow[] = [];
    for (let after: string | undefined; ; ) {
      const part = await this.repository.page(trx, { limit: AT_ONCE, ...(after !== undefined && { after }) });
      const figures = await this.figures.of(
        trx,
        part.map(({ gearId }) => gearId),
      );
      rows.push(...part.map((gear) => ({ ...writeRegisterRow(registerRowOf(gear, whereabouts)), ...figures.get(gear.gearId) })));
      if (part.length < AT_ONCE) return rows;
      after = part.at(-1)?.tag;
    }
  }

  private async read(
    actor: Actor,
    { contentBase64, columns, encoding, dayOrder, meanings = [], mends }: ImportRequest,
    run: Run,
  ): Promise<ReadRegister> {
    const unknown = meaningFaults(meanings);
    if (unknown.length > 0) throw invalid(unknown);
    const settings = await this.database.inTeam(actor.teamId, async (trx) => ({
      decimal: (await this.teams.team(trx)).decimal_mark,
      tonOfMaker: await this.repository.tonOfMaker(trx),
      meanings: [...(await this.words.all(trx)), ...meanings],
    }));
    const outcome = await this.pool.run(READ, { contentBase64, columns, encoding, dayOrder, mends, ...settings }, run);
    if (!outcome.ok) throw invalid(outcome.faults, outcome.message);
    return outcome.register;
  }

  private async compared(actor: Actor, file: ReadRegister, run: Run): Promise<Compared> {
    const against = await this.database.inTeam(actor.teamId, (trx) => this.against(trx, file));
    return { against, planned: await this.pool.run(COMPARE, { lines: file.lines, ...against }, run) };
  }

  /** What rows of a file are held against: the pieces that have their tags, and where pieces may be. */
  private async against(trx: TeamTransaction, { tags, makesTags }: ReadRegister): Promise<Omit<CompareInput, 'lines'>> {
    return {
      existing: await this.repository.byTags(trx, tags),
      taken: makesTags ? await this.imports.everyTag(trx) : [],
      whereabouts: await this.teams.whereabouts(trx),
      today: this.clock.today(),
    };
  }

  private async store(
    trx: TeamTransaction,
    actor: Actor,
    chosen: readonly PlannedRow[],
    meanings: readonly WordMeaning[],
  ): Promise<ImportResult> {
    const kits = await this.kitIds(trx, actor, chosen);
    const vehicles = new Map((await this.teams.vehicles(trx)).map(({ vehicle_id, name }) => [name.toLowerCase(), vehicle_id]));
    const pieces = chosen.flatMap(({ pieces: planned, view }) =>
      planned.map(({ row, before, inspectionIsNew }) => {
        const input = gearInputOf(row, row.kit && kits.get(row.kit.toLowerCase()), row.vehicle && vehicles.get(row.vehicle.toLowerCase()));
        const outcome = before === undefined ? 'new' : view.outcome;
        return { gearId: before?.gearId ?? randomUUID(), input, row, before, outcome, inspectionIsNew };
      }),
    );
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
    await this.imports.addInspections(trx, actor, inspections);
    await this.forecasts.renew(
      trx,
      changed.map(({ gearId }) => gearId),
    );
    await this.noteImport(trx, actor, [...fresh, ...changed]);
    await this.words.remember(trx, actor, oncePerWord(meanings));
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
    for (const { row } of chosen.flatMap(({ pieces }) => pieces)) {
      const name = row.kit;
      if (name === undefined || known.has(name.toLowerCase())) continue;
      const kitId = await this.teams.addKit(trx, actor.teamId, name);
      known.set(name.toLowerCase(), kitId);
      await this.audit.note(trx, actor, { action: 'added a kit from a file', kind: 'kit', id: kitId, name, after: { name } });
    }
    return known;
  }
}

/** The first or the second half of what is to be done. */
const half = ({ signal, tell }: Required<Run>, second: 0 | 1): Run => ({
  signal,
  tell: (done, of) => tell?.(done + second * of, 2 * of),
});

/** The rows that a person chose, if all of them can be brought in. */
function chosenRows(planned: readonly PlannedRow[], rows: readonly number[]): readonly PlannedRow[] {
  const wanted = new Set(rows);
  const chosen = planned.filter(({ view }) => wanted.has(view.row));
  const faulty = chosen.filter(({ view }) => view.outcome === 'faulty');
  if (faulty.length > 0)
    throw invalid(
      faulty.flatMap(({ view }) => view.faults.map(({ column, message }) => ({ path: `rows[${view.row}].${column}`, message }))),
      'Some chosen rows have faults; nothing was brought in.',
    );
  const without = chosen.filter(({ pieces }) => pieces.length === 0).map(({ view }) => view.row);
  if (without.length > 0)
    throw invalid(
      without.map((row) => ({ path: `rows[${row}]`, message: `Line ${row} waits for an answer or stands for no piece.` })),
      'Some chosen rows cannot be brought in; nothing was.',
    );
  if (chosen.length !== wanted.size) throw invalid([{ path: 'rows', message: 'A chosen row is not in this file.' }]);
  return chosen;
}

/** What a word can mean; for a grade also that no inspection is to count. */
const MEANINGS: { readonly [A in WordMeaning['about']]: readonly string[] } = {
  class: gearClassNames,
  state: gearStates,
  grade: [...grades, ''],
};

const meaningFaults = (meanings: readonly WordMeaning[]): readonly FieldFault[] =>
  meanings.flatMap(({ about, word, meaning }, index) =>
    MEANINGS[about].includes(meaning)
      ? []
      : [{ path: `meanings[${index}].meaning`, message: `“${word}” cannot mean “${meaning}”: it is no ${about} that is known here.` }],
  );

/** The last word of each, as the words of a file are looked up. */
const oncePerWord = (meanings: readonly WordMeaning[]): readonly WordMeaning[] => [
  ...new Map(
    meanings.map((entry) => [meaningKey(entry.about, entry.word), { ...entry, word: plainWord(entry.about, entry.word) }]),
  ).values(),
];

/** By what one sees that the register has changed. */
const rowVersions = ({ existing, taken, whereabouts }: Omit<CompareInput, 'lines'>) => ({
  tags: taken.map(({ tag }) => tag),
  pieces: Object.fromEntries(existing.map(({ gearId, rowVersion, factsRevision }) => [gearId, [rowVersion, factsRevision]])),
  vehicles: Object.fromEntries(whereabouts.vehicleNames),
});
