import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  type FollowUpCreate,
  type GearView,
  type IncidentCreate,
  type IncidentList,
  type IncidentQuery,
  type IncidentView,
  may,
} from '@wainrope/contract';
import { keyWords } from '@wainrope/core';
import type { Insertable } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import type { IncidentTable } from '../database/schema.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { gearName } from '../gear/gear.service.ts';
import { readPageKey, UUID } from '../http/page-key.ts';
import { conflict, invalid, notFound, ProblemException } from '../http/problem.ts';
import { InspectionRepository } from '../inspections/inspection.repository.ts';
import { PlanService } from '../plans/plan.service.ts';
import { IncidentRepository } from './incident.repository.ts';
import { dayFaults } from './load-keeper.ts';

/** Incidents and near misses: what happened, the pieces out of use in the same act, and what was done about it since. */
@Injectable()
export class IncidentService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: IncidentRepository,
    private readonly gear: GearRepository,
    private readonly inspections: InspectionRepository,
    private readonly plans: PlanService,
    private readonly audit: AuditTrail,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor, query: IncidentQuery): Promise<IncidentList> {
    const key = readPageKey(query.before, UUID);
    return this.database.inTeam(actor.teamId, (trx) => this.repository.list(trx, query, key));
  }

  async get(actor: Actor, incidentId: string): Promise<IncidentView> {
    return this.database.inTeam(actor.teamId, (trx) => this.found(trx, incidentId));
  }

  /** Sent twice with one id, it is kept once. */
  async add(actor: Actor, input: IncidentCreate): Promise<IncidentView> {
    return this.database.inTeamOnce(actor.teamId, input.incidentId, async (trx) => {
      const existing = await this.repository.byId(trx, input.incidentId);
      if (existing) return existing;
      const faults = dayFaults(input.on, this.clock.today());
      if (faults.length > 0) throw invalid(faults);
      if (input.planId !== undefined) await this.plans.stored(trx, input.planId);
      await this.correctable(trx, actor, input);
      const pieces = await this.lockedPieces(trx, input);
      const row = incidentRow(actor, input);
      await this.repository.add(
        trx,
        row,
        input.pieces.map(({ gearId, takenOut }) => ({
          team_id: actor.teamId,
          incident_id: input.incidentId,
          gear_id: gearId,
          taken_out: takenOut,
        })),
      );
      for (const piece of pieces) await this.follow(trx, actor, input, piece);
      if (input.changed?.trim()) await this.keepFollowUp(trx, actor, input.incidentId, { followUpId: randomUUID(), words: input.changed });
      await this.audit.note(trx, actor, {
        action: input.corrects === undefined ? 'recorded an incident' : 'corrected an incident record',
        kind: 'incident',
        id: input.incidentId,
        name: `${keyWords(input.kind)} on ${input.on}`,
        after: { kind: input.kind, on: input.on, pieces: pieces.map(({ tag }) => tag).join(', ') },
        note: input.words.slice(0, 500),
      });
      return this.found(trx, input.incidentId);
    });
  }

  /** Sent twice with one id, it is written once. */
  async addFollowUp(actor: Actor, incidentId: string, input: FollowUpCreate): Promise<IncidentView> {
    return this.database.inTeamOnce(actor.teamId, input.followUpId, async (trx) => {
      const { kind, on } = await this.found(trx, incidentId);
      if (await this.repository.hasFollowUp(trx, input.followUpId)) return this.found(trx, incidentId);
      await this.keepFollowUp(trx, actor, incidentId, input);
      await this.audit.note(trx, actor, {
        action: 'said what is changed because of',
        kind: 'incident',
        id: incidentId,
        name: `${keyWords(kind)} on ${on}`,
        note: input.words.slice(0, 500),
      });
      return this.found(trx, incidentId);
    });
  }

  private async keepFollowUp(trx: TeamTransaction, actor: Actor, incidentId: string, { followUpId, words }: FollowUpCreate): Promise<void> {
    await this.repository.addFollowUp(trx, {
      team_id: actor.teamId,
      follow_up_id: followUpId,
      incident_id: incidentId,
      words: words.trim(),
      written_by: actor.personId,
    });
  }

  /** Putting a record right is a keeper's, and each is put right once. */
  private async correctable(trx: TeamTransaction, actor: Actor, { corrects }: IncidentCreate): Promise<void> {
    if (corrects === undefined) return;
    if (!may(actor.role, 'load.correct'))
      throw new ProblemException({ status: 403, title: 'Not allowed', detail: 'Only a gear keeper may correct an incident record.' });
    const corrected = await this.repository.byId(trx, corrects);
    if (!corrected) throw invalid([{ path: 'corrects', message: 'The record to be corrected is not known.' }]);
    if (corrected.correctedBy !== undefined) throw conflict('That record was corrected already; correct the newer one.', corrected);
  }

  /** In one order, so that two that name the same pieces never wait for each other. */
  private async lockedPieces(trx: TeamTransaction, { pieces }: IncidentCreate): Promise<readonly GearView[]> {
    const found: GearView[] = [];
    for (const gearId of pieces.map(({ gearId }) => gearId).sort()) {
      const piece = await this.gear.byIdLocked(trx, gearId);
      if (!piece) throw notFound('piece', gearId);
      found.push(piece);
    }
    return found;
  }

  /** The piece out of use, where somebody says so and it was in use; and a line in what was done to it. */
  private async follow(trx: TeamTransaction, actor: Actor, { pieces, kind, on, words }: IncidentCreate, piece: GearView): Promise<void> {
    const isTaken = pieces.some(({ gearId, takenOut }) => gearId === piece.gearId && takenOut) && piece.state === 'in-use';
    const what = kind === 'near-miss' ? 'a near miss' : 'an incident';
    const act = { kind: 'gear' as const, id: piece.gearId, name: gearName(piece), note: words.slice(0, 500) };
    await this.audit.note(trx, actor, { ...act, action: `was in ${what} on ${on}` });
    if (!isTaken) return;
    await this.inspections.addStateChange(trx, {
      team_id: actor.teamId,
      gear_id: piece.gearId,
      from_state: piece.state,
      to_state: 'quarantined',
      reason: `Was in ${what} on ${on}: ${words}`.slice(0, 500),
      destroyed: null,
      inspection_id: null,
      changed_by: actor.personId,
    });
    await this.gear.settle(trx, actor, piece, { ...piece, state: 'quarantined', factsChanged: true });
    await this.audit.note(trx, actor, {
      ...act,
      action: `quarantined after ${what}`,
      before: { state: piece.state },
      after: { state: 'quarantined' },
    });
  }

  private async found(trx: TeamTransaction, incidentId: string): Promise<IncidentView> {
    const view = await this.repository.byId(trx, incidentId);
    if (!view) throw notFound('incident', incidentId);
    return view;
  }
}

const orNull = (words: string | undefined): string | null => words?.trim() || null;

function incidentRow(
  actor: Actor,
  { incidentId, on, kind, words, place, told, planId, corrects }: IncidentCreate,
): Insertable<IncidentTable> {
  return {
    team_id: actor.teamId,
    incident_id: incidentId,
    happened_on: on,
    kind,
    words: words.trim(),
    place: orNull(place),
    told: orNull(told),
    plan_id: planId ?? null,
    corrects: corrects ?? null,
    recorded_by: actor.personId,
  };
}
