import { Injectable } from '@nestjs/common';
import type { BreakTestCreate, BreakTestList, BreakTestView, NewestQuery } from '@wainrope/contract';
import { force, formatFigure, gearClasses } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { LISTED, readPageKey, UUID } from '../http/page-key.ts';
import { invalid, notFound } from '../http/problem.ts';
import { BreakTestRepository } from './break-test.repository.ts';
import { dayFaults } from './load-keeper.ts';

/** Bought pieces that were pulled until they broke: told with every piece of their batch, and no mark of any. */
@Injectable()
export class BreakTestService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: BreakTestRepository,
    private readonly gear: GearRepository,
    private readonly audit: AuditTrail,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor, gearId: string, { before, limit = LISTED }: NewestQuery): Promise<BreakTestList> {
    const key = readPageKey(before, UUID);
    return this.database.inTeam(actor.teamId, async (trx) => {
      const piece = await this.gear.byId(trx, gearId);
      if (!piece) throw notFound('piece', gearId);
      const { kind, maker, batch } = piece;
      if (!maker || !batch) return { items: [], pieces: 0 };
      const of = { kind, maker, batch };
      return { ...(await this.repository.ofBatch(trx, of, limit, key)), pieces: await this.repository.piecesOf(trx, of) };
    });
  }

  /** Sent twice with one id, it is kept once. */
  async add(actor: Actor, input: BreakTestCreate): Promise<BreakTestView> {
    return this.database.inTeamOnce(actor.teamId, input.testId, async (trx) => {
      const existing = await this.repository.byId(trx, input.testId);
      if (existing) return existing;
      const faults = dayFaults(input.on, this.clock.today());
      if (faults.length > 0) throw invalid(faults);
      const { testId, on, kind, maker, model, batch, loadN, failedFirst, note } = input;
      await this.repository.add(trx, {
        team_id: actor.teamId,
        test_id: testId,
        tested_on: on,
        kind,
        maker: maker.trim(),
        model: model?.trim() || null,
        batch: batch.trim(),
        load_n: loadN,
        failed_first: failedFirst.trim(),
        note: note?.trim() || null,
        recorded_by: actor.personId,
      });
      await this.audit.note(trx, actor, {
        action: 'recorded a break test of',
        kind: 'break-test',
        id: testId,
        name: `${gearClasses[kind].label}, ${maker}, batch ${batch}`,
        after: { load: formatFigure(force(loadN), 'kN'), failedFirst },
        note,
      });
      const kept = await this.repository.byId(trx, testId);
      if (!kept) throw new Error('Broken invariant: a break test that was kept is not there');
      return kept;
    });
  }
}
