import { Injectable } from '@nestjs/common';
import { gearFactsOf, type PlanCreate, type PlanList, type PlanSave, type PlanView, type RigFileView } from '@wainrope/contract';
import {
  type Case,
  canonicalJson,
  contentDigest,
  type GearFacts,
  gearIdsOf,
  keyWords,
  type Policy,
  type Report,
  RIG_FILE_FORMAT,
  RIG_FILE_VERSION,
  type Rig,
  readCase,
  referenceFaults,
  withWords,
} from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { readStored } from '../database/read-stored.ts';
import { given } from '../database/rows.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { conflict, invalid, notFound } from '../http/problem.ts';
import type { JudgedOnce } from '../judging/judge.worker.ts';
import { Judging } from '../judging/judging.ts';
import { changesOfPieces, outOfDateReasons } from '../judging/out-of-date.ts';
import { Standings } from '../judging/standings.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { type Asked, Tasks } from '../threads/tasks.ts';
import type { Run } from '../threads/worker-pool.ts';
import { PlanRepository, type StoredPlan } from './plan.repository.ts';
import { summary } from './plan-summary.ts';

const PAGE = 100;

/** So often what was judged is judged again because a piece changed meanwhile. */
const ATTEMPTS = 4;

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** A rig with the facts, the policy and the day by which it is judged. */
export interface ToJudge {
  readonly judgedCase: Case;
  readonly policyHash: string;
}

export interface Judged extends ToJudge, JudgedOnce {}

/** A plan as it stands in the database, with what it would be judged by today. */
export interface Gathered extends ToJudge {
  readonly plan: StoredPlan;
  readonly saved: Case;
  readonly reasons: readonly string[];
}

/** What a change was made from no longer stands; the caller is shown what does. */
export class Overtaken extends Error {}

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
    private readonly judging: Judging,
    private readonly standings: Standings,
    private readonly tasks: Tasks,
  ) {}

  /** A list solves nothing: it tells what was kept with each plan, and why it no longer stands. */
  async list(actor: Actor, after?: string): Promise<PlanList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const plans = await this.repository.listed(trx, { limit: PAGE + 1, ...(after !== undefined && { after }) });
      const shown = plans.slice(0, PAGE);
      const unknown = shown.filter(({ verdict }) => verdict === null).map(({ plan_id }) => plan_id);
      const renewed = new Map((await this.standings.renew(trx, actor, unknown)).map((standing) => [standing.planId, standing]));
      const now = { policyHash: await this.teams.policyHashInForce(trx), today: this.clock.today() };
      const items = shown.map((plan) => summary(plan, renewed.get(plan.plan_id), now));
      const last = plans.length > PAGE ? plans[PAGE - 1] : undefined;
      return { items, ...(last && { next: `${last.name.toLowerCase()}\u001f${last.plan_id}` }) };
    });
  }

  async get(actor: Actor, planId: string): Promise<PlanView> {
    const { gathered, overrides, ways } = await this.database.inTeam(actor.teamId, async (trx) => {
      const plan = await this.stored(trx, planId);
      return {
        gathered: await this.gathered(trx, plan),
        overrides: await this.repository.overrides(trx, planId, plan.version),
        ways: await this.repository.variants(trx, plan.variantOf ?? planId),
      };
    });
    const { plan, saved, reasons, judgedCase } = gathered;
    return {
      planId: plan.planId,
      name: plan.name,
      version: plan.version,
      rig: saved.rig,
      state: plan.state,
      ...given('stateBy', plan.stateBy),
      ...given('stateAt', plan.stateAt),
      overrides,
      saved: {
        report: plan.report,
        asOf: plan.asOf,
        savedAt: plan.savedAt,
        savedBy: plan.savedBy,
        policyHash: plan.policyHash,
        coreVersion: plan.coreVersion,
      },
      fresh: {
        report: withWords(await this.fresh(gathered)),
        caseDigest: contentDigest(judgedCase),
        asOf: judgedCase.asOf,
        outOfDate: [...reasons],
      },
      ...given('variantOf', plan.variantOf),
      // One that is put away is no way of doing it any more.
      ...(ways.length > 1 && ways.some((way) => way.planId === planId) && { variants: ways }),
    };
  }

  /** The report by today's facts: the one that was kept where nothing speaks against it, else judged anew. */
  private async fresh({ plan, reasons, judgedCase }: Gathered): Promise<Report> {
    return reasons.length === 0 && plan.whole ? { ...plan.whole, asOf: judgedCase.asOf } : this.judging.report(judgedCase);
  }

  /** Sent twice with one id, it makes one plan. */
  async create(actor: Actor, { planId, name, rig, variantOf: wanted }: PlanCreate, asked: Asked = {}): Promise<PlanView> {
    const existing = await this.database.inTeam(actor.teamId, (trx) => this.repository.byId(trx, planId));
    if (!existing)
      await this.tasks.follow(actor, JUDGES, asked, (run) =>
        this.judgedThenKept(
          actor,
          (trx) => this.toJudge(trx, name, rig),
          async (trx, judged) => {
            const root = wanted === undefined ? undefined : await this.heldDraft(trx, wanted);
            const added = await this.repository.addPlan(trx, actor, { planId, version: 1, name, variantOf: root?.planId, ...judged });
            if (!added) return;
            await this.standings.renew(trx, actor, [planId]);
            const action = root ? `made a variant of ${root.name}` : 'made a plan';
            await this.audit.note(trx, actor, { action, kind: 'plan', id: planId, name, after: verdictOf(1, judged) });
          },
          run,
        ),
      );
    return this.get(actor, planId);
  }

  /** The plan that a variant belongs to, or will, held so that nobody makes it ready meanwhile; refused where it is no draft. */
  async heldDraft(trx: TeamTransaction, planId: string): Promise<StoredPlan> {
    const named = await this.repository.byId(trx, planId);
    if (!named) throw invalid([{ path: 'variantOf', message: 'There is no such plan to make a variant of.' }]);
    const rootId = named.variantOf ?? planId;
    await this.repository.lockVersion(trx, rootId);
    const root = await this.stored(trx, rootId);
    if (root.state !== 'draft')
      throw invalid([
        {
          path: 'variantOf',
          message: `${root.name} is ${keyWords(root.state)}; take it back to draft first, or copy this as a plan of its own.`,
        },
      ]);
    return root;
  }

  /** The server solves again: a verdict is never taken from a browser. */
  async save(actor: Actor, planId: string, { name, rig, baseVersion }: PlanSave, asked: Asked = {}): Promise<PlanView> {
    return this.againstCurrent(actor, planId, async () => {
      await this.database.inTeam(actor.teamId, (trx) => this.refuseOvertaken(trx, planId, baseVersion));
      await this.tasks.follow(actor, JUDGES, asked, (run) =>
        this.judgedThenKept(
          actor,
          (trx) => this.toJudge(trx, name, rig),
          async (trx, judged) => {
            // A variant that is saved is a way of doing its plan again, which therefore must not be ready.
            const { variantOf } = await this.stored(trx, planId);
            if (variantOf !== undefined) await this.heldDraft(trx, variantOf);
            const version = (await this.refuseOvertaken(trx, planId, baseVersion)) + 1;
            await this.repository.addVersion(trx, actor, { planId, version, name, ...judged });
            await this.standings.renew(trx, actor, [planId]);
            await this.audit.note(trx, actor, {
              action: 'saved a plan',
              kind: 'plan',
              id: planId,
              name,
              after: verdictOf(version, judged),
            });
          },
          run,
        ),
      );
    });
  }

  /** The version that stands, held until the transaction ends, if it is the one that was meant. */
  async refuseOvertaken(trx: TeamTransaction, planId: string, meant: number): Promise<number> {
    const version = await this.repository.lockVersion(trx, planId);
    if (version === undefined) throw notFound('plan', planId);
    if (version === meant) return version;
    const { savedBy } = await this.stored(trx, planId);
    throw new Overtaken(`Version ${version} was saved by ${savedBy} while you worked on version ${meant}.`);
  }

  /** Does something to a plan and shows it; what was overtaken is refused with what stands instead. */
  async againstCurrent(actor: Actor, planId: string, work: () => Promise<void>): Promise<PlanView> {
    try {
      await work();
    } catch (error) {
      if (error instanceof Overtaken) throw conflict(error.message, await this.get(actor, planId));
      throw error;
    }
    return this.get(actor, planId);
  }

  /** The plan as a self-contained rig file, with the facts as they stand today. */
  async rigFile(actor: Actor, planId: string): Promise<RigFileView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const { judgedCase } = await this.gathered(trx, await this.stored(trx, planId));
      return { format: RIG_FILE_FORMAT, version: RIG_FILE_VERSION, case: judgedCase };
    });
  }

  async stored(trx: TeamTransaction, planId: string): Promise<StoredPlan> {
    const plan = await this.repository.byId(trx, planId);
    if (!plan) throw notFound('plan', planId);
    return plan;
  }

  /**
   * Judges between two transactions, so that neither waits for it, and keeps in the second, which holds the pieces: where one of them
   * or the policy has moved meanwhile, it is judged again.
   */
  async judgedThenKept<S extends ToJudge, T>(
    actor: Actor,
    gather: (trx: TeamTransaction) => Promise<S>,
    keep: (trx: TeamTransaction, judged: S & Judged) => Promise<T>,
    run: Run = {},
  ): Promise<T> {
    let subject = await this.database.inTeam(actor.teamId, gather);
    for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
      const { judgedCase } = subject;
      const judged = await this.judging.judged(judgedCase, run);
      const outcome = await this.database.inTeam(actor.teamId, async (trx): Promise<{ readonly kept: T } | { readonly moved: S }> => {
        await this.gear.hold(trx, registered(judgedCase.rig));
        const now = await gather(trx);
        if (canonicalJson(now.judgedCase) !== canonicalJson(judgedCase)) return { moved: now };
        return { kept: await keep(trx, { ...now, ...judged }) };
      });
      if ('kept' in outcome) return outcome.kept;
      subject = outcome.moved;
    }
    throw conflict('Its pieces or the settings change faster than it can be judged. Nothing was saved; try again in a moment.', undefined);
  }

  /** A rig that a person sent, refused where it names what the register does not have. */
  async toJudge(trx: TeamTransaction, name: string, rig: Rig): Promise<ToJudge> {
    const known = await this.gear.tags(trx, registered(rig));
    const faults = referenceFaults(rig, new Set(known.keys()), '');
    if (faults.length > 0) throw invalid(faults, 'This rig is not understood; nothing was saved.');
    return this.today(trx, name, rig);
  }

  private async today(trx: TeamTransaction, name: string, rig: Rig): Promise<ToJudge> {
    return caseOf(name, rig, await this.thatDay(trx, gearIdsOf(rig)));
  }

  /** What plans are judged by today: the facts of pieces, the settings, the day. */
  private async thatDay(trx: TeamTransaction, gearIds: readonly string[]): Promise<ThatDay> {
    const pieces = await this.gear.byIds(trx, gearIds);
    const { policy, contentHash } = await this.teams.policyInForce(trx);
    const facts = new Map(pieces.map((piece) => [piece.gearId, gearFactsOf(piece)]));
    return { facts, policy, policyHash: contentHash, asOf: this.clock.today() };
  }

  /** A plan with what it would be judged by today, and why what it was saved with no longer stands. */
  async gathered(trx: TeamTransaction, plan: StoredPlan): Promise<Gathered> {
    const [gathered] = await this.gatheredAll(trx, [plan]);
    if (!gathered) throw new Error(`Broken invariant: plan ${plan.planId} was not gathered`);
    return gathered;
  }

  /** The same for many, whose pieces and settings are read once. */
  async gatheredAll(trx: TeamTransaction, plans: readonly StoredPlan[]): Promise<readonly Gathered[]> {
    const cases = plans.map((plan) => readStored(`Plan ${plan.planId} version ${plan.version}`, readCase(plan.judgedCase)));
    const day = await this.thatDay(trx, [...new Set(cases.flatMap(({ rig }) => gearIdsOf(rig)))]);
    return plans.map((plan, index) => {
      const saved = cases[index] as Case;
      const { judgedCase, policyHash } = caseOf(plan.name, saved.rig, day);
      const kept = { ...plan, goodUntil: plan.report.goodUntil, piecesChanged: changesOfPieces(saved.gear, day.facts) };
      return { plan, saved, judgedCase, policyHash, reasons: outOfDateReasons(kept, { policyHash, today: day.asOf }) };
    });
  }
}

const JUDGES = 'Judging the plan';

interface ThatDay {
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly policy: Policy;
  readonly policyHash: string;
  readonly asOf: string;
}

/** A rig with its pieces in the order in which it names them. */
function caseOf(name: string, rig: Rig, { facts, policy, policyHash, asOf }: ThatDay): ToJudge {
  const gear = gearIdsOf(rig).flatMap((id) => facts.get(id) ?? []);
  return { judgedCase: { kind: 'rig', name, asOf, rig, gear, policy }, policyHash };
}

/** The pieces that a rig names by ids that the register could have. */
const registered = (rig: Rig) => gearIdsOf(rig).filter((id) => UUID.test(id));
