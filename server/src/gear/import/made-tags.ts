import { type GearClass, gearClasses } from '@wainrope/core';

/** A tag of the register and the class that it is of. */
export interface TakenTag {
  readonly tag: string;
  readonly kind: string;
}

/** Figures behind a prefix where the register shows no other custom. */
const FIGURES = 3;

/** Makes tags that nobody has: each class counted on in the way in which its tags are written already, else its prefix and three figures. */
export class MadeTags {
  private readonly taken: Set<string>;
  private readonly next = new Map<GearClass, { readonly stem: string; readonly figures: number; last: number }>();

  constructor(
    private readonly register: readonly TakenTag[],
    ofFile: Iterable<string>,
  ) {
    this.taken = new Set([...register.map(({ tag }) => tag.toLowerCase()), ...ofFile]);
  }

  make(kind: GearClass): string {
    const row = this.next.get(kind) ?? this.custom(kind);
    this.next.set(kind, row);
    for (;;) {
      row.last += 1;
      const tag = `${row.stem}${String(row.last).padStart(row.figures, '0')}`;
      if (this.taken.has(tag.toLowerCase())) continue;
      this.taken.add(tag.toLowerCase());
      return tag;
    }
  }

  /** The commonest stem of the tags of a class, and the largest number behind it. */
  private custom(kind: GearClass) {
    const stems = new Map<string, { count: number; figures: number; last: number }>();
    for (const { tag, kind: other } of this.register) {
      const parts = other === kind ? /^(.*?\D)(\d{1,6})$/.exec(tag) : null;
      const [, stem, figures] = parts ?? [];
      if (stem === undefined || figures === undefined) continue;
      const before = stems.get(stem) ?? { count: 0, figures: figures.length, last: 0 };
      stems.set(stem, { count: before.count + 1, figures: before.figures, last: Math.max(before.last, Number(figures)) });
    }
    const [commonest] = [...stems].sort(([, a], [, b]) => b.count - a.count);
    if (!commonest) return { stem: `${gearClasses[kind].prefix}-`, figures: FIGURES, last: 0 };
    const [stem, { figures, last }] = commonest;
    return { stem, figures, last };
  }
}
