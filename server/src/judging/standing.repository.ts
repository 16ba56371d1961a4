import { Injectable } from '@nestjs/common';
import type { Finding, Verdict } from '@wainrope/core';
import { sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import type { TeamTransaction } from '../database/team-database.ts';

/** What is known of a plan's newest verdict without judging it. */
export interface Standing {
  readonly planId: string;
  readonly version: number;
  readonly gearIds: readonly string[];
  readonly verdict: Verdict;
  readonly weakest?: string | undefined;
  readonly reason?: Finding | undefined;
  readonly goodUntil?: string | undefined;
  /** What speaks against it of its pieces, a sentence each. */
  readonly piecesChanged: readonly string[];
}

@Injectable()
export class StandingRepository {
  /** The newest version of each plan as it was judged. */
  judged(trx: TeamTransaction, planIds: readonly string[]) {
    return trx
      .selectFrom('plan')
      .innerJoin('plan_version as v', (join) => join.onRef('v.plan_id', '=', 'plan.plan_id').onRef('v.version_no', '=', 'plan.version_no'))
      .select(['plan.plan_id', 'plan.version_no', 'v.judged_case', 'v.report'])
      .where('plan.plan_id', '=', sql<string>`any(${planIds}::uuid[])`)
      .execute();
  }

  async write(trx: TeamTransaction, actor: Actor, standings: readonly Standing[]): Promise<void> {
    if (standings.length === 0) return;
    await trx
      .insertInto('plan_standing')
      .values(
        standings.map(({ planId, version, gearIds, verdict, weakest, reason, goodUntil, piecesChanged }) => ({
          team_id: actor.teamId,
          plan_id: planId,
          version_no: version,
          gear_ids: [...gearIds],
          verdict,
          weakest: weakest ?? null,
          reason: reason ? JSON.stringify(reason) : null,
          good_until: goodUntil ?? null,
          pieces_changed: JSON.stringify(piecesChanged),
        })),
      )
      .onConflict((conflict) =>
        conflict.columns(['team_id', 'plan_id']).doUpdateSet((eb) => ({
          version_no: eb.ref('excluded.version_no'),
          gear_ids: eb.ref('excluded.gear_ids'),
          verdict: eb.ref('excluded.verdict'),
          weakest: eb.ref('excluded.weakest'),
          reason: eb.ref('excluded.reason'),
          good_until: eb.ref('excluded.good_until'),
          pieces_changed: eb.ref('excluded.pieces_changed'),
        })),
      )
      .execute();
  }
}
