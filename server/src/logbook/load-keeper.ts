import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { GearView, LoadCreate, LoadView } from '@wainrope/contract';
import {
  type CycleBin,
  cyclesOfPulls,
  force,
  formatFigure,
  happenedN,
  isDay,
  type LoadLimits,
  overloadOf,
  type Policy,
  quarantineAboveN,
} from '@wainrope/core';
import type { Insertable } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { type Act, AuditTrail } from '../audit/audit-trail.ts';
import type { LoadRecordTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { pullsOf } from '../gear/counters.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { gearName } from '../gear/gear.service.ts';
import type { FieldFault } from '../http/problem.ts';
import { InspectionRepository } from '../inspections/inspection.repository.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { limitsThen } from './limits-then.ts';
import { LoadRepository } from './load.repository.ts';

/** A load as it is about to be kept. */
export interface Weighed {
  readonly input: LoadCreate;
  readonly piece: GearView;
  readonly known: LoadView['known'];
  /** The working limit of the place in the rig, where that is known better than the piece's own. */
  readonly placeWllN?: number | undefined;
  readonly from?: { readonly pullId: string; readonly planId: string; readonly version: number };
  /** What a gauge counted, where one did. */
  readonly series?: { readonly seriesId: string; readonly cycles: readonly CycleBin[] };
}

/** Keeps a load with the limits of its day, and all that follows from it, in the caller's transaction. */
@Injectable()
export class LoadKeeper {
  constructor(
    private readonly repository: LoadRepository,
    private readonly gear: GearRepository,
    private readonly inspections: InspectionRepository,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
  ) {}

  async keep(trx: TeamTransaction, actor: Actor, weighed: Weighed, corrected?: LoadView): Promise<LoadView> {
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
      action: corrected ? 'corrected a load on' : 'counted a load on',
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

/** A day of the calendar that has come. */
export function dayFaults(on: string, today: string): FieldFault[] {
  if (!isDay(on)) return [{ path: 'on', message: `${on} is not a day of the calendar.` }];
  return on > today ? [{ path: 'on', message: `${on} has not come yet; today is ${today}.` }] : [];
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
  { input, piece, known, from, series }: Weighed,
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
    cycles: JSON.stringify(series?.cycles ?? (limits ? cyclesOfPulls(loadN, limits.mbsN, input.pulls) : [])),
    series_id: orNull(series?.seriesId),
    pulls: input.pulls,
    known,
    note: orNull(input.note),
    corrects: orNull(input.corrects),
    recorded_by: actor.personId,
  };
}

/** A pull's record of one piece has an id that follows from both, so that sending the pull twice makes it once. */
export function idOfLoad(pullId: string, gearId: string): string {
  const hex = createHash('sha256').update(`${pullId} ${gearId}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
