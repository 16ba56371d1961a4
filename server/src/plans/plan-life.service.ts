import { Injectable } from '@nestjs/common';
import type {
  CommentCreate,
  CommentList,
  OverrideCreate,
  PlanState,
  PlanStateChange,
  PlanVersionList,
  PlanVersionQuery,
  PlanVersionRig,
  PlanView,
} from '@wainrope/contract';
import {
  type AnsweredFor,
  type Finding,
  gearIdsOf,
  isAnsweredBy,
  keyWords,
  type Report,
  type Rig,
  readCase,
  rigDifferences,
  wordsOf,
  write,
} from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { readStored } from '../database/read-stored.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { type FieldFault, invalid, notFound } from '../http/problem.ts';
import { type Asked, Tasks } from '../threads/tasks.ts';
import { keptReport, PlanRepository, type StoredPlan } from './plan.repository.ts';
import { Overtaken, PlanService } from './plan.service.ts';
import { VariantService } from './variant.service.ts';

/** Versions that are told where nothing is said. */
const VERSIONS = 30;

/** Where a plan may go from where it is. */
const NEXT: { readonly [S in PlanState]: readonly PlanState[] } = {
  draft: ['ready', 'archived'],
  ready: ['draft', 'used', 'archived'],
  used: ['draft', 'archived'],
  archived: ['draft'],
};
const WORDS: { readonly [S in PlanState]: string } = {
  draft: 'took a plan back to draft',
  ready: 'declared a plan ready',
  used: 'noted a plan as used',
  archived: 'put a plan away',
};

/** What happens to a plan beside its drawing: its states, what somebody answers for, what people say, what it was before. */
@Injectable()
export class PlanLifeService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: PlanRepository,
    private readonly plans: PlanService,
    private readonly gear: GearRepository,
    private readonly variants: VariantService,
    private readonly audit: AuditTrail,
    private readonly tasks: Tasks,
  ) {}

  async setState(actor: Actor, planId: string, { state, version }: PlanStateChange, asked: Asked = {}): Promise<PlanView> {
    return this.plans.againstCurrent(actor, planId, async () => {
      const turn = async (trx: TeamTransaction, check?: (plan: StoredPlan) => Promise<void>) => {
        const plan = await this.standing(trx, planId, version);
        if (plan.state === state) return;
        refuseTurn(plan, state);
        await this.variants.refuseUndecided(trx, plan, state);
        await check?.(plan);
        await this.repository.setState(trx, actor, planId, state);
        if (state === 'archived') await this.variants.putAway(trx, actor, plan);
        await this.audit.note(trx, actor, {
          action: WORDS[state],
          kind: 'plan',
          id: planId,
          name: plan.name,
          before: { state: plan.state },
          after: { state, version },
        });
      };
      if (state !== 'ready') return this.database.inTeam(actor.teamId, (trx) => turn(trx));
      await this.tasks.follow(actor, 'Judging the plan', asked, (run) =>
        this.plans.judgedThenKept(
          actor,
          (trx) => this.meant(trx, planId, version),
          (trx, { report, reasons }) => turn(trx, () => this.refuseUnready(trx, { planId, version, report, reasons })),
          run,
        ),
      );
    });
  }

  /** No stop, no open question on a stop rule, and every fix done or answered for by name; judged anew, as things stand today. */
  private async refuseUnready(trx: TeamTransaction, { planId, version, report, reasons }: Readied): Promise<void> {
    const overrides = await this.repository.overrides(trx, planId, version);
    const outOfDate = reasons.map((reason): FieldFault => ({ path: 'version', message: `Out of date: ${reason} Save it anew first.` }));
    const faults = [...outOfDate, ...unreadyFaults(report, overrides)];
    if (faults.length > 0) throw invalid(faults, 'This plan is not ready yet.');
  }

  async override(actor: Actor, planId: string, { overrideId, version, findingId, reason }: OverrideCreate): Promise<PlanView> {
    return this.plans.againstCurrent(actor, planId, () =>
      this.plans.judgedThenKept(
        actor,
        (trx) => this.meant(trx, planId, version),
        async (trx, { report }) => {
          const { name } = await this.standing(trx, planId, version);
          const words = overridable(report, findingId);
          const added = await this.repository.addOverride(trx, actor, { id: overrideId, planId, version, findingId, words, reason });
          if (!added) return;
          await this.audit.note(trx, actor, {
            action: 'answers for leaving a fix',
            kind: 'plan',
            id: planId,
            name,
            after: { finding: words, version },
            note: reason,
          });
        },
      ),
    );
  }

  async comments(actor: Actor, planId: string): Promise<CommentList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      await this.plans.stored(trx, planId);
      return { items: await this.repository.comments(trx, planId) };
    });
  }

  async comment(actor: Actor, planId: string, { commentId, words }: CommentCreate): Promise<CommentList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const { name, version } = await this.plans.stored(trx, planId);
      const added = await this.repository.addComment(trx, actor, { id: commentId, planId, version, words });
      if (added) await this.audit.note(trx, actor, { action: 'commented on a plan', kind: 'plan', id: planId, name, note: words });
      return { items: await this.repository.comments(trx, planId) };
    });
  }

  /** The newest versions, newest first, each with what it changed. */
  async versions(actor: Actor, planId: string, { limit = VERSIONS }: PlanVersionQuery): Promise<PlanVersionList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      // One more than is shown: what the last of them changed shows against it.
      const rows = await this.repository.versions(trx, planId, limit + 1);
      if (rows.length === 0) throw notFound('plan', planId);
      const rigs = rows.map(({ judged_case }) => rigOf(judged_case));
      const tags = await this.gear.tags(trx, [...new Set(rigs.flatMap(gearIdsOf))]);
      return {
        isMore: rows.length > limit,
        items: rows.slice(0, limit).map((row, index) => {
          const earlier = rows[index + 1];
          return {
            version: row.version_no,
            name: row.name,
            savedAt: row.saved_at.toISOString(),
            savedBy: row.saved_by_name,
            verdict: keptReport(row.report).verdict,
            changes: earlier
              ? [
                  ...(earlier.name === row.name ? [] : [`Called ${row.name}`]),
                  ...rigDifferences(rigs[index + 1] as Rig, rigs[index] as Rig, (id) => tags.get(id) ?? 'a piece').map((text) =>
                    write(text),
                  ),
                ]
              : [],
          };
        }),
      };
    });
  }

  async version(actor: Actor, planId: string, version: number): Promise<PlanVersionRig> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const kept = await this.repository.caseOf(trx, planId, version);
      if (kept === undefined) throw notFound('version of this plan', String(version));
      return { version, rig: rigOf(kept) };
    });
  }

  /** The plan to be judged, if it still is the version that was meant. */
  private async meant(trx: TeamTransaction, planId: string, version: number) {
    return this.plans.gathered(trx, await this.standing(trx, planId, version));
  }

  private async standing(trx: TeamTransaction, planId: string, version: number): Promise<StoredPlan> {
    // A variant's plan is held first, as when one is chosen: two who hold one each would wait for each other.
    const { variantOf } = await this.plans.stored(trx, planId);
    if (variantOf !== undefined) await this.repository.lockVersion(trx, variantOf);
    const stands = await this.repository.lockVersion(trx, planId);
    const plan = await this.plans.stored(trx, planId);
    if (stands !== version) throw new Overtaken(`${plan.savedBy} has saved version ${stands} in the meantime; look at it first.`);
    return plan;
  }
}

interface Readied {
  readonly planId: string;
  readonly version: number;
  readonly report: Report;
  readonly reasons: readonly string[];
}

function refuseTurn(plan: StoredPlan, state: PlanState): void {
  if (!NEXT[plan.state].includes(state))
    throw invalid([
      { path: 'state', message: `A plan that is ${keyWords(plan.state)} cannot become ${keyWords(state)}; take it back to draft first.` },
    ]);
}

/** A finding in words, where somebody may answer for it. */
function overridable({ findings }: Report, findingId: string): string {
  const finding = findings.find(({ id }) => id === findingId);
  if (!finding) throw invalid([{ path: 'findingId', message: 'This plan has no such finding any more.' }]);
  const words = write(wordsOf(finding).title);
  if (finding.severity !== 'fix')
    throw invalid([{ path: 'findingId', message: `“${words}” is a ${finding.severity}; only a fix can be answered for.` }]);
  return words;
}

const rigOf = (judgedCase: unknown): Rig => readStored('A kept case', readCase(judgedCase)).rig;

/** What keeps a plan from being ready. */
export function unreadyFaults({ findings }: Pick<Report, 'findings'>, overrides: readonly AnsweredFor[]): readonly FieldFault[] {
  const answered = (finding: Finding) => overrides.some((override) => isAnsweredBy(finding, override));
  const blocks = (finding: Finding) =>
    finding.severity === 'stop' || (finding.severity === 'fix' && !finding.undecided && !answered(finding));
  return findings.filter(blocks).map((finding) => ({ path: finding.code, message: `${write(wordsOf(finding).title)} ${wayOut(finding)}` }));
}

function wayOut({ severity, undecided }: Finding): string {
  if (undecided) return '– answer this first.';
  return severity === 'stop' ? '– this must be put right.' : '– put it right, or say by name why it may stay.';
}
