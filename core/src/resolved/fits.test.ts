import { describe, expect, it } from 'vitest';
import { type FitKind, fitKinds } from '../gear/fit.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { mark, piece } from '../testing/example-case.ts';
import { kitGear } from '../testing/kit-gear.ts';
import { layouts } from '../testing/layouts.ts';

const base = (): Case => (layouts.find(({ file }) => file === 'double-line-self-recovery') as (typeof layouts)[number]).build();
const hook = piece({
  id: 'HK-1',
  kind: 'winch-hook',
  marks: [mark('WLL 6 t'), mark('MBS 30 t')],
  attributes: { throatM: 0.028, reachM: 0.12, latch: 'pin-locked' },
});

/** The base rig with some pieces in other places, and one attribute set. */
function withPieces(swaps: { readonly [useId: string]: string }, set?: { readonly id: string; readonly attributes: object }): Case {
  const subject = base();
  const chains = subject.rig.chains.map((chain) => ({
    ...chain,
    pieces: chain.pieces.map((use) => ({ ...use, gearId: swaps[use.id] ?? use.gearId ?? '' })),
  }));
  const all: readonly GearFacts[] = [...kitGear, hook];
  const gear = all.map((facts) =>
    facts.id === set?.id ? ({ ...facts, attributes: { ...facts.attributes, ...set.attributes } } as GearFacts) : facts,
  );
  return { ...subject, rig: { ...subject.rig, chains }, gear };
}

const answers = (subject: Case, kind: FitKind) =>
  judge(subject)
    .fits.filter((joint) => joint.kind === kind)
    .map(({ fits }) => fits);

/** Each way in which two pieces meet: a pair that goes together, the same pair with one size changed, and with that size unknown. */
const PAIRS: readonly (readonly [FitKind, { readonly [useId: string]: string }, string, object, object])[] = [
  ['pin-in-hole', { 'at-left.1': 'SH-A' }, 'VP-A', { boreDiameterM: 0.021 }, { boreDiameterM: undefined }],
  ['fitting-in-opening', { 'at-left.1': 'SH-A' }, 'SH-A', { insideWidthM: 0.012 }, { insideWidthM: undefined }],
  ['soft-shackle-through-bore', {}, 'RR-A', { boreDiameterM: 0.023 }, { boreDiameterM: undefined }],
  ['bow-in-throat', { 'at-left.2': 'HK-1' }, 'HK-1', { throatM: 0.02 }, { throatM: undefined }],
  ['rope-in-groove', {}, 'RR-A', { grooveWidthM: 0.01 }, { grooveWidthM: undefined }],
  ['strap-round-trunk', {}, 'TS-A', { lengthM: 1.5 }, { lengthM: undefined }],
];

describe('how pieces meet', () => {
  it('covers every kind', () => {
    expect(PAIRS.map(([kind]) => kind).sort()).toEqual([...fitKinds].sort());
  });
  it.each(PAIRS)('%s: goes, does not go, or is asked', (kind, swaps, id, tooSmall, unknown) => {
    expect(answers(withPieces(swaps), kind)).toContain(true);
    expect(answers(withPieces(swaps), kind)).not.toContain(false);
    expect(answers(withPieces(swaps, { id, attributes: tooSmall }), kind)).toContain(false);
    expect(answers(withPieces(swaps, { id, attributes: unknown }), kind)).toContain(undefined);
  });
  it('passes exactly at the limit', () => {
    expect(answers(withPieces({ 'at-left.1': 'SH-A' }, { id: 'VP-A', attributes: { boreDiameterM: 0.022 } }), 'pin-in-hole')).not.toContain(
      false,
    );
  });
});
