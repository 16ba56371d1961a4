import { Injectable } from '@nestjs/common';
import type { CalendarLink } from '@wainrope/contract';
import { default as ical } from 'ical-generator';
import { newToken, tokenHash } from '../access/invitation-token.ts';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { GearRepository, type PieceDues } from '../gear/gear.repository.ts';
import { notFound } from '../http/problem.ts';
import { OutingRepository } from '../outings/outing.repository.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { CalendarRepository } from './calendar.repository.ts';

@Injectable()
export class CalendarService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: CalendarRepository,
    private readonly gear: GearRepository,
    private readonly outings: OutingRepository,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
  ) {}

  async view(actor: Actor): Promise<CalendarLink> {
    const link = await this.database.outsideTeams((db) => this.repository.active(db, actor));
    return link ? { active: true, madeAt: link.made_at.toISOString() } : { active: false };
  }

  async make(actor: Actor): Promise<CalendarLink> {
    const token = newToken();
    await this.database.inTeam(actor.teamId, async (trx) => {
      await this.repository.revoke(trx, actor);
      await this.repository.add(trx, actor, tokenHash(token));
      await this.audit.note(trx, actor, { action: 'made a calendar link', kind: 'account', id: actor.personId, name: actor.name });
    });
    return { active: true, path: `/api/v1/calendar/${token}.ics` };
  }

  async revoke(actor: Actor): Promise<CalendarLink> {
    await this.database.inTeam(actor.teamId, async (trx) => {
      if (!(await this.repository.revoke(trx, actor))) return;
      await this.audit.note(trx, actor, { action: 'ended the calendar link', kind: 'account', id: actor.personId, name: actor.name });
    });
    return { active: false };
  }

  /** One whole-day event for each day and kit on which something falls due, and for what is to come back. */
  async feed(address: string): Promise<string> {
    const holder = await this.database.outsideTeams((db) => this.repository.holder(db, tokenHash(address.replace(/\.ics$/, ''))));
    if (!holder) throw notFound('calendar', 'at this address');
    return this.database.inTeam(holder.team_id, async (trx) => {
      const person = await this.teams.person(trx, holder.person_id);
      if (!person || person.left_on !== null) throw notFound('calendar', 'at this address');
      const team = await this.teams.team(trx);
      const kits = new Map((await this.teams.kits(trx)).map(({ kit_id, name }) => [kit_id, name]));
      const calendar = ical({ name: `${team.name}: due` });
      for (const [key, pieces] of byDayAndKit(await this.gear.dues(trx), kits)) {
        const [day = '', kit = ''] = key.split('|');
        calendar.createEvent({
          id: `due-${key}@${holder.team_id}`,
          start: new Date(`${day}T00:00:00Z`),
          allDay: true,
          summary: `Inspect ${pieces.length} ${pieces.length === 1 ? 'piece' : 'pieces'}${kit && `, ${kit}`}`,
          description: pieces.map(({ tag, name }) => `${tag} ${name}`).join('\n'),
        });
      }
      for (const { outingId, name, holder: who, dueBackOn, closedAt } of await this.outings.list(trx))
        if (dueBackOn !== undefined && closedAt === undefined)
          calendar.createEvent({
            id: `back-${outingId}`,
            start: new Date(`${dueBackOn}T00:00:00Z`),
            allDay: true,
            summary: `Count back: ${name} (${who})`,
          });
      return calendar.toString();
    });
  }
}

function byDayAndKit(pieces: readonly PieceDues[], kits: ReadonlyMap<string, string>): ReadonlyMap<string, readonly PieceDues[]> {
  const groups = new Map<string, PieceDues[]>();
  for (const piece of pieces) {
    const day = piece.inspection?.nextDue;
    if (day === undefined) continue;
    const key = `${day}|${kits.get(piece.kitId ?? '') ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), piece]);
  }
  return groups;
}
