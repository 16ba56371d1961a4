import { Injectable } from '@nestjs/common';
import { TeamDatabase } from '../database/team-database.ts';
import { ProblemException } from '../http/problem.ts';
import type { Actor } from './actor.ts';

/** The one place that says who acts. Until people sign in, it is the local actor, and the server listens on loopback only. */
@Injectable()
export class ActorResolver {
  constructor(private readonly database: TeamDatabase) {}

  async resolve(): Promise<Actor> {
    const local = await this.database.outsideTeams((db) =>
      db.selectFrom('local_actor').select(['team_id', 'person_id']).executeTakeFirst(),
    );
    if (!local)
      throw new ProblemException({
        status: 503,
        title: 'No team yet',
        detail: 'The database holds no team. Run `npm start` to load the demo team.',
      });
    return this.database.inTeam(local.team_id, async (trx) => {
      const person = await trx
        .selectFrom('person')
        .select(['name', 'role'])
        .where('person_id', '=', local.person_id)
        .executeTakeFirstOrThrow();
      return { teamId: local.team_id, personId: local.person_id, name: person.name, role: person.role };
    });
  }
}
