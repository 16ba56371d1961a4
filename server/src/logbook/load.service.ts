import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  type GearView,
  type LoadCreate,
  type LoadList,
  type LoadQuery,
  type LoadView,
  may,
  type PullCreate,
  type PullView,
} from '@wainrope/contract';
import {
  cyclesOfPulls,
  force,
  formatFigure,
  happenedN,
  isDay,
  type LoadLimits,
  overloadOf,
  type Policy,
  quarantineAboveN,
  type Report,
} from '@wainrope/core';
import { isUUID } from 'class-validator';
import type { Insertable } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { type Act, AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import type { LoadRecordTable } from '../database/schema.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { pullsOf } from '../gear/counters.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { gearName } from '../gear/gear.service.ts';
import { conflict, type FieldFault, invalid, notFound, ProblemException } from '../http/problem.ts';
import { InspectionRepository } from '../inspections/inspection.repository.ts';
import { PlanService } from '../plans/plan.service.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { limitsThen } from './limits-then.ts';
import { LoadRepository } from './load.repository.ts';
import { loadsOfReport } from './loads-of-report.ts';

/** A load as it is about to be kept. */
interface Weighed {
  readonly input: LoadCreate;
  readonly piece: GearView;
  readonly known: LoadView['known'];
  /** The working limit of the place in the rig, where that is known better than the piece's own. */
  readonly placeWllN?: number | undefined;
  readonly from?: { readonly pullId: string; readonly planId: string; readonly version: number };
}

/** What pulls put on pieces: kept with the limits as they were, and followed by what an overload asks for, in one transaction. */
@Injectable()
export class LoadService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: LoadRepository,
    private readonly gear: GearRepository,
    private readonly inspections: InspectionRepository,
    private readonly plans: PlanService,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor, gearId: string, query: LoadQuery): Promise<LoadList> {
    if (query.before !== undefined && !/^\d{4}-\d{2}-\d{2} \d{1,18}$/.test(query.before))
      throw invalid([{ path: 'before', message: 'Give the `next` of the page before.' }]);
    return this.database.inTeam(actor.teamId, async (trx) => {
      if (!(await this.gear.byId(trx, gearId))) throw notFound('piece', gearId);
      return this.repository.list(trx, gearId, query);
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
      const faults = [...this.dayFaults(input.on), ...figureFaults(input)];
      if (faults.length > 0) throw invalid(faults);
      // A correction is held against the limit that the record had which it takes the place of.
      return this.keep(trx, actor, { input, piece, known: 'typed', placeWllN: corrected?.wllN }, corrected);
    });
  }

  /** A pull by a plan, for every piece of it at once, from the plan as it is judged today. */
  async logPull(actor: Actor, planId: string, input: PullCreate): Promise<PullView> {
    const { name, version, fresh } = await this.plans.get(actor, planId);
    if (version !== input.version)
      throw conflict(
        `The plan stands at version ${version}; the pull was of version ${input.version}. Open that version, or log it by hand.`,
        version,
      );
    const { report } = fresh;
    // A piece of a foreign file stands in no register, and has no book to write in.
    const loads = loadsOfReport(report).filter(({ gearId }) => isUUID(gearId));
    const faults = [...this.dayFaults(input.on), ...gaugeFaults(input, report)];
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
        const { plannedN, greatestN } = load;
        const peakN =
          input.linePeakN === undefined || !report.plannedPullN ? undefined : (plannedN * input.linePeakN) / report.plannedPullN;
        const create: LoadCreate = {
          recordId: idOf(input.pullId, load.gearId),
          gearId: load.gearId,
          on: input.on,
          plannedN,
          ...(greatestN !== undefined && { greatestN }),
          ...(peakN !== undefined && { peakN }),
          stalled: input.stalled === true,
          pulls: input.pulls,
          place: `${load.where}; ${name}`.slice(0, 200),
          ...(input.note !== undefined && { note: input.note }),
        };
        await this.keep(trx, actor, {
          input: create,
          piece,
          known: 'plan',
          placeWllN: load.wllN,
          from: { pullId: input.pullId, planId, version },
        });
      }
      return { pullId: input.pullId, loads: await this.repository.ofPull(trx, input.pullId), without };
    });
  }

  private dayFaults(on: string): FieldFault[] {
    if (!isDay(on)) return [{ path: 'on', message: `${on} is not a day of the calendar.` }];
    const today = this.clock.today();
    return on > today ? [{ path: 'on', message: `${on} has not come yet; today is ${today}.` }] : [];
  }

  /** The record that this one takes the place of; putting one right is a keeper's, and says why. */
  private async correctedBy(trx: TeamTransaction, actor: Actor, input: LoadCreate): Promise<LoadView | undefined> {
    if (input.corrects === undefined) return undefined;
    if (!may(actor.role, 'load.correct'))
      throw new ProblemException({ status: 403, title: 'Not allowed', detail: 'Putting a load record right is a gear keeper’s.' });
    const corrected = await this.repository.byId(trx, input.corrects);
    if (corrected?.gearId !== input.gearId)
      throw invalid([{ path: 'corrects', message: 'The record to be corrected is not one of this piece.' }]);
    if (corrected.correctedBy !== undefined) throw conflict('That record was corrected already; correct the newer one.', corrected);
    if (!input.note?.trim()) throw invalid([{ path: 'note', message: 'Say why the record is corrected.' }]);
    return corrected;
  }

  private async keep(trx: TeamTransaction, actor: Actor, weighed: Weighed, corrected?: LoadView): Promise<LoadView> {
    const { policy } = await this.teams.policyInForce(trx);
    const outcome = outcomeOf(weighed, policy, corrected);
    await this.repository.add(trx, recordRow(actor, weighed, outcome));
    await this.settle(trx, actor, weighed, outcome);
    await this.noteState(trx, actor, weighed, outcome);
    await this.noteTrail(trx, actor, weighed, outcome);
    const view = await this.repository.byId(trx, weighed.input.recordId);
    if (!view) throw new Error('Broken invariant: a load record that was kept is not there');
    return view;
  }

  /** An overload is counted and wants an inspection now; far over, the piece is out of use at once. Pulls of a rope are counted. */
  private async settle(trx: TeamTransaction, actor: Actor, { input, piece }: Weighed, outcome: Outcome): Promise<void> {
    const { taken, corrected } = outcome;
    const pulls = pullsOf(piece);
    const pullsUsed = pulls === undefined ? undefined : Math.max(0, pulls + input.pulls - (corrected?.pulls ?? 0));
    await this.gear.settle(trx, actor, piece, {
      state: taken ? 'quarantined' : piece.state,
      overloadsSinceInspection: Math.max(0, piece.overloadsSinceInspection + countedOf(outcome)),
      attributes: pullsUsed === undefined ? piece.attributes : { ...piece.attributes, pullsUsed },
      factsChanged: false,
    });
  }

  /** Why the piece is out of use; where the record that did it is corrected, that it stays so all the same. */
  private async noteState(trx: TeamTransaction, actor: Actor, { piece }: Weighed, outcome: Outcome): Promise<void> {
    const { overload, taken, corrected } = outcome;
    const stays = !isOver(overload) && corrected?.overload === 'quarantine' && piece.state === 'quarantined';
    if (!taken && !stays) return;
    await this.inspections.addStateChange(trx, {
      team_id: actor.teamId,
      gear_id: piece.gearId,
      from_state: piece.state,
      to_state: 'quarantined',
      reason: taken
        ? outcome.reason
        : `The record of ${corrected?.on} that took it out was corrected; it stays out of use until a full inspection`,
      destroyed: null,
      inspection_id: null,
      changed_by: actor.personId,
    });
  }

  private async noteTrail(trx: TeamTransaction, actor: Actor, { input, piece }: Weighed, outcome: Outcome): Promise<void> {
    const { overload, loadN, wllN, taken, corrected, reason } = outcome;
    const name = gearName(piece);
    const share = wllN === undefined ? 'no limit known' : `${Math.round((100 * loadN) / wllN)} % of its limit`;
    const acts: Act[] = [
      {
        action: corrected ? 'corrected a load of' : 'logged a load of',
        kind: 'load',
        id: input.recordId,
        name,
        after: { on: input.on, load: said(loadN), share, pulls: input.pulls, ...(isOver(overload) && { overload }) },
        note: input.note,
      },
    ];
    acts.push({
      action: corrected ? 'load corrected' : 'load logged',
      kind: 'gear',
      id: piece.gearId,
      name,
      before: { overloadsSinceInspection: piece.overloadsSinceInspection },
      after: { load: `${said(loadN)}, ${share}`, overloadsSinceInspection: piece.overloadsSinceInspection + countedOf(outcome) },
      note: input.note,
    });
    if (taken)
      acts.push({
        action: 'quarantined after an overload',
        kind: 'gear',
        id: piece.gearId,
        name,
        before: { state: piece.state },
        after: { state: 'quarantined' },
        note: reason,
      });
    await this.audit.noteAll(trx, actor, acts);
  }
}

const said = (n: number) => formatFigure(force(n), 'kN');
/** By how much the count of overloads changes. */
const countedOf = ({ overload, corrected }: Outcome) => Number(isOver(overload)) - Number(isOver(corrected?.overload));
const isOver = (overload: LoadView['overload'] | undefined) => overload === 'inspect' || overload === 'quarantine';

/** What a load comes to, by the limits of its day. */
interface Outcome {
  readonly overload: LoadView['overload'];
  readonly loadN: number;
  readonly limits: LoadLimits | undefined;
  /** What the load is held against. */
  readonly wllN: number | undefined;
  /** It takes the piece out of use, and why. */
  readonly taken: boolean;
  readonly reason: string;
  readonly corrected: LoadView | undefined;
}

function outcomeOf({ input, piece, placeWllN }: Weighed, policy: Policy, corrected: LoadView | undefined): Outcome {
  const own = limitsThen(piece, policy, input.on);
  const limits = own && placeWllN !== undefined ? { ...own, wllEffN: placeWllN } : own;
  const loadN = happenedN({ ...input, stalled: input.stalled === true });
  const wllN = limits?.wllEffN ?? placeWllN;
  // A winch has the pull that its maker states and no breaking strength: over it an inspection is due, and nobody can say more.
  const bare = wllN === undefined ? 'unknown' : loadN > wllN * (1 + 1e-9) ? 'inspect' : 'none';
  const overload = limits ? overloadOf(loadN, limits) : bare;
  const taken = overload === 'quarantine' && piece.state === 'in-use';
  const reason = limits
    ? `Loaded to ${said(loadN)} on ${input.on}, over the ${said(quarantineAboveN(limits))} that take it out of use`
    : '';
  return { overload, loadN, limits, wllN, taken, reason, corrected };
}

function recordRow(
  actor: Actor,
  { input, piece, known, from }: Weighed,
  { overload, loadN, limits, wllN }: Outcome,
): Insertable<LoadRecordTable> {
  const orNull = <T>(value: T | undefined): T | null => value ?? null;
  return {
    team_id: actor.teamId,
    record_id: input.recordId,
    gear_id: piece.gearId,
    pulled_on: input.on,
    pull_id: orNull(from?.pullId),
    plan_id: orNull(from?.planId),
    plan_version: orNull(from?.version),
    place: orNull(input.place),
    planned_n: input.plannedN,
    greatest_n: orNull(input.greatestN),
    peak_n: orNull(input.peakN),
    stalled: input.stalled === true,
    happened_n: loadN,
    wll_n: orNull(wllN),
    nominal_wll_n: orNull(limits?.wllN),
    nominal_mbs_n: orNull(limits?.mbsN),
    overload,
    cycles: JSON.stringify(limits ? cyclesOfPulls(loadN, limits.mbsN, input.pulls) : []),
    pulls: input.pulls,
    known,
    note: orNull(input.note),
    corrects: orNull(input.corrects),
    recorded_by: actor.personId,
  };
}

/** A pull's record of one piece has an id that follows from both, so that sending the pull twice makes it once. */
function idOf(pullId: string, gearId: string): string {
  const hex = createHash('sha256').update(`${pullId} ${gearId}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

function figureFaults({ plannedN, greatestN, peakN, stalled }: LoadCreate): FieldFault[] {
  const faults: FieldFault[] = [];
  if (plannedN === 0 && peakN === undefined) faults.push({ path: 'plannedN', message: 'Say what was planned, or what a gauge showed.' });
  if (greatestN !== undefined && greatestN < plannedN)
    faults.push({ path: 'greatestN', message: 'The greatest load is not less than the planned one.' });
  if (stalled && greatestN === undefined && peakN === undefined)
    faults.push({ path: 'greatestN', message: 'The winch stalled: say the greatest load, which then did happen.' });
  return faults;
}

/** One gauge tells of one line; where several draw, nobody knows which. */
function gaugeFaults({ linePeakN }: PullCreate, { drives, plannedPullN }: Report): FieldFault[] {
  if (linePeakN === undefined) return [];
  if (drives.length > 1)
    return [{ path: 'linePeakN', message: 'Several lines draw in this rig; log the measured loads by hand, piece by piece.' }];
  return plannedPullN ? [] : [{ path: 'linePeakN', message: 'No line pull is planned here, so that nothing follows from a gauge.' }];
}
