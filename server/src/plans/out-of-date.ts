import { type Case, CORE_VERSION, canonicalJson, type GearFacts } from '@wainrope/core';

interface Compared {
  readonly saved: {
    readonly judgedCase: Case;
    readonly policyHash: string;
    readonly coreVersion: string;
    readonly goodUntil: string | undefined;
  };
  /** The facts of its pieces as they stand, by id. */
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly policyHash: string;
  readonly today: string;
}

/** Why a saved judgement no longer stands, found by what it depends on and with nothing solved, one sentence each; empty while it does. A new place, owner or note does not count. */
export function outOfDateReasons({ saved, facts, policyHash, today }: Compared): readonly string[] {
  const pieces = saved.judgedCase.gear.flatMap((before) => {
    const after = facts.get(before.id);
    if (!after) return [`${before.tag} is no longer in the register.`];
    return canonicalJson(before) === canonicalJson(after) ? [] : [`${after.tag}: ${factsChangeWords(before, after)}.`];
  });
  return [
    ...pieces,
    ...(saved.policyHash === policyHash ? [] : ['The team’s policy has changed.']),
    ...(saved.coreVersion === CORE_VERSION ? [] : ['The rules of this program have changed.']),
    ...(saved.goodUntil !== undefined && saved.goodUntil < today ? [`It was good until ${saved.goodUntil}.`] : []),
  ];
}

function factsChangeWords(before: GearFacts, after: GearFacts): string {
  if (before.state !== after.state) return `was ${before.state}, is ${after.state}`;
  if (canonicalJson(before.marks) !== canonicalJson(after.marks)) return 'its marks have changed';
  if (canonicalJson(before.inspection) !== canonicalJson(after.inspection))
    return `inspected again, grade ${after.inspection?.grade ?? 'unknown'}`;
  if (canonicalJson(before.attributes) !== canonicalJson(after.attributes)) return 'its sizes or make-up have changed';
  return 'its record has changed';
}
