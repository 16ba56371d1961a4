import { type Layout, type LayoutGroup, layoutGroups, layouts, sketchOf } from '@wainrope/core';
import { useMemo, useState } from 'react';
import { RigSketch } from './RigSketch.tsx';

const GROUPS: { readonly [G in LayoutGroup]: string } = {
  self: 'A vehicle pulls itself',
  other: 'A vehicle pulls another',
  redirect: 'Round a corner, or along a road',
  hands: 'By hand, or with little power',
  tow: 'Tow or stretch rope',
  hold: 'Hold or lower on a slope',
  special: 'Special work',
};

/** A layout of the trade or of the team, as it is offered. */
export interface OfferedLayout {
  readonly id: string;
  readonly label: string;
  readonly build: Layout['build'];
  /** Whose own it is; missing for those of the trade. */
  readonly by?: string;
}

interface LayoutGalleryProps {
  readonly chosen: string | undefined;
  readonly own: readonly OfferedLayout[];
  readonly choose: (layout: OfferedLayout) => void;
}

/** Every layout as a small drawing, by what it is for, and those of the team’s own first. */
export function LayoutGallery({ chosen, own, choose }: LayoutGalleryProps) {
  const [search, setSearch] = useState('');
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = ({ label }: { readonly label: string }) => words.every((word) => label.toLowerCase().includes(word));
  const groups = [
    { title: 'Our own', items: own.filter(fits) },
    ...layoutGroups.map((group) => ({ title: GROUPS[group], items: layouts.filter((layout) => layout.group === group && fits(layout)) })),
  ].filter(({ items }) => items.length > 0);
  return (
    <div>
      <label className="block max-w-sm">
        <span className="sr-only">Search layouts</span>
        <input type="search" value={search} placeholder="Search layouts…" onChange={(event) => setSearch(event.target.value)} />
      </label>
      {groups.map(({ title, items }) => (
        <fieldset key={title} className="pt-3">
          <legend className="font-head text-lg font-semibold">{title}</legend>
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-4">
            {items.map((layout) => (
              <Card key={layout.id} layout={layout} chosen={layout.id === chosen} choose={() => choose(layout)} />
            ))}
          </div>
        </fieldset>
      ))}
      {groups.length === 0 && <p className="py-6">No layout is called that.</p>}
    </div>
  );
}

function Card({ layout, chosen, choose }: { readonly layout: OfferedLayout; readonly chosen: boolean; readonly choose: () => void }) {
  const sketch = useMemo(() => sketchOf(layout.build().rig), [layout]);
  return (
    <button
      type="button"
      data-layout={layout.id}
      aria-pressed={chosen}
      onClick={choose}
      className="flex flex-col border-[1.5px] border-rule bg-sheet text-left hover:border-moss aria-pressed:border-moss aria-pressed:shadow-[inset_0_-5px_var(--rope)]"
    >
      <RigSketch sketch={sketch} />
      <span className="px-2 py-1.5 text-[15px] leading-tight first-letter:uppercase">{layout.label}</span>
    </button>
  );
}
