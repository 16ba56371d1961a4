import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { VehicleTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

@Injectable()
export class TeamRepository {
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

  /** The policy in force: the newest version. */
  policy(trx: TeamTransaction) {
    return trx
      .selectFrom('policy_version')
      .selectAll()
      .orderBy('created_at', 'desc')
      .orderBy('policy_version_id')
      .limit(1)
      .executeTakeFirstOrThrow();
  }

  async addKit(trx: TeamTransaction, teamId: string, name: string): Promise<string> {
    const kitId = randomUUID();
    await trx.insertInto('kit').values({ team_id: teamId, kit_id: kitId, name }).execute();
    return kitId;
  }

  async addVehicle(trx: TeamTransaction, vehicle: VehicleTable): Promise<void> {
    await trx.insertInto('vehicle').values(vehicle).execute();
  }
}
