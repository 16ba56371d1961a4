import { Injectable } from '@nestjs/common';
import {
  type InvitationLink,
  may,
  type PeopleList,
  type PersonChange,
  type PersonCreate,
  type PersonListed,
  type PersonPage,
  type PracticeCreate,
} from '@wainrope/contract';
import { isDay } from '@wainrope/core';
import { AccessRepository } from '../access/access.repository.ts';
import { AccessService } from '../access/access.service.ts';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { type FieldFault, invalid, notFound } from '../http/problem.ts';
import { InspectionRepository } from '../inspections/inspection.repository.ts';
import { OutingRepository } from '../outings/outing.repository.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { PeopleRepository } from './people.repository.ts';

const INSPECTIONS_SHOWN = 40;

@Injectable()
export class PeopleService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly teams: TeamRepository,
    private readonly repository: PeopleRepository,
    private readonly access: AccessRepository,
    private readonly invitations: AccessService,
    private readonly audit: AuditTrail,
    private readonly clock: Clock,
    private readonly inspections: InspectionRepository,
    private readonly outings: OutingRepository,
  ) {}

  async list(actor: Actor): Promise<PeopleList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: [...(await this.listed(trx, actor))] }));
  }

  /** Sent twice with one id, it adds one person. */
  async add(actor: Actor, { personId, name, role, firstAider }: PersonCreate): Promise<PersonListed> {
    return this.database.inTeamOnce(actor.teamId, personId, async (trx) => {
      const existing = (await this.listed(trx, actor)).find((person) => person.personId === personId);
      if (existing) return existing;
      await this.refuseTakenName(trx, name);
      await this.repository.add(trx, { team_id: actor.teamId, person_id: personId, name, role, left_on: null, first_aider: firstAider });
      await this.audit.note(trx, actor, {
        action: 'added a person',
        kind: 'person',
        id: personId,
        name,
        after: { name, role, ...(firstAider && { firstAider }) },
      });
      return this.one(trx, actor, personId);
    });
  }

  async change(actor: Actor, personId: string, { name, role, left, firstAider }: PersonChange): Promise<PersonListed> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      // One change at a time: two who demote each other at once would leave none.
      await this.teams.lockTeam(trx);
      const before = await this.one(trx, actor, personId);
      await this.refuseTakenName(trx, name, personId);
      if (before.role === 'coordinator' && (role !== 'coordinator' || left)) await this.refuseLastCoordinator(trx, personId);
      await this.repository.change(trx, personId, { name, role, left_on: left ? this.clock.today() : null, first_aider: firstAider });
      const after = await this.one(trx, actor, personId);
      const account = left && (await this.access.accountOfPerson(trx, { teamId: actor.teamId, personId }));
      if (account) await this.access.endSessions(trx, account.account_id);
      await this.audit.note(trx, actor, {
        action: left ? 'noted as having left' : 'changed a person',
        kind: 'person',
        id: personId,
        name,
        before,
        after,
      });
      return after;
    });
  }

  async invite(actor: Actor, personId: string): Promise<InvitationLink> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const person = await this.one(trx, actor, personId);
      if (person.left) throw invalid([{ path: 'personId', message: `${person.name} has left the team; take that back first.` }]);
      await this.audit.note(trx, actor, { action: 'made an invitation', kind: 'person', id: personId, name: person.name });
      return this.invitations.invite(trx, actor, personId);
    });
  }

  async page(actor: Actor, personId: string): Promise<PersonPage> {
    return this.database.inTeam(actor.teamId, (trx) => this.pageOf(trx, actor, personId));
  }

  async addPractice(actor: Actor, personId: string, input: PracticeCreate): Promise<PersonPage> {
    return this.database.inTeamOnce(actor.teamId, input.practiceId, async (trx) => {
      const person = await this.one(trx, actor, personId);
      const seenBy = await this.teams.person(trx, input.seenBy);
      const faults: FieldFault[] = [];
      if (!seenBy) faults.push({ path: 'seenBy', message: 'The person who saw it is not in this team.' });
      if (input.seenBy === personId) faults.push({ path: 'seenBy', message: 'Somebody else must have seen it.' });
      if (!isDay(input.on)) faults.push({ path: 'on', message: `${input.on} is not a day of the calendar.` });
      else if (input.on > this.clock.today())
        faults.push({ path: 'on', message: `${input.on} has not come yet; note it when it was done.` });
      if (faults.length > 0) throw invalid(faults);
      if (await this.repository.hasPractice(trx, input.practiceId)) return this.pageOf(trx, actor, personId);
      await this.repository.addPractice(trx, {
        team_id: actor.teamId,
        practice_id: input.practiceId,
        person_id: personId,
        layout: input.layout,
        practised_on: input.on,
        seen_by: input.seenBy,
        note: input.note ?? null,
        recorded_by: actor.personId,
      });
      const after = { layout: input.layout, on: input.on, seenBy: seenBy?.name };
      await this.audit.note(trx, actor, {
        action: 'noted a practice',
        kind: 'person',
        id: personId,
        name: person.name,
        after,
        note: input.note,
      });
      return this.pageOf(trx, actor, personId);
    });
  }

  private async pageOf(trx: TeamTransaction, actor: Actor, personId: string): Promise<PersonPage> {
    const person = await this.one(trx, actor, personId);
    return {
      person,
      practised: await this.repository.practised(trx, personId),
      holds: await this.outings.heldBy(trx, personId),
      inspected: await this.inspections.list(trx, { person: personId, limit: INSPECTIONS_SHOWN }),
      inspections: await this.repository.inspections(trx, personId),
    };
  }

  /** Sign-in names are shown to whoever invites people, and each their own. */
  private async listed(trx: TeamTransaction, actor: Actor): Promise<readonly PersonListed[]> {
    const logins = await this.access.loginsOfTeam(trx, actor.teamId);
    const shows = (personId: string) => may(actor.role, 'people.write') || personId === actor.personId;
    return (await this.teams.people(trx)).map(({ person_id, name, role, left_on, first_aider }) => {
      const login = shows(person_id) ? logins.get(person_id) : undefined;
      return {
        personId: person_id,
        name,
        role,
        left: left_on !== null,
        firstAider: first_aider ?? false,
        ...(login !== undefined && { login }),
      };
    });
  }

  private async one(trx: TeamTransaction, actor: Actor, personId: string): Promise<PersonListed> {
    const person = (await this.listed(trx, actor)).find((entry) => entry.personId === personId);
    if (!person) throw notFound('person', personId);
    return person;
  }

  private async refuseTakenName(trx: TeamTransaction, name: string, own?: string): Promise<void> {
    const taken = (await this.teams.people(trx)).find(
      (person) => person.name.toLowerCase() === name.toLowerCase() && person.person_id !== own,
    );
    if (taken) throw invalid([{ path: 'name', message: `${taken.name} is in the team already; add a second name or a call sign.` }]);
  }

  private async refuseLastCoordinator(trx: TeamTransaction, personId: string): Promise<void> {
    const others = (await this.teams.people(trx)).filter(
      ({ person_id, role, left_on }) => role === 'coordinator' && left_on === null && person_id !== personId,
    );
    if (others.length === 0) throw invalid([{ path: 'role', message: 'The team needs a coordinator; make somebody else one first.' }]);
  }
}
