import type { PlanSummary } from '@wainrope/contract';
import { CORE_VERSION, type Finding, readRigDocument, sketchOf } from '@wainrope/core';
import { given } from '../database/rows.ts';
import { outOfDateReasons } from '../judging/out-of-date.ts';
import type { Standing } from '../judging/standing.repository.ts';
import type { PlanRepository } from './plan.repository.ts';

type ListedPlan = Awaited<ReturnType<PlanRepository['listed']>>[number];

/** A plan as a list shows it: the verdict that was kept with it, and why it no longer stands. */
export function summary(
  plan: ListedPlan,
  renewed: Standing | undefined,
  now: { readonly policyHash: string; readonly today: string },
): PlanSummary {
  const known = renewed ?? standingOf(plan);
  return {
    planId: plan.plan_id,
    name: plan.name,
    version: plan.version_no,
    state: plan.state,
    savedAt: plan.saved_at.toISOString(),
    savedBy: plan.saved_by_name,
    verdict: known.verdict,
    outOfDate: outOfDateReasons({ ...known, policyHash: plan.policy_hash, coreVersion: plan.core_version }, now),
    asOf: plan.as_of,
    tags: plan.tags,
    ...drawn(plan.rig),
    ...given('variantOf', plan.variant_of),
    ...given('weakest', known.weakest),
    // A finding is put into words by the core that made it: what an earlier one found is not said in today's.
    ...(plan.core_version === CORE_VERSION && given('reason', known.reason)),
  };
}

/** What a list tells of a plan's rig; of one that today's core no longer understands, nothing. */
function drawn(written: unknown): Pick<PlanSummary, 'people' | 'vehicles' | 'position' | 'sketch'> {
  const rig = readRigDocument(written);
  if (!rig.ok) return { people: [], vehicles: [] };
  const { bodies, origin } = rig.value;
  const called = (kind: 'person' | 'vehicle') => bodies.flatMap((body) => (body.kind === kind ? [body.label] : []));
  return {
    people: called('person'),
    vehicles: called('vehicle'),
    sketch: sketchOf(rig.value),
    ...(origin && { position: `${origin.latitudeDeg.toFixed(5)}, ${origin.longitudeDeg.toFixed(5)}` }),
  };
}

/** What was written of it; the service renews whatever has nothing written. */
function standingOf({ plan_id, verdict, weakest, reason, good_until, pieces_changed }: ListedPlan) {
  if (verdict === null) throw new Error(`Broken invariant: nothing is known of plan ${plan_id}`);
  return {
    verdict,
    weakest,
    reason: (reason ?? undefined) as Finding | undefined,
    goodUntil: good_until ?? undefined,
    piecesChanged: pieces_changed as readonly string[],
  };
}
