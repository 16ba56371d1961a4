import { describe, expect, it } from 'vitest';
import { fitKinds } from '../gear/fit.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { judgeStart } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit } from '../rig/edits.ts';
import { usesOf } from '../rig/references.ts';
import { kitGear } from '../testing/kit-gear.ts';
import { layouts } from '../testing/layouts.ts';
import { goesIn } from './goes-in.ts';

const byIdIn = (gear: readonly GearFacts[]) => (id: string | undefined) => gear.find((facts) => facts.id === id);

/** Sizes pulled down or up, so that what goes together by chance does not. */
const odd = (facts: GearFacts, factor: number): GearFacts =>
  ({
    ...facts,
    attributes: Object.fromEntries(
      Object.entries(facts.attributes).map(([key, value]) => [
        key,
        typeof value === 'number' && key.endsWith('M') ? value * factor : value,
      ]),
    ),
  }) as GearFacts;

/** What the rules say of a piece in a place: whether anything that it meets there does not go. */
function judgedToGo(subject: Case, useId: string, facts: GearFacts): boolean {
  const { rig } = applyEdit(subject.rig, { kind: 'choose-piece', useId, gearId: facts.id });
  const gear = [...subject.gear.filter(({ id }) => id !== facts.id), facts];
  return !judgeStart({ ...subject, rig, gear }).fits.some(
    ({ fits, innerUseId, outerUseId }) => fits === false && (innerUseId === useId || outerUseId === useId),
  );
}

describe('choosing and judging say the same of what goes into what', () => {
  it.each(['double-line-self-recovery', 'triple-line', 'fixed-bridle', 'back-anchored-to-a-tree'])('in %s, whatever is put in', (file) => {
    const subject = layouts.find((entry) => entry.file === file)?.build();
    if (!subject) throw new Error(`no layout ${file}`);
    let [goes, not] = [0, 0];
    for (const { use, path } of usesOf(subject.rig)) {
      // A rope that is run over a pulley is chosen by its drum; which groove takes it is asked of the pulley.
      if (path.startsWith('lines')) continue;
      for (const facts of kitGear.flatMap((entry) => [entry, odd(entry, 0.6), odd(entry, 1.5)])) {
        const byId = byIdIn([...subject.gear.filter(({ id }) => id !== facts.id), facts]);
        const chosen = goesIn(facts, applyEdit(subject.rig, { kind: 'choose-piece', useId: use.id, gearId: undefined }).rig, use, byId);
        expect(chosen, `${facts.id} (${JSON.stringify(facts.attributes)}) as ${use.id}`).toBe(judgedToGo(subject, use.id, facts));
        if (chosen) goes++;
        else not++;
      }
    }
    expect(goes).toBeGreaterThan(20);
    expect(not).toBeGreaterThan(20);
  });
  it('for every kind of fit there is', () => {
    expect(fitKinds).toHaveLength(6);
  });
});
