import { Injectable } from '@nestjs/common';
import type { LayoutCreate, LayoutList } from '@wainrope/contract';
import { referenceFaults, usesOf } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { invalid, notFound } from '../http/problem.ts';
import { LayoutRepository } from './layout.repository.ts';

/** Layouts of the team's own, beside those of the trade: rigs to begin with. */
@Injectable()
export class LayoutService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: LayoutRepository,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor): Promise<LayoutList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.offered(trx) }));
  }

  /** Sent twice with one id, it keeps one. */
  async keep(actor: Actor, { layoutId, name, rig }: LayoutCreate): Promise<LayoutList> {
    return this.database.inTeamOnce(actor.teamId, layoutId, async (trx) => {
      if ((await this.repository.nameOf(trx, layoutId)) === undefined) {
        const faults = referenceFaults(rig, new Set(), '');
        if (faults.length > 0) throw invalid(faults, 'This rig is not understood as a layout: it must name no pieces.');
        if (usesOf(rig).length === 0) throw invalid([{ path: 'rig', message: 'Nothing is laid yet; a layout has at least one line.' }]);
        await this.refuseTakenName(trx, name);
        await this.repository.add(trx, actor, { id: layoutId, name, rig });
        await this.note(trx, actor, 'kept a layout', name);
      }
      return { items: await this.repository.offered(trx) };
    });
  }

  /** Offered no more; plans laid by it stay. */
  async putAway(actor: Actor, layoutId: string): Promise<LayoutList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const name = await this.repository.nameOf(trx, layoutId);
      if (name === undefined) throw notFound('layout', layoutId);
      if (await this.repository.putAway(trx, layoutId)) await this.note(trx, actor, 'put a layout away', name);
      return { items: await this.repository.offered(trx) };
    });
  }

  private async refuseTakenName(trx: TeamTransaction, name: string): Promise<void> {
    const taken = (await this.repository.offered(trx)).some((layout) => layout.name.toLowerCase() === name.toLowerCase());
    if (taken) throw invalid([{ path: 'name', message: `There is a layout called ${name} already; choose another name.` }]);
  }

  private note(trx: TeamTransaction, actor: Actor, action: string, name: string): Promise<void> {
    return this.audit.note(trx, actor, { action, kind: 'team', id: actor.teamId, name });
  }
}
