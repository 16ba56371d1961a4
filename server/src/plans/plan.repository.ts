import { Injectable } from '@nestjs/common';
import type { CommentView, OverrideView, PlanState, VariantView } from '@wainrope/contract';
import { type Case, CORE_VERSION, type KeptReport, type Report, readKeptReport, type Verdict } from '@wainrope/core';
import { type SelectQueryBuilder, sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { readStored } from '../database/read-stored.ts';
import { given } from '../database/rows.ts';
import type { Database } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

/** A plan's newest version with the case it judged. */
export interface StoredPlan {
  readonly planId: string;
  readonly name: string;
  readonly version: number;
  readonly judgedCase: unknown;
  readonly report: KeptReport;
  /** The same with all its figures, where today's core wrote it. */
  readonly whole?: Report;
  /** Which figures of the settings were read to judge it, where that is known. */
  readonly policyRead?: readonly string[];
  readonly policyHash: string;
  readonly coreVersion: string;
  readonly asOf: string;
  readonly savedAt: string;
  readonly savedBy: string;
  readonly state: PlanState;
  readonly stateBy?: string;
  readonly stateAt?: string;
  readonly variantOf?: string;
}

export interface NewVersion {
  readonly planId: string;
  readonly version: number;
  readonly name: string;
  readonly judgedCase: Case;
  readonly report: Report;
  readonly policyRead: readonly string[];
  readonly policyHash: string;
  readonly variantOf?: string | undefined;
}

export interface PageAsked {
  readonly after?: string;
  readonly limit: number;
}

type InNames = SelectQueryBuilder<Database, 'plan', object>;

/** Names alone are not unique: their ids decide. */
const inNameOrder = <Q extends InNames>(query: Q, { after, limit }: PageAsked): Q => {
  const [name, id] = after?.split('\u001f') ?? [];
  const from = after === undefined ? query : query.where(sql<boolean>`(lower(plan.name), plan.plan_id::text) > (${name}, ${id ?? ''})`);
  return from.orderBy(sql`lower(plan.name)`).orderBy(sql`plan.plan_id::text`).limit(limit) as Q;
};

@Injectable()
export class PlanRepository {
  private newest(trx: TeamTransaction) {
    return trx
      .selectFrom('plan')
      .innerJoin('plan_version as v', (join) => join.onRef('v.plan_id', '=', 'plan.plan_id').onRef('v.version_no', '=', 'plan.version_no'))
      .innerJoin('person', 'person.person_id', 'v.saved_by')
      .leftJoin('person as s', 's.person_id', 'plan.state_by')
      .select(['plan.state', 'plan.state_at', 'plan.variant_of', 's.name as state_by_name'])
      .select([
        'plan.plan_id',
        'plan.name',
        'plan.version_no',
        'v.judged_case',
        'v.report',
        'v.policy_read',
        'v.policy_hash',
        'v.core_version',
        'v.as_of',
        'v.saved_at',
        'person.name as saved_by_name',
      ]);
  }

  /** One page of plans in name order, after a name, each with the case it was judged with. */
  async page(trx: TeamTransaction, page: PageAsked): Promise<readonly StoredPlan[]> {
    return (await inNameOrder(this.newest(trx), page).execute()).map(stored);
  }

  /** The same for a list: what is known of each without its case and report. */
  async listed(trx: TeamTransaction, page: PageAsked) {
    const query = trx
      .selectFrom('plan')
      .innerJoin('plan_version as v', (join) => join.onRef('v.plan_id', '=', 'plan.plan_id').onRef('v.version_no', '=', 'plan.version_no'))
      .innerJoin('person', 'person.person_id', 'v.saved_by')
      .leftJoin('plan_standing as s', (join) => join.onRef('s.plan_id', '=', 'plan.plan_id').onRef('s.version_no', '=', 'plan.version_no'))
      .select(['plan.plan_id', 'plan.name', 'plan.version_no', 'plan.state', 'plan.variant_of'])
      .select(['v.policy_hash', 'v.core_version', 'v.saved_at', 'v.as_of'])
      .select([
        sql<unknown>`v.judged_case -> 'rig'`.as('rig'),
        sql<readonly string[]>`jsonb_path_query_array(v.judged_case, '$.gear[*].tag')`.as('tags'),
      ])
      .select(['person.name as saved_by_name', 's.verdict', 's.weakest', 's.reason', 's.good_until', 's.pieces_changed']);
    return inNameOrder(query, page).execute();
  }

  async count(trx: TeamTransaction): Promise<number> {
    const { count } = await trx
      .selectFrom('plan')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .executeTakeFirstOrThrow();
    return Number(count);
  }

  async byId(trx: TeamTransaction, planId: string): Promise<StoredPlan | undefined> {
    const row = await this.newest(trx).where('plan.plan_id', '=', planId).executeTakeFirst();
    return row && stored(row);
  }

  /** The version that stands, held against other savers until this transaction ends. */
  async lockVersion(trx: TeamTransaction, planId: string): Promise<number | undefined> {
    const row = await trx.selectFrom('plan').select('version_no').where('plan_id', '=', planId).forUpdate().executeTakeFirst();
    return row?.version_no;
  }

  /** Whether it was added: sent twice at once, the second finds it there. */
  async addPlan(trx: TeamTransaction, actor: Actor, version: NewVersion): Promise<boolean> {
    const added = await trx
      .insertInto('plan')
      .values({
        team_id: actor.teamId,
        plan_id: version.planId,
        name: version.name,
        version_no: version.version,
        variant_of: version.variantOf,
      })
      .onConflict((conflict) => conflict.doNothing())
      .returning('plan_id')
      .executeTakeFirst();
    if (added) await this.addVersionRow(trx, actor, version);
    return added !== undefined;
  }

  async addVersion(trx: TeamTransaction, actor: Actor, version: NewVersion): Promise<void> {
    await trx
      .updateTable('plan')
      .set({ name: version.name, version_no: version.version, state: 'draft', state_by: null, state_at: null })
      .where('plan_id', '=', version.planId)
      .execute();
    await this.addVersionRow(trx, actor, version);
  }

  /** A plan and its variants that are not put away, the plan first; alone where it has none. */
  async variants(trx: TeamTransaction, rootId: string): Promise<readonly VariantView[]> {
    const rows = await trx
      .selectFrom('plan')
      .innerJoin('plan_version as v', (join) => join.onRef('v.plan_id', '=', 'plan.plan_id').onRef('v.version_no', '=', 'plan.version_no'))
      .select(['plan.plan_id', 'plan.name', 'plan.version_no', sql<Verdict>`v.report ->> 'verdict'`.as('verdict')])
      .where(({ eb, and, or }) =>
        or([eb('plan.plan_id', '=', rootId), and([eb('plan.variant_of', '=', rootId), eb('plan.state', '<>', 'archived')])]),
      )
      .orderBy(sql`plan.variant_of is not null`)
      .orderBy(sql`lower(plan.name)`)
      .orderBy('plan.plan_id')
      .execute();
    return rows.map(({ plan_id, name, version_no, verdict }) => ({ planId: plan_id, name, version: version_no, verdict }));
  }

  async setState(trx: TeamTransaction, actor: Actor, planId: string, state: PlanState): Promise<void> {
    await trx
      .updateTable('plan')
      .set({ state, state_by: actor.personId, state_at: sql<Date>`wainrope_now()` })
      .where('plan_id', '=', planId)
      .execute();
  }

  /** The newest versions, newest first. */
  async versions(trx: TeamTransaction, planId: string, limit: number) {
    return trx
      .selectFrom('plan_version as v')
      .innerJoin('person as p', 'p.person_id', 'v.saved_by')
      .select(['v.version_no', 'v.name', 'v.judged_case', 'v.report', 'v.saved_at', 'p.name as saved_by_name'])
      .where('v.plan_id', '=', planId)
      .orderBy('v.version_no', 'desc')
      .limit(limit)
      .execute();
  }

  /** The case of one version; nothing where there is none. */
  async caseOf(trx: TeamTransaction, planId: string, version: number): Promise<unknown> {
    const row = await trx
      .selectFrom('plan_version')
      .select('judged_case')
      .where('plan_id', '=', planId)
      .where('version_no', '=', version)
      .executeTakeFirst();
    return row?.judged_case;
  }

  async overrides(trx: TeamTransaction, planId: string, version: number): Promise<OverrideView[]> {
    const rows = await trx
      .selectFrom('plan_override as o')
      .innerJoin('person as p', 'p.person_id', 'o.stated_by')
      .select(['o.finding_id', 'o.covers', 'o.finding_words', 'o.reason', 'p.name', 'o.stated_at'])
      .where('o.plan_id', '=', planId)
      .where('o.version_no', '=', version)
      .orderBy('o.stated_at')
      .execute();
    return rows.map(({ finding_id, covers, finding_words, reason, name, stated_at }) => ({
      findingId: finding_id,
      covers,
      finding: finding_words,
      reason,
      by: name,
      at: stated_at.toISOString(),
    }));
  }

  /** Whether it was added: sent again, it is there already. */
  async addOverride(
    trx: TeamTransaction,
    actor: Actor,
    row: {
      readonly id: string;
      readonly planId: string;
      readonly version: number;
      readonly findingId: string;
      readonly words: string;
      readonly reason: string;
    },
  ): Promise<boolean> {
    const { numInsertedOrUpdatedRows = 0n } = await trx
      .insertInto('plan_override')
      .values({
        team_id: actor.teamId,
        override_id: row.id,
        plan_id: row.planId,
        version_no: row.version,
        finding_id: row.findingId,
        covers: 'finding',
        finding_words: row.words,
        reason: row.reason,
        stated_by: actor.personId,
      })
      .onConflict((conflict) => conflict.doNothing())
      .executeTakeFirstOrThrow();
    return numInsertedOrUpdatedRows > 0n;
  }

  async comments(trx: TeamTransaction, planId: string): Promise<CommentView[]> {
    const rows = await trx
      .selectFrom('plan_comment as c')
      .innerJoin('person as p', 'p.person_id', 'c.said_by')
      .select(['c.comment_id', 'c.version_no', 'c.words', 'p.name', 'c.said_at'])
      .where('c.plan_id', '=', planId)
      .orderBy('c.said_at')
      .orderBy('c.comment_id')
      .execute();
    return rows.map(({ comment_id, version_no, words, name, said_at }) => ({
      commentId: comment_id,
      version: version_no,
      words,
      by: name,
      at: said_at.toISOString(),
    }));
  }

  /** Whether it was added: sent again, it is there already. */
  async addComment(
    trx: TeamTransaction,
    actor: Actor,
    row: { readonly id: string; readonly planId: string; readonly version: number; readonly words: string },
  ): Promise<boolean> {
    const { numInsertedOrUpdatedRows = 0n } = await trx
      .insertInto('plan_comment')
      .values({
        team_id: actor.teamId,
        comment_id: row.id,
        plan_id: row.planId,
        version_no: row.version,
        words: row.words,
        said_by: actor.personId,
      })
      .onConflict((conflict) => conflict.doNothing())
      .executeTakeFirstOrThrow();
    return numInsertedOrUpdatedRows > 0n;
  }

  private async addVersionRow(trx: TeamTransaction, actor: Actor, version: NewVersion): Promise<void> {
    await trx
      .insertInto('plan_version')
      .values({
        team_id: actor.teamId,
        plan_id: version.planId,
        version_no: version.version,
        name: version.name,
        judged_case: JSON.stringify(version.judgedCase),
        report: JSON.stringify(version.report),
        policy_read: [...version.policyRead],
        policy_hash: version.policyHash,
        core_version: version.report.coreVersion,
        as_of: version.judgedCase.asOf,
        saved_by: actor.personId,
      })
      .execute();
  }
}

interface JoinedRow {
  readonly plan_id: string;
  readonly name: string;
  readonly version_no: number;
  readonly judged_case: unknown;
  readonly report: unknown;
  readonly policy_read: readonly string[] | null;
  readonly policy_hash: string;
  readonly core_version: string;
  readonly as_of: string;
  readonly saved_at: Date;
  readonly saved_by_name: string;
  readonly state: PlanState;
  readonly state_at: Date | null;
  readonly state_by_name: string | null;
  readonly variant_of: string | null;
}

/** A report was written by this server from core’s own data, never from a browser; an earlier core wrote it otherwise than today’s. */
export const keptReport = (report: unknown): KeptReport => readStored('A kept report', readKeptReport(report));

function stored(row: JoinedRow): StoredPlan {
  return {
    planId: row.plan_id,
    name: row.name,
    version: row.version_no,
    judgedCase: row.judged_case,
    report: keptReport(row.report),
    ...(row.core_version === CORE_VERSION && { whole: row.report as Report }),
    ...given('policyRead', row.policy_read),
    policyHash: row.policy_hash,
    coreVersion: row.core_version,
    asOf: row.as_of,
    savedAt: row.saved_at.toISOString(),
    savedBy: row.saved_by_name,
    state: row.state,
    ...given('stateBy', row.state_by_name),
    ...(row.state_at && { stateAt: row.state_at.toISOString() }),
    ...given('variantOf', row.variant_of),
  };
}
