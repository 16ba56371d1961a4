import { Injectable } from '@nestjs/common';
import { isUseCheck, type RoundKeep, type RoundList, type RoundView } from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { conflict, notFound } from '../http/problem.ts';
import { refuseFull } from './full-inspection.ts';
import { RoundRepository } from './round.repository.ts';

/** Rounds that are being worked through at the bench: each is one person's on one device, until somebody takes it over. */
@Injectable()
export class RoundService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: RoundRepository,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor): Promise<RoundList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.list(trx) }));
  }

  /** Keeps a round as its device has it now. Where somebody took it over meanwhile, that device learns it and nothing is kept. */
  async keep(actor: Actor, roundId: string, input: RoundKeep): Promise<RoundView> {
    return this.database.inTeamOnce(actor.teamId, roundId, async (trx) => {
      const before = await this.repository.byId(trx, roundId);
      if (before && (before.deviceId !== input.deviceId || before.personId !== actor.personId))
        throw conflict(`${before.by} took this round over on another device.`, before);
      await this.repository.keep(trx, actor, roundId, input);
      return this.found(trx, roundId);
    });
  }

  /** Makes the round this person's on this device, with all that the other had told of it. */
  async takeOver(actor: Actor, roundId: string, deviceId: string): Promise<RoundView> {
    return this.database.inTeamOnce(actor.teamId, roundId, async (trx) => {
      const before = await this.found(trx, roundId);
      if (!isUseCheck(before.kind)) refuseFull(actor);
      if (before.deviceId === deviceId && before.personId === actor.personId) return before;
      await this.repository.hold(trx, actor, roundId, deviceId);
      await this.audit.note(trx, actor, {
        action: 'took over the round',
        kind: 'round',
        id: roundId,
        name: before.title,
        before: { holder: `${before.by}, on one device` },
        after: { holder: `${actor.name}, on another device` },
      });
      return this.found(trx, roundId);
    });
  }

  /** Whoever holds a round puts it away; of anybody else's nothing happens. */
  async putAway(actor: Actor, roundId: string, deviceId: string): Promise<void> {
    await this.database.inTeam(actor.teamId, (trx) => this.repository.putAway(trx, actor, roundId, deviceId));
  }

  private async found(trx: TeamTransaction, roundId: string): Promise<RoundView> {
    const view = await this.repository.byId(trx, roundId);
    if (!view) throw notFound('round', roundId);
    return view;
  }
}
