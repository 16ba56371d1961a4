import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { SheetList, SheetSave, SheetView } from '@wainrope/contract';
import { type GearClass, gearClasses, sheetFaults } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { conflict, invalid } from '../http/problem.ts';
import { Forecasts } from './forecasts.ts';
import { SheetRepository } from './sheet.repository.ts';

@Injectable()
export class SheetService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: SheetRepository,
    private readonly forecasts: Forecasts,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor): Promise<SheetList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.inForce(trx) }));
  }

  /** A new version; inspections keep the one they were made with. */
  async save(actor: Actor, kind: GearClass, { baseVersion, sheet, reason }: SheetSave): Promise<SheetView> {
    const twice = sheetFaults(sheet);
    if (twice.length > 0) throw invalid(twice.map(({ path, message }) => ({ path: `sheet.${path}`, message })));
    return this.database.inTeam(actor.teamId, async (trx) => {
      const before = await this.repository.inForceFor(trx, kind);
      if (before.version !== baseVersion)
        throw conflict(`Version ${before.version} of this sheet was saved by ${before.savedBy} while you worked on it.`, before);
      await this.repository.add(trx, actor, { kind, version: before.version + 1, sheet, reason });
      await this.forecasts.renewKind(trx, kind);
      await this.audit.note(trx, actor, {
        action: `saved version ${before.version + 1} of the sheet for`,
        kind: 'template',
        id: idOfKind(kind),
        name: gearClasses[kind].plural.toLowerCase(),
        before: before.sheet,
        after: sheet,
        note: reason,
      });
      return this.repository.inForceFor(trx, kind);
    });
  }
}

/** A class has no id of its own; the trail's subject is made from its name, always the same. */
function idOfKind(kind: GearClass): string {
  const hex = createHash('sha256').update(`sheet:${kind}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
