import { Injectable } from '@nestjs/common';
import type { Request } from 'express';
import type { Actor } from '../actor/actor.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { ProblemException } from '../http/problem.ts';
import { AccessRepository } from './access.repository.ts';

const signedOut = () =>
  new ProblemException({ status: 401, title: 'Not signed in', detail: 'Sign in and try again; what you entered is still on this page.' });

/** The one place that says who acts: the person of the request's session, as the team knows them now. */
@Injectable()
export class ActorResolver {
  constructor(
    private readonly database: TeamDatabase,
    private readonly access: AccessRepository,
  ) {}

  async resolve({ session }: Request): Promise<Actor> {
    const { signedIn } = session ?? {};
    if (!signedIn) throw signedOut();
    const { teamId, accountId } = signedIn;
    const person = await this.database.inTeam(teamId, (trx) => this.access.memberOf(trx, { teamId, accountId }));
    if (!person || person.left_on !== null) throw signedOut();
    return { teamId, personId: person.person_id, name: person.name, role: person.role };
  }
}
