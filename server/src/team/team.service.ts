import { createHash, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { IfHurt, TeamView } from '@wainrope/contract';
import { canonicalJson, type Policy, teamStandard } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { TeamRepository } from './team.repository.ts';

export interface NewTeam {
  readonly name: string;
  readonly decimalMark: '.' | ',';
  readonly demo?: string;
  readonly people: readonly { readonly name: string; readonly role: Actor['role']; readonly firstAider?: boolean }[];
}

export const policyHash = (policy: Policy): string => createHash('sha256').update(canonicalJson(policy)).digest('hex').slice(0, 16);

@Injectable()
export class TeamService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: TeamRepository,
    private readonly clock: Clock,
    private readonly audit: AuditTrail,
  ) {}

  async view(actor: Actor): Promise<TeamView> {
    return this.database.inTeam(actor.teamId, (trx) => this.viewIn(trx, actor));
  }

  async setIfHurt(actor: Actor, { call }: IfHurt): Promise<TeamView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      await this.repository.lockTeam(trx);
      const { name, call_if_hurt: before } = await this.repository.team(trx);
      const after = call.trim();
      if (after === (before ?? '')) return this.viewIn(trx, actor);
      await this.repository.setCallIfHurt(trx, after === '' ? null : after);
      await this.audit.note(trx, actor, {
        action: 'said whom to call if somebody is hurt',
        kind: 'team',
        id: actor.teamId,
        name,
        before: { callIfHurt: before ?? '' },
        after: { callIfHurt: after },
      });
      return this.viewIn(trx, actor);
    });
  }

  private async viewIn(trx: TeamTransaction, actor: Actor): Promise<TeamView> {
    const team = await this.repository.team(trx);
    const people = await this.repository.people(trx);
    const vehicles = await this.repository.vehicles(trx);
    const kits = await this.repository.kits(trx);
    const { policyVersionId, contentHash, policy } = await this.repository.policyInForce(trx);
    return {
      teamId: team.team_id,
      name: team.name,
      decimalMark: team.decimal_mark,
      today: this.clock.today(),
      actor: { personId: actor.personId, name: actor.name, role: actor.role },
      kits: kits.map(({ kit_id, name }) => ({ kitId: kit_id, name })),
      vehicles: vehicles.map(({ vehicle_id, name, model, mass_kg, length_m, width_m }) => ({
        vehicleId: vehicle_id,
        name,
        model,
        massKg: mass_kg,
        lengthM: length_m,
        widthM: width_m,
      })),
      policy: { policyVersionId, contentHash, content: policy },
      ifHurt: { call: team.call_if_hurt ?? '' },
      firstAiders: people.filter(({ first_aider, left_on }) => first_aider && left_on === null).map(({ name }) => name),
      ...(team.demo && { demo: team.demo }),
    };
  }

  /** Founds a team with its people and the standard policy. Who signs in is settled apart from it. */
  async found(team: NewTeam): Promise<Actor> {
    const teamId = randomUUID();
    return this.database.inTeam(teamId, (trx) => this.foundIn(trx, teamId, team));
  }

  /** The same in the caller’s transaction, which names the team. */
  async foundIn(trx: TeamTransaction, teamId: string, { name, decimalMark, demo, people }: NewTeam): Promise<Actor> {
    const members = people.map((person) => ({ ...person, personId: randomUUID() }));
    const first = members[0];
    if (!first) throw new Error('Broken invariant: a team is founded by at least one person');
    await trx
      .insertInto('team')
      .values({ team_id: teamId, name, decimal_mark: decimalMark, demo: demo ?? null })
      .execute();
    await trx
      .insertInto('person')
      .values(
        members.map(({ personId, name, role, firstAider }) => ({
          team_id: teamId,
          person_id: personId,
          name,
          role,
          left_on: null,
          first_aider: firstAider,
        })),
      )
      .execute();
    await trx
      .insertInto('policy_version')
      .values({
        team_id: teamId,
        policy_version_id: randomUUID(),
        content: JSON.stringify(teamStandard),
        content_hash: policyHash(teamStandard),
        reason: 'Standard tables at founding',
        created_by: first.personId,
      })
      .execute();
    await this.audit.note(
      trx,
      { teamId, ...first },
      { action: 'founded the team', kind: 'team', id: teamId, name, after: { name, people: people.length } },
    );
    return { teamId, personId: first.personId, name: first.name, role: first.role };
  }
}
