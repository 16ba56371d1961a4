import type { Body } from '@wainrope/core';
import { onScreen, outline, type Placed, placed } from './layout/placed.ts';
import { type CoveredSheet, shownAt, type View } from './layout/plan-sheet-layout.ts';

type Other = Exclude<Body, { kind: 'tree' | 'vehicle' }>;

interface OtherBodyProps {
  readonly body: Other;
  readonly view: View;
  readonly size: CoveredSheet;
  readonly selected: boolean;
}

/** Anchors that are no tree, loose loads, people and animals: a mark of its own for each, loads to scale. */
export function OtherBody({ body, view, size, selected }: OtherBodyProps) {
  const { offM, awayRad = 0, ...at } = shownAt(body, view, size);
  const ink = selected ? 'var(--rust)' : 'var(--ink)';
  const away = placed(at, awayRad);
  return (
    <g data-body={body.id} data-kind={body.kind} stroke={ink} strokeWidth="1.8" fill="none">
      <title>{body.label}</title>
      <Mark body={body} view={view} at={at} />
      {offM !== undefined && (
        <path data-beyond d={`M${away(20, -6)}L${away(32, 0)}L${away(20, 6)}`} strokeWidth="2" strokeLinejoin="round" />
      )}
    </g>
  );
}

interface MarkProps {
  readonly body: Other;
  readonly view: View;
  readonly at: { readonly x: number; readonly y: number };
}

function Mark({ body, view, at }: MarkProps) {
  const put = placed(at);
  switch (body.kind) {
    case 'load': {
      const [l, w] = [body.lengthM * view.scale, body.widthM * view.scale];
      const turned = placed(at, onScreen(body.headingRad));
      return (
        <g>
          <path d={roundedBox(turned, l / 2, w / 2, Math.min(w / 2, l / 2, 6))} fill="var(--trunk)" />
          <path d={`M${turned(-l / 2, 0)}L${turned(l / 2, 0)}`} strokeOpacity="0.5" />
        </g>
      );
    }
    case 'rock': {
      const r = rockRadius(body, view);
      return (
        <polygon
          points={outline(at, 0, [
            [-r, r * 0.3],
            [-r * 0.6, -r * 0.8],
            [r * 0.3, -r],
            [r, -r * 0.2],
            [r * 0.7, r * 0.8],
            [-r * 0.4, r],
          ])}
          fill="var(--stone)"
        />
      );
    }
    case 'structure': {
      const r = rockRadius(body, view);
      const corners = `M${put(-r, -r)}L${put(r, -r)}L${put(r, r)}L${put(-r, r)}Z`;
      return <path d={`${corners}M${put(-r, -r)}L${put(r, r)}M${put(r, -r)}L${put(-r, r)}`} fill="var(--stone)" />;
    }
    case 'ground-anchor':
      return <path d={`M${put(0, -12)}v20m-9 -8q9 16 18 0m-14 -12h10`} strokeWidth="2.4" />;
    case 'pickets':
      return <path d={`M${put(-12, 8)}l4 -16m8 16l4 -16m8 16l4 -16m-26 6l12 6m0 -6l12 6`} strokeWidth="2.2" />;
    case 'deadman':
      return <path d={`M${put(-14, 0)}h28m-28 -5v10m28 -10v10m-22 2h16m-12 4h8`} strokeWidth="2.4" />;
    case 'crew':
      return (
        <path
          d={`M${put(-9, 9)}v-8a4 4 0 0 1 8 0v8M${put(1, 9)}v-8a4 4 0 0 1 8 0v8M${put(-5, -7)}a3 3 0 1 1 0 .1M${put(5, -7)}a3 3 0 1 1 0 .1`}
          strokeWidth="2"
        />
      );
    case 'person':
      return <path d={`M${put(-5, 9)}v-8a5 5 0 0 1 10 0v8M${put(0, -8)}a3.4 3.4 0 1 1 0 .1`} strokeWidth="2" fill="var(--sheet)" />;
    case 'animal':
      return <path d={`M${put(-9, 6)}v-8h16v8m0 -8l4 -5m-20 5l-3 4`} strokeWidth="2" />;
    default: {
      const never: never = body;
      return never;
    }
  }
}

/** Rocks and structures to scale, and never too small to be seen. */
const rockRadius = ({ diameterM }: { readonly diameterM?: number | undefined }, view: View) =>
  Math.max(9, ((diameterM ?? 0.8) / 2) * view.scale);

/** Half as long and half as wide as this, with corners of a radius. */
function roundedBox(at: Placed, l: number, w: number, r: number): string {
  const corner = `A${r} ${r} 0 0 1`;
  return [
    `M${at(r - l, -w)}L${at(l - r, -w)}${corner} ${at(l, r - w)}L${at(l, w - r)}${corner} ${at(l - r, w)}`,
    `L${at(r - l, w)}${corner} ${at(-l, w - r)}L${at(-l, r - w)}${corner} ${at(r - l, -w)}Z`,
  ].join('');
}
