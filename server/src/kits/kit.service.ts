import { Injectable } from '@nestjs/common';
import type { KitChange, KitContents, KitCreate, KitDetail, KitList, WantedView } from '@wainrope/contract';
import { gearClasses } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { gearName } from '../gear/gear.service.ts';
import { conflict, type FieldFault, invalid, notFound } from '../http/problem.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { KitRepository } from './kit.repository.ts';

type KitContent = Omit<KitChange, 'rowVersion'>;

@Injectable()
export class KitService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: KitRepository,
    private readonly gear: GearRepository,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor): Promise<KitList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.all(trx) }));
  }

  /** Sent twice with one id, it makes one kit. */
  async add(actor: Actor, { kitId, ...input }: KitCreate): Promise<KitDetail> {
    return this.database.inTeamOnce(actor.teamId, kitId, async (trx) => {
      const existing = await this.repository.locked(trx, kitId);
      if (existing) return existing;
      await this.check(trx, input, undefined);
      await this.repository.add(trx, actor.teamId, kitId, columnsOf(input));
      await this.repository.setWanted(trx, actor.teamId, kitId, input.wanted);
      await this.audit.note(trx, actor, { action: 'made a kit', kind: 'kit', id: kitId, name: input.name, after: told(input) });
      return this.one(trx, kitId);
    });
  }

  async change(actor: Actor, kitId: string, { rowVersion, ...input }: KitChange): Promise<KitDetail> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const before = await this.one(trx, kitId);
      if (before.rowVersion !== rowVersion) throw conflict(`${before.name} was changed while you worked on it.`, before);
      await this.check(trx, input, kitId);
      await this.repository.change(trx, kitId, columnsOf(input));
      await this.repository.setWanted(trx, actor.teamId, kitId, input.wanted);
      await this.audit.note(trx, actor, {
        action: 'changed a kit',
        kind: 'kit',
        id: kitId,
        name: input.name,
        before: told(before),
        after: told(input),
      });
      return this.one(trx, kitId);
    });
  }

  /** Puts pieces in and takes pieces out; a piece that lay in another kit leaves that one. */
  async contents(actor: Actor, kitId: string, { add, remove }: KitContents): Promise<KitDetail> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const kit = await this.one(trx, kitId);
      const pieces = await this.gear.byIds(trx, [...add, ...remove]);
      const unknown = [...add, ...remove].filter((id) => !pieces.some(({ gearId }) => gearId === id));
      const retired = pieces.filter(({ gearId, state }) => add.includes(gearId) && state === 'retired');
      const faults: FieldFault[] = [
        ...unknown.map((id) => ({ path: 'add', message: `No piece has the id ${id}.` })),
        ...retired.map(({ tag }) => ({ path: 'add', message: `${tag} is retired and goes into no kit.` })),
      ];
      if (faults.length > 0) throw invalid(faults);
      const coming = pieces.filter((piece) => add.includes(piece.gearId) && piece.kitId !== kitId);
      const leaving = pieces.filter((piece) => remove.includes(piece.gearId) && piece.kitId === kitId);
      const names = new Map((await this.repository.all(trx)).map((entry) => [entry.kitId, entry.name]));
      await this.gear.move(
        trx,
        actor,
        coming.map(({ gearId }) => gearId),
        kitId,
      );
      await this.gear.move(
        trx,
        actor,
        leaving.map(({ gearId }) => gearId),
        null,
      );
      const moved = [...coming.map((piece) => ({ piece, to: kit.name })), ...leaving.map((piece) => ({ piece, to: undefined }))];
      await this.audit.noteAll(
        trx,
        actor,
        moved.map(({ piece, to }) => ({
          action: to === undefined ? `took out of ${kit.name}` : `put into ${kit.name}`,
          kind: 'gear' as const,
          id: piece.gearId,
          name: gearName(piece),
          before: { kit: names.get(piece.kitId ?? '') },
          after: { kit: to },
        })),
      );
      return kit;
    });
  }

  private async one(trx: TeamTransaction, kitId: string): Promise<KitDetail> {
    const kit = await this.repository.locked(trx, kitId);
    if (!kit) throw notFound('kit', kitId);
    return kit;
  }

  private async check(trx: TeamTransaction, { name, vehicleId }: KitContent, own: string | undefined): Promise<void> {
    const faults: FieldFault[] = [];
    const taken = (await this.repository.all(trx)).some((kit) => kit.name.toLowerCase() === name.toLowerCase() && kit.kitId !== own);
    if (taken) faults.push({ path: 'name', message: `A kit is called ${name} already; choose another name.` });
    if (vehicleId && !(await this.teams.vehicles(trx)).some(({ vehicle_id }) => vehicle_id === vehicleId))
      faults.push({ path: 'vehicleId', message: 'There is no such vehicle.' });
    if (faults.length > 0) throw invalid(faults);
  }
}

const columnsOf = ({ name, terrain, vehicleId, note }: KitContent) => ({
  name,
  terrain: terrain ?? null,
  vehicle_id: vehicleId ?? null,
  note: note ?? null,
});

const wantedWords = ({ kind, count, leastWllN }: WantedView): string =>
  `${count} × ${gearClasses[kind].label.toLowerCase()}${leastWllN === undefined ? '' : ` of at least ${leastWllN / 1000} kN`}`;

const told = ({ name, terrain, note, wanted }: KitContent): object => ({ name, terrain, note, wanted: wanted.map(wantedWords) });
