import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { type Policy, readPolicy } from '@wainrope/core';
import { sql } from 'kysely';
import { LRUCache } from 'lru-cache';
import type { Actor } from '../actor/actor.ts';
import { readStored } from '../database/read-stored.ts';
import type { TeamTransaction } from '../database/team-database.ts';

/** Names of kits and vehicles by id. */
export interface Whereabouts {
  readonly kitNames: ReadonlyMap<string, string>;
  readonly vehicleNames: ReadonlyMap<string, string>;
}

export interface PolicyInForce {
  readonly policyVersionId: string;
  readonly contentHash: string;
  readonly policy: Policy;
}

@Injectable()
export class TeamRepository {
  private readonly policiesRead = new LRUCache<string, Policy>({ max: 50 });

  team(trx: TeamTransaction) {
    return trx.selectFrom('team').selectAll().executeTakeFirstOrThrow();
  }

  people(trx: TeamTransaction) {
    return trx.selectFrom('person').selectAll().orderBy('name').execute();
  }

  person(trx: TeamTransaction, personId: string) {
    return trx.selectFrom('person').selectAll().where('person_id', '=', personId).executeTakeFirst();
  }

  kits(trx: TeamTransaction) {
    return trx.selectFrom('kit').select(['kit_id', 'name']).orderBy('name').execute();
  }

  vehicles(trx: TeamTransaction) {
    return trx.selectFrom('vehicle').selectAll().orderBy('name').execute();
  }

  private newestPolicy(trx: TeamTransaction) {
    return trx.selectFrom('policy_version').orderBy('created_at', 'desc').orderBy('policy_version_id').limit(1);
  }

  /** By which hash the policy in force is known. */
  async policyHashInForce(trx: TeamTransaction): Promise<string> {
    return (await this.newestPolicy(trx).select('content_hash').executeTakeFirstOrThrow()).content_hash;
  }

  /** The policy in force: the newest version, read. */
  async policyInForce(trx: TeamTransaction): Promise<PolicyInForce> {
    const row = await this.newestPolicy(trx).select(['team_id', 'policy_version_id', 'content_hash']).executeTakeFirstOrThrow();
    const { team_id: teamId, policy_version_id: id, content_hash: contentHash } = row;
    const policy = this.policiesRead.get(`${teamId} ${id}`) ?? (await this.policyOf(trx, teamId, id));
    return { policyVersionId: id, contentHash, policy };
  }

  /** A version, which is never changed, read once. */
  private async policyOf(trx: TeamTransaction, teamId: string, id: string): Promise<Policy> {
    const { content } = await trx
      .selectFrom('policy_version')
      .select('content')
      .where('policy_version_id', '=', id)
      .executeTakeFirstOrThrow();
    const policy = readStored(`Policy ${id}`, readPolicy(content));
    this.policiesRead.set(`${teamId} ${id}`, policy);
    return policy;
  }

  /** Every version with who made it, newest first. */
  policies(trx: TeamTransaction) {
    return trx
      .selectFrom('policy_version as v')
      .innerJoin('person as p', 'p.person_id', 'v.created_by')
      .select([
        'v.policy_version_id',
        'v.content_hash',
        'v.reason',
        'v.created_at',
        'p.name as by_name',
        sql<string | null>`v.content->>'name'`.as('name'),
      ])
      .orderBy('v.created_at', 'desc')
      .orderBy('v.policy_version_id')
      .execute();
  }

  /** One change of the team's settings at a time. */
  async lockTeam(trx: TeamTransaction): Promise<void> {
    await trx.selectFrom('team').select('team_id').forUpdate().execute();
  }

  async setCallIfHurt(trx: TeamTransaction, call: string | null): Promise<void> {
    await trx.updateTable('team').set({ call_if_hurt: call }).execute();
  }

  async addPolicy(
    trx: TeamTransaction,
    actor: Actor,
    version: { readonly id: string; readonly content: Policy; readonly contentHash: string; readonly reason: string },
  ): Promise<void> {
    await trx
      .insertInto('policy_version')
      .values({
        team_id: actor.teamId,
        policy_version_id: version.id,
        content: JSON.stringify(version.content),
        content_hash: version.contentHash,
        reason: version.reason,
        created_by: actor.personId,
      })
      .execute();
  }

  /** Names of kits and vehicles by their ids. */
  async whereabouts(trx: TeamTransaction): Promise<Whereabouts> {
    const [kits, vehicles] = [await this.kits(trx), await this.vehicles(trx)];
    return {
      kitNames: new Map(kits.map(({ kit_id, name }) => [kit_id, name])),
      vehicleNames: new Map(vehicles.map(({ vehicle_id, name }) => [vehicle_id, name])),
    };
  }

  async addKit(trx: TeamTransaction, teamId: string, name: string): Promise<string> {
    const kitId = randomUUID();
    await trx.insertInto('kit').values({ team_id: teamId, kit_id: kitId, name }).execute();
    return kitId;
  }
}
