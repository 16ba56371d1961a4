import { PassThrough, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { type GearView, type NewestQuery, SERIES_MAX_BYTES, type SeriesCreate, type SeriesList, type SeriesView } from '@wainrope/contract';
import type { Case, PieceSeries, Report, Rig } from '@wainrope/core';
import { countedShares, type GaugeAt, type RiggedShare, type SharesOutcome } from '@wainrope/core/judging';
import { isUUID } from 'class-validator';
import type { Actor } from '../../actor/actor.ts';
import { AuditTrail } from '../../audit/audit-trail.ts';
import { Clock } from '../../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../../database/team-database.ts';
import { GearRepository } from '../../gear/gear.repository.ts';
import { log } from '../../http/logging.ts';
import { LISTED, notThePage, UUID } from '../../http/page-key.ts';
import { conflict, invalid, notFound, ProblemException } from '../../http/problem.ts';
import { PlanService } from '../../plans/plan.service.ts';
import { TeamRepository } from '../../team/team.repository.ts';
import { type Asked, Tasks } from '../../threads/tasks.ts';
import { type Run, threadFile, WorkerPool } from '../../threads/worker-pool.ts';
import { AfterPull } from '../after-pull.ts';
import { limitsThen } from '../limits-then.ts';
import { LoadRepository } from '../load.repository.ts';
import { dayFaults, idOfLoad, LoadKeeper } from '../load-keeper.ts';
import { loadsOfReport } from '../loads-of-report.ts';
import type { SeriesInput, SeriesOutcome } from './read-series.ts';
import { type ReceivedFile, receiveFile, removeLeftBehind } from './received-file.ts';
import { SeriesRepository } from './series.repository.ts';

export interface SharesInput {
  readonly subject: Case;
  readonly at: GaugeAt;
}

type ReadSeries = Extract<SeriesOutcome, { readonly kind: 'read' }>;
/** What each piece carries of the line, and what was planned for it. */
type Shares = Extract<SharesOutcome, { readonly kind: 'shares' }> & {
  readonly planned: ReadonlyMap<string, number>;
  readonly rig: Rig;
  readonly report: Report;
};

const SHARES = threadFile<SharesInput, SharesOutcome>(import.meta.url, './line-shares.worker');
const READ = threadFile<SeriesInput, Promise<SeriesOutcome>>(import.meta.url, './read-series.worker');
/** Where more of a file than this is no reading, it is not what somebody took it for. */
const MOST_REFUSED = 0.01;

/** What gauges recorded on a line of a plan: the file kept as it came, and each piece's own load. */
@Injectable()
export class SeriesService implements OnModuleInit {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: SeriesRepository,
    private readonly loads: LoadRepository,
    private readonly keeper: LoadKeeper,
    private readonly gear: GearRepository,
    private readonly plans: PlanService,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
    private readonly pool: WorkerPool,
    private readonly tasks: Tasks,
    private readonly clock: Clock,
    private readonly after: AfterPull,
  ) {}

  onModuleInit(): void {
    removeLeftBehind(Date.now()).then(
      (removed) => removed > 0 && log.info({ removed }, 'removed files of recorders that were left behind'),
      (error: unknown) => log.warn({ err: error }, 'files of recorders that were left behind could not be removed'),
    );
  }

  async list(actor: Actor, planId: string, { before, limit = LISTED }: NewestQuery): Promise<SeriesList> {
    if (before !== undefined && !UUID.test(before)) throw notThePage();
    return this.database.inTeam(actor.teamId, async (trx) => {
      await this.plans.stored(trx, planId);
      return this.repository.ofPlan(trx, planId, limit, before);
    });
  }

  async get(actor: Actor, seriesId: string): Promise<SeriesView> {
    return this.database.inTeam(actor.teamId, (trx) => this.view(trx, seriesId));
  }

  private async view(trx: TeamTransaction, seriesId: string): Promise<SeriesView> {
    const row = await this.repository.byId(trx, seriesId);
    if (!row) throw notFound('load series', seriesId);
    return { ...row.listed, outline: row.outline, loads: await this.loads.ofSeries(trx, seriesId) };
  }

  /** The file, byte for byte as it came. */
  async file(actor: Actor, seriesId: string): Promise<{ readonly name: string; readonly content: Readable }> {
    const { fileName: name } = await this.get(actor, seriesId);
    const content = new PassThrough();
    const parts = this.parts(actor, seriesId);
    pipeline(parts, createGunzip(), content).catch((error: unknown) =>
      log.warn({ err: error }, 'a load series was not taken out to its end'),
    );
    return { name, content };
  }

  /** The packed file, each part read when the one before it has been taken. */
  private async *parts(actor: Actor, seriesId: string): AsyncGenerator<Buffer> {
    for (let partNo = 1; ; partNo++) {
      const part = await this.database.inTeam(actor.teamId, (trx) => this.repository.part(trx, seriesId, partNo));
      if (!part) return;
      yield part;
    }
  }

  /** Takes a file in, reads it on a thread and keeps it with what it put on each piece, all of it or nothing. Sent twice with one id, it is kept once. */
  async add(actor: Actor, planId: string, input: SeriesCreate, source: Readable, { task, gone }: Asked): Promise<SeriesView> {
    return this.tasks.follow(actor, `Reading ${input.fileName}`, { task, gone }, async (run) => {
      const existing = await this.database.inTeam(actor.teamId, (trx) => this.repository.byId(trx, input.seriesId));
      if (existing) return this.get(actor, input.seriesId);
      const faults = dayFaults(input.on, this.clock.today());
      if (faults.length > 0) throw invalid(faults);
      const shares = await this.sharesOf(actor, planId, input, run);
      const received = await receiveFile(source, SERIES_MAX_BYTES, run.signal as AbortSignal);
      if (!received.ok) throw tooLarge();
      try {
        return await this.readAndKeep(actor, { planId, input, shares, file: received.file }, run);
      } finally {
        await received.file.remove();
      }
    });
  }

  /** What each piece carries of the line where the gauge was, by the plan as it is judged today. */
  private async sharesOf(actor: Actor, planId: string, { version, lineId, strand }: SeriesCreate, run: Run): Promise<Shares> {
    const { version: current, rig, fresh } = await this.plans.get(actor, planId);
    if (current !== version)
      throw conflict(
        `The plan is at version ${current} now; the pull was made by version ${version}. Open that version, or log it by hand.`,
        current,
      );
    const { case: subject } = await this.plans.rigFile(actor, planId);
    const outcome = await this.pool.run(SHARES, { subject, at: { lineId, strand } }, { signal: run.signal });
    if (outcome.kind === 'no-strand')
      throw invalid([{ path: 'strand', message: 'This rig has no such strand. Choose where the gauge was.' }]);
    if (outcome.kind === 'no-balance')
      throw invalid([{ path: 'version', message: 'The rig of this plan does not balance, so nothing can be worked out from a gauge.' }]);
    const { report } = fresh;
    return { ...outcome, rig, report, planned: new Map(loadsOfReport(report).map(({ gearId, plannedN }) => [gearId, plannedN])) };
  }

  private async readAndKeep(actor: Actor, parts: KeepParts, run: Run): Promise<SeriesView> {
    const { input, shares, file } = parts;
    const pieces = await this.database.inTeam(actor.teamId, async (trx) => {
      const { policy } = await this.teams.policyInForce(trx);
      const views = await this.gear.byIds(trx, registered(shares.pieces));
      return new Map(views.map((piece) => [piece.gearId, limitsThen(piece, policy, input.on)?.mbsN]));
    });
    const read = await this.pool.run(
      READ,
      {
        path: file.path,
        stated: { tension: input.tension, forceUnit: input.forceUnit, timeUnit: input.timeUnit },
        leavesOutSpikes: input.spikes === 'leave-out',
        shares: countedShares(shares, (gearId) => pieces.get(gearId)),
      },
      run,
    );
    const series = understood(await read);
    return this.database.inTeamOnce(actor.teamId, input.seriesId, async (trx) => {
      if (await this.repository.byId(trx, input.seriesId)) return this.view(trx, input.seriesId);
      run.signal?.throwIfAborted();
      await this.keep(trx, actor, parts, series);
      return this.view(trx, input.seriesId);
    });
  }

  private async keep(trx: TeamTransaction, actor: Actor, { planId, input, shares, file }: KeepParts, series: ReadSeries): Promise<void> {
    const { name } = await this.plans.stored(trx, planId);
    const key = { team_id: actor.teamId, series_id: input.seriesId };
    await this.repository.add(trx, {
      ...key,
      plan_id: planId,
      plan_version: input.version,
      line_id: input.lineId,
      strand: input.strand,
      pulled_on: input.on,
      file_name: input.fileName,
      bytes: file.bytes,
      sha256: file.sha256,
      read_as: JSON.stringify({ columns: series.columns, leavesOutSpikes: input.spikes === 'leave-out' }),
      summary: JSON.stringify(series.summary),
      envelope: JSON.stringify(series.envelope),
      note: input.note ?? null,
      recorded_by: actor.personId,
    });
    let partNo = 0;
    for await (const part of file.parts()) await this.repository.addPart(trx, key, ++partNo, part);
    const ofPiece = new Map(series.pieces.map((piece) => [piece.gearId, piece]));
    for (const share of [...shares.pieces].sort((a, b) => (a.gearId < b.gearId ? -1 : 1))) {
      const piece = isUUID(share.gearId) ? await this.gear.byIdLocked(trx, share.gearId) : undefined;
      const own = ofPiece.get(share.gearId);
      if (piece && own) await this.keepOne(trx, actor, { planId, input, shares, planName: name }, { share, piece, own });
    }
    const { peakN } = series.summary;
    // Only at the drive does the gauge show what the winch pulls.
    const linePeakN = input.strand === 0 && peakN > 0 ? peakN : undefined;
    const pull = { pullId: input.seriesId, planId, version: input.version, on: input.on, pulls: input.pulls, linePeakN };
    await this.after.keep(trx, actor, pull, shares.rig, shares.report);
    await this.audit.note(trx, actor, {
      action: 'brought in a load series of',
      kind: 'plan',
      id: planId,
      name,
      after: { file: input.fileName, rows: series.summary.rows, refused: series.summary.refusedCount },
      note: input.note,
    });
  }

  private async keepOne(
    trx: TeamTransaction,
    actor: Actor,
    { planId, input, shares, planName }: Omit<KeepParts, 'file'> & { readonly planName: string },
    { share, piece, own }: { readonly share: RiggedShare; readonly piece: GearView; readonly own: PieceSeries },
  ): Promise<void> {
    await this.keeper.keep(trx, actor, {
      input: {
        recordId: idOfLoad(input.seriesId, piece.gearId),
        gearId: piece.gearId,
        on: input.on,
        plannedN: shares.planned.get(piece.gearId) ?? 0,
        peakN: own.peakN,
        pulls: input.pulls,
        place: `${share.where}; ${planName}`.slice(0, 200),
        ...(input.note !== undefined && { note: input.note }),
      },
      piece,
      known: 'series',
      placeWllN: share.wllN,
      from: { pullId: input.seriesId, planId, version: input.version },
      series: { seriesId: input.seriesId, cycles: own.cycles },
    });
  }
}

interface KeepParts {
  readonly planId: string;
  readonly input: SeriesCreate;
  readonly shares: Shares;
  readonly file: ReceivedFile;
}

/** A piece of a foreign file stands in no register, and has no book to write in. */
const registered = (pieces: readonly RiggedShare[]): readonly string[] => pieces.flatMap(({ gearId }) => (isUUID(gearId) ? [gearId] : []));

/** A file that is what it was taken for: its head is understood, and nearly all of its rows are readings. */
function understood(outcome: SeriesOutcome): ReadSeries {
  if (outcome.kind === 'fault')
    throw invalid([{ path: 'file', message: outcome.message }], 'This is not a load series; nothing was saved.');
  if (outcome.kind === 'asked') {
    const what = outcome.ask === 'tension' ? 'Which column is the tension?' : `Which unit has the column “${outcome.heading}”?`;
    throw invalid(
      [{ path: outcome.ask, message: `${what} Choose one of: ${outcome.choices.join(', ')}.` }],
      'The headings leave something open; nothing was saved.',
    );
  }
  const { rows, refused, refusedCount } = outcome.summary;
  if (rows === 0 || refusedCount > MOST_REFUSED * (rows + refusedCount)) {
    const all = `${refusedCount} of ${rows + refusedCount} rows are not readings, which is more than one in a hundred. Nothing was saved.`;
    throw invalid(
      refused.map(({ line, why }) => ({ path: `line ${line}`, message: why })),
      all,
    );
  }
  return outcome;
}

const tooLarge = () =>
  new ProblemException({
    status: 413,
    title: 'Too large',
    detail: `A load series of at most ${SERIES_MAX_BYTES / 1e6} MB is taken. Nothing was saved; cut it into pulls, or record fewer readings a second.`,
  });
