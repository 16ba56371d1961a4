import { Injectable } from '@nestjs/common';
import type { HookUpBook, HookUpCreate, VehicleChange, VehicleCreate, VehicleDetail, VehicleList } from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { AuditRepository } from '../audit/audit.repository.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { conflict, invalid, notFound } from '../http/problem.ts';
import { VehicleRepository } from './vehicle.repository.ts';

/** Vehicles and the hook-up book, which remembers every underside by model. */
@Injectable()
export class VehicleService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: VehicleRepository,
    private readonly audit: AuditTrail,
    private readonly trail: AuditRepository,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor): Promise<VehicleList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.all(trx) }));
  }

  /** Sent twice with one id, it adds one vehicle. */
  async add(actor: Actor, { vehicleId, ...content }: VehicleCreate): Promise<VehicleDetail> {
    return this.database.inTeamOnce(actor.teamId, vehicleId, async (trx) => {
      const existing = await this.repository.locked(trx, vehicleId);
      if (existing) return existing;
      await this.refuseTakenName(trx, content.name, undefined);
      await this.repository.add(trx, actor.teamId, vehicleId, content);
      await this.audit.note(trx, actor, { action: 'added a vehicle', kind: 'vehicle', id: vehicleId, name: content.name, after: content });
      return this.one(trx, vehicleId);
    });
  }

  async change(actor: Actor, vehicleId: string, { rowVersion, ...content }: VehicleChange): Promise<VehicleDetail> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const before = await this.one(trx, vehicleId);
      if (before.rowVersion !== rowVersion) throw conflict(`${before.name} was changed while you worked on it.`, before);
      await this.refuseTakenName(trx, content.name, vehicleId);
      await this.repository.change(trx, vehicleId, content);
      const { photoIds: _photos, vehicleId: _id, ...was } = before;
      await this.audit.note(trx, actor, {
        action: 'changed a vehicle',
        kind: 'vehicle',
        id: vehicleId,
        name: content.name,
        before: was,
        after: content,
      });
      return this.one(trx, vehicleId);
    });
  }

  async book(actor: Actor): Promise<HookUpBook> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.book(trx) }));
  }

  /** Writes an entry; an earlier one that it corrects no longer stands. Sent twice with one id, it is written once. */
  async write(actor: Actor, entry: HookUpCreate): Promise<HookUpBook> {
    return this.database.inTeamOnce(actor.teamId, entry.entryId, async (trx) => {
      if (await this.repository.hasEntry(trx, entry.entryId)) return { items: await this.repository.book(trx) };
      if (entry.corrects !== undefined && !(await this.repository.hasEntry(trx, entry.corrects)))
        throw notFound('entry of the hook-up book', entry.corrects);
      refuseFigures(entry);
      await this.repository.addEntry(trx, actor, entry, this.clock.today());
      const corrects = entry.corrects === undefined ? undefined : await this.trail.entryOf(trx, entry.corrects);
      const { entryId, corrects: _corrects, note, ...after } = entry;
      await this.audit.note(trx, actor, {
        action: corrects ? 'corrected the hook-up book:' : 'wrote in the hook-up book:',
        kind: 'hook-up',
        id: entryId,
        name: entry.model,
        after,
        note,
        corrects,
      });
      return { items: await this.repository.book(trx) };
    });
  }

  private async one(trx: TeamTransaction, vehicleId: string): Promise<VehicleDetail> {
    const vehicle = await this.repository.locked(trx, vehicleId);
    if (!vehicle) throw notFound('vehicle', vehicleId);
    return vehicle;
  }

  private async refuseTakenName(trx: TeamTransaction, name: string, own: string | undefined): Promise<void> {
    const taken = (await this.repository.all(trx)).some(
      (vehicle) => vehicle.name.toLowerCase() === name.toLowerCase() && vehicle.vehicleId !== own,
    );
    if (taken) throw invalid([{ path: 'name', message: `A vehicle is called ${name} already; choose another name.` }]);
  }
}

/** Refuses figures that what is written cannot have. */
function refuseFigures({ kind, loadN, radiusM }: HookUpCreate): void {
  if (kind === 'refused' && loadN !== undefined)
    throw invalid([{ path: 'loadN', message: 'A place that is refused holds no load; say in the note what happened.' }]);
  if (kind === 'touched' && loadN !== undefined)
    throw invalid([{ path: 'loadN', message: 'A part that a line only touches holds no load; leave the load out.' }]);
  if (kind !== 'touched' && radiusM !== undefined)
    throw invalid([{ path: 'radiusM', message: 'A radius is written of a part that a line touches; choose “touched” or leave it out.' }]);
}
