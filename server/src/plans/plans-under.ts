import { Injectable } from '@nestjs/common';
import type { PlanUnderPolicy } from '@wainrope/contract';
import { isTouched, type Policy, policyDifferences } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { TeamDatabase } from '../database/team-database.ts';
import type { JudgedOnce } from '../judging/judge.worker.ts';
import { Judging } from '../judging/judging.ts';
import { type Run, THREADS } from '../threads/worker-pool.ts';
import { PlanRepository, type StoredPlan } from './plan.repository.ts';
import { type Gathered, PlanService } from './plan.service.ts';

/** Plans whose cases are in memory at once. */
const AT_ONCE = 20;

/** How plans would be judged by other settings. */
@Injectable()
export class PlansUnder {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: PlanRepository,
    private readonly plans: PlanService,
    private readonly judging: Judging,
  ) {}

  /** Every plan as it is judged today and would be under another policy, in name order. */
  async under(actor: Actor, policy: Policy, run: Required<Run>): Promise<readonly PlanUnderPolicy[]> {
    const count = await this.database.inTeam(actor.teamId, (trx) => this.repository.count(trx));
    const outcomes: PlanUnderPolicy[] = [];
    for (let after: string | undefined; ; ) {
      const { page, next } = await this.gathered(actor, after);
      for (let first = 0; first < page.length; first += THREADS) {
        run.tell(outcomes.length, count);
        const some = page.slice(first, first + THREADS);
        outcomes.push(...(await Promise.all(some.map((plan) => this.outcome(plan, policy, run.signal)))));
      }
      if (next === undefined) return outcomes;
      after = next;
    }
  }

  private async gathered(actor: Actor, after: string | undefined) {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const plans = await this.repository.page(trx, { limit: AT_ONCE, ...(after !== undefined && { after }) });
      return { page: await this.plans.gatheredAll(trx, plans), next: plans.length === AT_ONCE ? pageKey(plans.at(-1)) : undefined };
    });
  }

  /** What was kept still stands where nothing speaks against it, and under other settings too where they differ in nothing that it was judged by. */
  private async outcome(
    { plan, judgedCase, reasons }: Gathered,
    policy: Policy,
    signal: AbortSignal | undefined,
  ): Promise<PlanUnderPolicy> {
    const { planId, name } = plan;
    const stands = reasons.length === 0 ? { verdict: plan.report.verdict, policyRead: plan.policyRead } : undefined;
    const { verdict: before, policyRead } = stands ?? verdictOf(await this.judging.judged(judgedCase, { signal }));
    const differences = policyDifferences(judgedCase.policy, policy);
    if (policyRead && !isTouched(policyRead, differences)) return { planId, name, before, after: before };
    return { planId, name, before, after: (await this.judging.report({ ...judgedCase, policy }, { signal })).verdict };
  }
}

const verdictOf = ({ report: { verdict }, policyRead }: JudgedOnce) => ({ verdict, policyRead });

const pageKey = (plan: StoredPlan | undefined) => plan && `${plan.name.toLowerCase()}\u001f${plan.planId}`;
