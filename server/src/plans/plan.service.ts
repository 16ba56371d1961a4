import { Injectable } from '@nestjs/common';
import {
  gearFactsOf,
  type PlanCreate,
  type PlanList,
  type PlanSave,
  type PlanSummary,
  type PlanView,
  type RigFileView,
} from '@wainrope/contract';
import {
  type Case,
  type GearFacts,
  gearIdsOf,
  type Policy,
  type Report,
  RIG_FILE_FORMAT,
  RIG_FILE_VERSION,
  type Rig,
  readCase,
  referenceFaults,
} from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { readStored } from '../database/read-stored.ts';
import { given } from '../database/rows.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { conflict, invalid, notFound } from '../http/problem.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { outOfDateReasons } from './out-of-date.ts';
import { PlanRepository, type StoredPlan } from './plan.repository.ts';

const PAGE = 100;

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** A preview judges at most so many plans. */
const PLANS_PREVIEWED = 500;

export interface PlanUnder {
  readonly planId: string;
  readonly name: string;
  readonly before: Report['verdict'];
  readonly after: Report['verdict'];
}

export interface Judged {
  readonly judgedCase: Case;
  readonly report: Report;
  readonly policyHash: string;
}

const verdictOf = (version: number, { report }: Judged) => ({ version, verdict: report.verdict });

@Injectable()
export class PlanService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: PlanRepository,
    private readonly gear: GearRepository,
    private readonly teams: TeamRepository,
    private readonly clock: Clock,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor, after?: string): Promise<PlanList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const plans = await this.repository.page(trx, { limit: PAGE + 1, ...(after !== undefined && { after }) });
      const shown = plans.slice(0, PAGE).map((plan) => ({ plan, saved: this.savedCase(plan) }));
      const { contentHash: policyHash } = await this.teams.policyInForce(trx);
      const ids = new Set(shown.flatMap(({ saved }) => saved.gear.map(({ id }) => id)));
      const facts = new Map((await this.gear.byIds(trx, [...ids])).map((piece) => [piece.gearId, gearFactsOf(piece)]));
      const items = shown.map(({ plan, saved }) => summary(plan, this.reasons(plan, saved, { facts, policyHash })));
      const last = plans.length > PAGE ? plans[PAGE - 1] : undefined;
      return { items, ...(last && { next: `${last.name.toLowerCase()}\u001f${last.planId}` }) };
    });
  }

  async get(actor: Actor, planId: string): Promise<PlanView> {
    return this.database.inTeam(actor.teamId, async (trx) => this.view(trx, await this.stored(trx, planId)));
  }

  /** Sent twice with one id, it makes one plan. */
  async create(actor: Actor, { planId, name, rig }: PlanCreate): Promise<PlanView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const existing = await this.repository.byId(trx, planId);
      if (existing) return this.view(trx, existing);
      const judged = await this.judged(trx, name, rig);
      await this.repository.addPlan(trx, actor, { planId, version: 1, name, ...judged });
      await this.audit.note(trx, actor, { action: 'made a plan', kind: 'plan', id: planId, name, after: verdictOf(1, judged) });
      return this.view(trx, await this.stored(trx, planId));
    });
  }

  /** The server solves again: a verdict is never taken from a browser. */
  async save(actor: Actor, planId: string, { name, rig, baseVersion }: PlanSave): Promise<PlanView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const version = await this.repository.lockVersion(trx, planId);
      if (version === undefined) throw notFound('plan', planId);
      if (version !== baseVersion) {
        const current = await this.view(trx, await this.stored(trx, planId));
        throw conflict(`Version ${version} was saved by ${current.saved.savedBy} while you worked on version ${baseVersion}.`, current);
      }
      const judged = await this.judged(trx, name, rig);
      await this.repository.addVersion(trx, actor, { planId, version: version + 1, name, ...judged });
      await this.audit.note(trx, actor, { action: 'saved a plan', kind: 'plan', id: planId, name, after: verdictOf(version + 1, judged) });
      return this.view(trx, await this.stored(trx, planId));
    });
  }

  /** The plan as a self-contained rig file, with the facts as they stand today. */
  async rigFile(actor: Actor, planId: string): Promise<RigFileView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const { fresh } = await this.fresh(trx, await this.stored(trx, planId));
      return { format: RIG_FILE_FORMAT, version: RIG_FILE_VERSION, case: fresh.judgedCase };
    });
  }

  /** How every plan is judged now and would be under another policy. */
  async under(trx: TeamTransaction, policy: Policy): Promise<readonly PlanUnder[]> {
    const plans = await this.repository.page(trx, { limit: PLANS_PREVIEWED });
    const outcomes: PlanUnder[] = [];
    for (const plan of plans) {
      const { judgedCase, report } = await this.judgeToday(trx, plan.name, this.savedCase(plan).rig);
      const after = judge({ ...judgedCase, policy }).verdict;
      outcomes.push({ planId: plan.planId, name: plan.name, before: report.verdict, after });
    }
    return outcomes;
  }

  async stored(trx: TeamTransaction, planId: string): Promise<StoredPlan> {
    const plan = await this.repository.byId(trx, planId);
    if (!plan) throw notFound('plan', planId);
    return plan;
  }

  private async judged(trx: TeamTransaction, name: string, rig: Rig): Promise<Judged> {
    const faults = referenceFaults(rig, await this.knownIds(trx, rig), '');
    if (faults.length > 0) throw invalid(faults, 'This rig is not understood; nothing was saved.');
    return this.judgeToday(trx, name, rig);
  }

  private async judgeToday(trx: TeamTransaction, name: string, rig: Rig): Promise<Judged> {
    const pieces = await this.gear.byIds(trx, gearIdsOf(rig));
    const { policy, contentHash } = await this.teams.policyInForce(trx);
    const order = new Map(gearIdsOf(rig).map((id, index) => [id, index]));
    const gear = pieces.map(gearFactsOf).sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0));
    const judgedCase: Case = { kind: 'rig', name, asOf: this.clock.today(), rig, gear, policy };
    return { judgedCase, report: judge(judgedCase), policyHash: contentHash };
  }

  /** Pieces that the rig names and the register has. */
  private async knownIds(trx: TeamTransaction, rig: Rig): Promise<ReadonlySet<string>> {
    const named = gearIdsOf(rig).filter((id) => UUID.test(id));
    return new Set((await this.gear.byIds(trx, named)).map(({ gearId }) => gearId));
  }

  private savedCase(plan: StoredPlan): Case {
    return readStored(`Plan ${plan.planId} version ${plan.version}`, readCase(plan.judgedCase));
  }

  async fresh(
    trx: TeamTransaction,
    plan: StoredPlan,
  ): Promise<{ readonly saved: Case; readonly fresh: Judged; readonly reasons: readonly string[] }> {
    const saved = this.savedCase(plan);
    const fresh = await this.judgeToday(trx, plan.name, saved.rig);
    const facts = new Map(fresh.judgedCase.gear.map((piece) => [piece.id, piece]));
    return { saved, fresh, reasons: this.reasons(plan, saved, { facts, policyHash: fresh.policyHash }) };
  }

  /** Why what a plan was saved with no longer stands. */
  private reasons(plan: StoredPlan, saved: Case, now: StandingNow): readonly string[] {
    const { policyHash, coreVersion, report } = plan;
    const today = this.clock.today();
    return outOfDateReasons({ saved: { judgedCase: saved, policyHash, coreVersion, goodUntil: report.goodUntil }, ...now, today });
  }

  async view(trx: TeamTransaction, plan: StoredPlan): Promise<PlanView> {
    const { saved, fresh, reasons } = await this.fresh(trx, plan);
    return {
      planId: plan.planId,
      name: plan.name,
      version: plan.version,
      rig: saved.rig,
      state: plan.state,
      ...given('stateBy', plan.stateBy),
      ...given('stateAt', plan.stateAt),
      overrides: await this.repository.overrides(trx, plan.planId, plan.version),
      saved: {
        report: plan.report,
        asOf: plan.asOf,
        savedAt: plan.savedAt,
        savedBy: plan.savedBy,
        policyHash: plan.policyHash,
        coreVersion: plan.coreVersion,
      },
      fresh: { report: fresh.report, asOf: fresh.judgedCase.asOf, outOfDate: [...reasons] },
    };
  }
}

/** What plans are held against: the facts of pieces as they stand, by id, and the policy in force. */
interface StandingNow {
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly policyHash: string;
}

/** A plan as a list shows it: the verdict that was kept with it, and why it no longer stands; a list solves nothing. */
const summary = (plan: StoredPlan, reasons: readonly string[]): PlanSummary => ({
  planId: plan.planId,
  name: plan.name,
  version: plan.version,
  state: plan.state,
  savedAt: plan.savedAt,
  savedBy: plan.savedBy,
  verdict: plan.report.verdict,
  outOfDate: reasons,
  ...given('weakest', plan.report.weakest),
});
