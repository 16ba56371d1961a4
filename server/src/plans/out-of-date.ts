import { type Case, CORE_VERSION, canonicalJson, type GearFacts } from '@wainrope/core';

interface Compared {
  readonly saved: {
    readonly judgedCase: Case;
    readonly policyHash: string;
    readonly coreVersion: string;
    readonly goodUntil: string | undefined;
  };
  readonly fresh: Case;
  readonly policyHash: string;
}

/** Why a saved judgement no longer stands, one sentence each; empty while it does. A new place, owner or note does not count. */
export function outOfDateReasons({ saved, fresh, policyHash }: Compared): readonly string[] {
  const now = new Map(fresh.gear.map((piece) => [piece.id, piece]));
  const pieces = saved.judgedCase.gear.flatMap((before) => {
    const after = now.get(before.id);
    if (!after) return [`${before.tag} is no longer in the register.`];
    return canonicalJson(before) === canonicalJson(after) ? [] : [`${after.tag}: ${factsChangeWords(before, after)}.`];
  });
  return [
    ...pieces,
    ...(saved.policyHash === policyHash ? [] : ['The team’s policy has changed.']),
    ...(saved.coreVersion === CORE_VERSION ? [] : ['The rules of this program have changed.']),
    ...(saved.goodUntil !== undefined && saved.goodUntil < fresh.asOf ? [`It was good until ${saved.goodUntil}.`] : []),
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
