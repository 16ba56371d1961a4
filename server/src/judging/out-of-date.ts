import { CORE_VERSION, canonicalJson, type GearFacts, keyWords } from '@wainrope/core';

/** What speaks against a judgement of the pieces that it was made with, a sentence each; a new place, owner or note does not count. */
export function changesOfPieces(judgedWith: readonly GearFacts[], facts: ReadonlyMap<string, GearFacts>): readonly string[] {
  return judgedWith.flatMap((before) => {
    const after = facts.get(before.id);
    if (!after) return [`${before.tag} is no longer in the register.`];
    return canonicalJson(before) === canonicalJson(after) ? [] : [`${after.tag}: ${factsChangeWords(before, after)}.`];
  });
}

interface Compared {
  readonly policyHash: string;
  readonly coreVersion: string;
  readonly goodUntil?: string | undefined;
  readonly piecesChanged: readonly string[];
}

/** Why a saved judgement no longer stands, found by what it depends on and with nothing solved, one sentence each; empty while it does. */
export function outOfDateReasons(kept: Compared, now: { readonly policyHash: string; readonly today: string }): readonly string[] {
  const { policyHash, coreVersion, goodUntil, piecesChanged } = kept;
  return [
    ...piecesChanged,
    ...(policyHash === now.policyHash ? [] : ['The team’s policy has changed.']),
    ...(coreVersion === CORE_VERSION ? [] : ['The rules of this program have changed.']),
    ...(goodUntil !== undefined && goodUntil < now.today ? [`It was good until ${goodUntil}.`] : []),
  ];
}

function factsChangeWords(before: GearFacts, after: GearFacts): string {
  if (before.state !== after.state) return `was ${keyWords(before.state)}, is ${keyWords(after.state)}`;
  if (canonicalJson(before.marks) !== canonicalJson(after.marks)) return 'its marks have changed';
  if (canonicalJson(before.inspection) !== canonicalJson(after.inspection))
    return `inspected again, grade ${after.inspection?.grade ?? 'unknown'}`;
  if (canonicalJson(before.attributes) !== canonicalJson(after.attributes)) return 'its sizes or make-up have changed';
  return 'its record has changed';
}
