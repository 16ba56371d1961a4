import { Injectable } from '@nestjs/common';
import {
  type GearView,
  type LoadCreate,
  type LoadList,
  type LoadQuery,
  type LoadSummary,
  type LoadView,
  may,
  type PullCreate,
  type PullView,
} from '@wainrope/contract';
import { BIN_SHARE, gearClasses, type Report, usageIndex } from '@wainrope/core';
import { isUUID } from 'class-validator';
import type { Actor } from '../actor/actor.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { LISTED, readPageKey } from '../http/page-key.ts';
import { conflict, type FieldFault, invalid, notFound, ProblemException } from '../http/problem.ts';
import { PlanService } from '../plans/plan.service.ts';
import { AfterPull } from './after-pull.ts';
import { LoadRepository } from './load.repository.ts';
import { dayFaults, idOfLoad, LoadKeeper } from './load-keeper.ts';
import { loadsOfReport, type PieceLoad } from './loads-of-report.ts';

/** What pulls put on pieces: kept with the limits as they were, and followed by what an overload asks for, in one transaction. */
@Injectable()
export class LoadService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: LoadRepository,
    private readonly gear: GearRepository,
    private readonly plans: PlanService,
    private readonly keeper: LoadKeeper,
    private readonly after: AfterPull,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor, gearId: string, query: LoadQuery): Promise<LoadList> {
    const key = readPageKey(query.before, /^\d{1,18}$/);
    return this.database.inTeam(actor.teamId, async (trx) => {
      const piece = await this.gear.byId(trx, gearId);
      if (!piece) throw notFound('piece', gearId);
      const page = await this.repository.list(trx, gearId, query.limit ?? LISTED, key);
      return key === undefined ? { ...page, summary: summaryOf(await this.repository.summary(trx, gearId), piece) } : page;
    });
  }

  /** One piece's load, typed. Sent twice with one id, it is kept once. */
  async add(actor: Actor, input: LoadCreate): Promise<LoadView> {
    return this.database.inTeamOnce(actor.teamId, input.recordId, async (trx) => {
      const piece = await this.gear.byIdLocked(trx, input.gearId);
      if (!piece) throw notFound('piece', input.gearId);
      const existing = await this.repository.byId(trx, input.recordId);
      if (existing) return existing;
      const corrected = await this.correctedBy(trx, actor, input);
      const faults = [...dayFaults(input.on, this.clock.today()), ...figureFaults(input)];
      if (faults.length > 0) throw invalid(faults);
      // A correction is held against the limit that the record had which it takes the place of.
      return this.keeper.keep(trx, actor, { input, piece, known: 'typed', placeWllN: corrected?.wllN }, corrected);
    });
  }

  /** A pull by a plan, for every piece of it at once, from the plan as it is judged today. */
  async logPull(actor: Actor, planId: string, input: PullCreate): Promise<PullView> {
    const { name, version, rig, fresh } = await this.plans.get(actor, planId);
    if (version !== input.version)
      throw conflict(
        `The plan is at version ${version} now; the pull was made by version ${input.version}. Open that version, or log it by hand.`,
        version,
      );
    const { report } = fresh;
    // A piece of a foreign file stands in no register, and has no book to write in.
    const loads = loadsOfReport(report).filter(({ gearId }) => isUUID(gearId));
    const faults = [...dayFaults(input.on, this.clock.today()), ...gaugeFaults(input, report)];
    if (faults.length > 0) throw invalid(faults);
    if (loads.length === 0) throw invalid([{ path: 'version', message: 'No piece of this plan has a load yet: say its pull first.' }]);
    return this.database.inTeamOnce(actor.teamId, input.pullId, async (trx) => {
      const kept = await this.repository.ofPull(trx, input.pullId);
      const without = report.places.flatMap((place) =>
        place.gearId !== undefined && !loads.some(({ gearId }) => gearId === place.gearId) ? [place.tag ?? place.name] : [],
      );
      if (kept.length > 0) return { pullId: input.pullId, loads: kept, without };
      for (const load of [...loads].sort((a, b) => (a.gearId < b.gearId ? -1 : 1))) {
        const piece = await this.gear.byIdLocked(trx, load.gearId);
        if (!piece) continue;
        await this.keeper.keep(trx, actor, {
          input: recordOf(load, input, { name, plannedPullN: report.plannedPullN }),
          piece,
          known: 'plan',
          placeWllN: load.wllN,
          from: { pullId: input.pullId, planId, version },
        });
      }
      const { pullId, on, pulls, linePeakN } = input;
      await this.after.keep(trx, actor, { pullId, planId, version, on, pulls, linePeakN }, rig, report);
      return { pullId: input.pullId, loads: await this.repository.ofPull(trx, input.pullId), without };
    });
  }

  /** The record that this one takes the place of; putting one right is a keeper's, and says why. */
  private async correctedBy(trx: TeamTransaction, actor: Actor, input: LoadCreate): Promise<LoadView | undefined> {
    if (input.corrects === undefined) return undefined;
    if (!may(actor.role, 'load.correct'))
      throw new ProblemException({ status: 403, title: 'Not allowed', detail: 'Only a gear keeper may correct a load record.' });
    const corrected = await this.repository.byId(trx, input.corrects);
    if (corrected?.gearId !== input.gearId)
      throw invalid([{ path: 'corrects', message: 'The record to be corrected is not one of this piece.' }]);
    if (corrected.correctedBy !== undefined) throw conflict('That record was corrected already; correct the newer one.', corrected);
    if (!input.note?.trim()) throw invalid([{ path: 'note', message: 'Say why the record is corrected.' }]);
    return corrected;
  }
}

/** The cycles by their share of the breaking strength, and what they come to by what the piece is made of. */
function summaryOf({ cycles, ...totals }: Awaited<ReturnType<LoadRepository['summary']>>, { kind }: Pick<GearView, 'kind'>): LoadSummary {
  return {
    ...totals,
    cycles: cycles.map(({ bin, cycles: count }) => ({ fromPercent: Math.round(100 * BIN_SHARE * bin), cycles: count })),
    usageIndex: usageIndex(cycles, gearClasses[kind].soft ? 'fibre' : 'steel'),
  };
}

/** One piece's record of a pull by a plan; with a gauge on the line its peak is its share of the line's. */
function recordOf(
  { gearId, plannedN, greatestN, where }: PieceLoad,
  { pullId, on, linePeakN, stalled, pulls, note }: PullCreate,
  { name, plannedPullN }: { readonly name: string; readonly plannedPullN: number | undefined },
): LoadCreate {
  const peakN = linePeakN === undefined || !plannedPullN ? undefined : (plannedN * linePeakN) / plannedPullN;
  return {
    recordId: idOfLoad(pullId, gearId),
    gearId,
    on,
    plannedN,
    ...(greatestN !== undefined && { greatestN }),
    ...(peakN !== undefined && { peakN }),
    stalled: stalled === true,
    pulls,
    place: `${where}; ${name}`.slice(0, 200),
    ...(note !== undefined && { note }),
  };
}

function figureFaults({ plannedN, greatestN, peakN, stalled }: LoadCreate): FieldFault[] {
  const faults: FieldFault[] = [];
  if (plannedN === 0 && peakN === undefined) faults.push({ path: 'plannedN', message: 'Say what was planned, or what a gauge showed.' });
  if (greatestN !== undefined && greatestN < plannedN)
    faults.push({ path: 'greatestN', message: 'The greatest load cannot be less than the planned one.' });
  if (stalled && greatestN === undefined && peakN === undefined)
    faults.push({ path: 'greatestN', message: 'The winch stalled: say the greatest load, which then did happen.' });
  return faults;
}

/** One gauge tells of one line; where several draw, nobody knows which. */
function gaugeFaults({ linePeakN }: PullCreate, { drives, plannedPullN }: Report): FieldFault[] {
  if (linePeakN === undefined) return [];
  if (drives.length > 1)
    return [{ path: 'linePeakN', message: 'Several lines pull in this rig; log the measured loads by hand, piece by piece.' }];
  return plannedPullN ? [] : [{ path: 'linePeakN', message: 'No line pull is planned here, so nothing can be worked out from a gauge.' }];
}
