import type { Body } from '@wainrope/core';
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
  const { x, y, offM, awayRad = 0 } = shownAt(body, view, size);
  const ink = selected ? 'var(--rust)' : 'var(--ink)';
  return (
    <g data-body={body.id} data-kind={body.kind} transform={`translate(${x} ${y})`} stroke={ink} strokeWidth="1.8" fill="none">
      <title>{body.label}</title>
      <Mark body={body} view={view} />
      {offM !== undefined && (
        <path data-beyond d="M20 -6L32 0L20 6" strokeWidth="2" strokeLinejoin="round" transform={`rotate(${(awayRad * 180) / Math.PI})`} />
      )}
    </g>
  );
}

function Mark({ body, view }: { readonly body: Other; readonly view: View }) {
  switch (body.kind) {
    case 'load': {
      const [l, w] = [body.lengthM * view.scale, body.widthM * view.scale];
      const turn = (body.headingRad * 180) / Math.PI - 90;
      return (
        <g transform={`rotate(${turn})`}>
          <rect x={-l / 2} y={-w / 2} width={l} height={w} rx={Math.min(w / 2, 6)} fill="var(--trunk)" />
          <path d={`M${-l / 2} 0H${l / 2}`} strokeOpacity="0.5" />
        </g>
      );
    }
    case 'rock': {
      const r = Math.max(9, ((body.diameterM ?? 0.8) / 2) * view.scale);
      return (
        <path
          d={`M${-r} ${r * 0.3}L${-r * 0.6} ${-r * 0.8}L${r * 0.3} ${-r}L${r} ${-r * 0.2}L${r * 0.7} ${r * 0.8}L${-r * 0.4} ${r}Z`}
          fill="var(--stone)"
        />
      );
    }
    case 'structure': {
      const r = Math.max(9, ((body.diameterM ?? 0.8) / 2) * view.scale);
      return <path d={`M${-r} ${-r}H${r}V${r}H${-r}ZM${-r} ${-r}L${r} ${r}M${r} ${-r}L${-r} ${r}`} fill="var(--stone)" />;
    }
    case 'ground-anchor':
      return <path d="M0 -12V8M-9 0Q0 16 9 0M-5 -12H5" strokeWidth="2.4" />;
    case 'pickets':
      return <path d="M-12 8L-8 -8M0 8L4 -8M12 8L16 -8M-10 -2L2 4M2 -2L14 4" strokeWidth="2.2" />;
    case 'deadman':
      return <path d="M-14 0H14M-14 -5V5M14 -5V5M-8 7H8M-4 11H4" strokeWidth="2.4" />;
    case 'crew':
      return <path d="M-9 9V1a4 4 0 0 1 8 0V9M1 9V1a4 4 0 0 1 8 0V9M-5 -7a3 3 0 1 1 0 .1M5 -7a3 3 0 1 1 0 .1" strokeWidth="2" />;
    case 'person':
      return <path d="M-5 9V1a5 5 0 0 1 10 0V9M0 -8a3.4 3.4 0 1 1 0 .1" strokeWidth="2" fill="var(--sheet)" />;
    case 'animal':
      return <path d="M-9 6V-2H7V6M7 -2L11 -7M-9 -2L-12 2" strokeWidth="2" />;
    default: {
      const never: never = body;
      return never;
    }
  }
}
