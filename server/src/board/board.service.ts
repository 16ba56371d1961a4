import { Injectable } from '@nestjs/common';
import { type FirstSteps, type Reminders, type SinceVisit, wantsInspecting } from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { AuditRepository } from '../audit/audit.repository.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { OutingRepository } from '../outings/outing.repository.ts';
import { FirstStepsRepository } from './first-steps.repository.ts';

const SHOWN = 12;

/** What others have done since a person last looked. */
@Injectable()
export class BoardService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly audit: AuditRepository,
    private readonly gear: GearRepository,
    private readonly outings: OutingRepository,
    private readonly steps: FirstStepsRepository,
    private readonly clock: Clock,
  ) {}

  async since(actor: Actor): Promise<SinceVisit> {
    return this.database.inTeam(actor.teamId, (trx) => this.view(trx, actor));
  }

  async seen(actor: Actor, upTo: number): Promise<SinceVisit> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const newest = Number(await this.audit.newestEntryNo(trx));
      await this.audit.markSeen(trx, actor, Math.min(upTo, newest));
      return this.view(trx, actor);
    });
  }

  async reminders(actor: Actor): Promise<Reminders> {
    const today = this.clock.today();
    return this.database.inTeam(actor.teamId, async (trx) => ({
      overdue: (await this.gear.dues(trx, today)).filter((piece) => wantsInspecting({ ...piece, state: 'in-use' }, today)).length,
      lateBack: await this.outings.lateOn(trx, today),
    }));
  }

  async firstSteps(actor: Actor): Promise<FirstSteps> {
    return this.database.inTeam(actor.teamId, (trx) => this.steps.of(trx));
  }

  async putFirstStepsAway(actor: Actor, putAway: boolean): Promise<FirstSteps> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      await this.steps.putAway(trx, putAway);
      return this.steps.of(trx);
    });
  }

  private async view(trx: TeamTransaction, actor: Actor): Promise<SinceVisit> {
    const visit = await this.audit.visitOf(trx, actor);
    const newest = Number(await this.audit.newestEntryNo(trx));
    const byOthers = await this.audit.byOthersSince(trx, actor, visit?.seen_entry_no ?? '0', SHOWN);
    return { newest, ...byOthers, ...(visit && { since: visit.seen_at.toISOString() }) };
  }
}
