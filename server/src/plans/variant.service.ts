import { Injectable } from '@nestjs/common';
import type { PlanState, PlanView, VariantChoice } from '@wainrope/contract';
import { readCase } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { readStored } from '../database/read-stored.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { invalid } from '../http/problem.ts';
import { Standings } from '../judging/standings.ts';
import { type Asked, Tasks } from '../threads/tasks.ts';
import { PlanRepository, type StoredPlan } from './plan.repository.ts';
import { Overtaken, PlanService } from './plan.service.ts';

/** Several ways of doing one plan, until one is chosen. */
@Injectable()
export class VariantService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: PlanRepository,
    private readonly plans: PlanService,
    private readonly audit: AuditTrail,
    private readonly standings: Standings,
    private readonly tasks: Tasks,
  ) {}

  /**
   * Takes a variant for its plan, as the plan's next version, judged anew; all its variants are put away. Of the plan itself: it stays as
   * it is. Shows the plan.
   */
  async choose(actor: Actor, planId: string, choice: VariantChoice, asked: Asked = {}): Promise<PlanView> {
    const chosen = await this.database.inTeam(actor.teamId, (trx) => this.plans.stored(trx, planId));
    const rootId = chosen.variantOf ?? planId;
    return this.plans.againstCurrent(actor, rootId, async () => {
      if (rootId === planId) return this.database.inTeam(actor.teamId, (trx) => this.keepAsItIs(trx, actor, rootId, choice));
      await this.tasks.follow(actor, 'Judging the variant', asked, (run) =>
        this.plans.judgedThenKept(
          actor,
          async (trx) => {
            const { root, variant } = await this.meant(trx, rootId, planId, choice);
            const { rig } = readStored(`Plan ${planId}`, readCase(variant.judgedCase));
            return { root, variant, ...(await this.plans.toJudge(trx, root.name, rig)) };
          },
          async (trx, { root, variant, ...judged }) => {
            const version = root.version + 1;
            await this.repository.addVersion(trx, actor, { planId: rootId, version, name: root.name, ...judged });
            await this.standings.renew(trx, actor, [rootId]);
            await this.audit.note(trx, actor, {
              action: `chose the variant ${variant.name}`,
              kind: 'plan',
              id: rootId,
              name: root.name,
              after: { version, verdict: judged.report.verdict },
            });
            await this.putAway(trx, actor, root);
          },
          run,
        ),
      );
    });
  }

  private async keepAsItIs(trx: TeamTransaction, actor: Actor, rootId: string, { version, baseVersion }: VariantChoice): Promise<void> {
    // Both name the plan's own version.
    for (const meant of [version, baseVersion]) await this.plans.refuseOvertaken(trx, rootId, meant);
    const root = await this.plans.stored(trx, rootId);
    if ((await this.openOf(trx, root)).length === 0) return;
    await this.audit.note(trx, actor, { action: 'kept a plan and dropped its variants', kind: 'plan', id: rootId, name: root.name });
    await this.putAway(trx, actor, root);
  }

  /** Plan and variant as they stand, held, if both are the versions that were meant and the variant still is one. */
  private async meant(trx: TeamTransaction, rootId: string, planId: string, { version, baseVersion }: VariantChoice) {
    await this.plans.refuseOvertaken(trx, rootId, baseVersion);
    const stands = await this.repository.lockVersion(trx, planId);
    const [root, variant] = [await this.plans.stored(trx, rootId), await this.plans.stored(trx, planId)];
    if (stands !== version)
      throw new Overtaken(`${variant.savedBy} has saved version ${stands} of ${variant.name} in the meantime; look at it first.`);
    if (variant.state === 'archived')
      throw invalid([{ path: 'planId', message: `${variant.name} was put away; bring it back before you choose it.` }]);
    return { root, variant };
  }

  /** Nothing is ready while there is another way of doing it, and a variant never is; none comes back beside a plan that is no draft. */
  async refuseUndecided(trx: TeamTransaction, plan: StoredPlan, state: PlanState): Promise<void> {
    const { variantOf } = plan;
    if (state === 'draft' && variantOf !== undefined) await this.plans.heldDraft(trx, variantOf);
    if (state !== 'ready') return;
    if (variantOf !== undefined) {
      const { name } = await this.plans.stored(trx, variantOf);
      throw invalid([{ path: 'state', message: `${plan.name} is a variant of ${name}; choose it first.` }], UNDECIDED);
    }
    const others = (await this.openOf(trx, plan)).map(({ name }) => name);
    if (others.length > 0)
      throw invalid([{ path: 'state', message: `It has variants still: ${others.join(', ')}. Choose one first.` }], UNDECIDED);
  }

  /** Puts a plan's variants away, each with a line in the trail; of a variant there are none. */
  async putAway(trx: TeamTransaction, actor: Actor, plan: StoredPlan): Promise<void> {
    for (const { planId, name } of await this.openOf(trx, plan)) {
      await this.repository.lockVersion(trx, planId);
      await this.repository.setState(trx, actor, planId, 'archived');
      await this.audit.note(trx, actor, {
        action: 'put a variant away',
        kind: 'plan',
        id: planId,
        name,
        before: { state: 'draft' },
        after: { state: 'archived' },
      });
    }
  }

  private async openOf(trx: TeamTransaction, { planId }: StoredPlan) {
    return (await this.repository.variants(trx, planId)).filter((way) => way.planId !== planId);
  }
}

const UNDECIDED = 'Nobody has chosen yet how it is done.';
