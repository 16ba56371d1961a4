import { memo } from 'react';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { leaderOf, MARK_PX, PADDING, type PlacedLabel } from './layout/place-labels.ts';

/** The sheet's words, each with a mark where something is said against what it names. */
export const Labels = memo(function Labels({ labels }: { readonly labels: readonly PlacedLabel[] }) {
  return (
    <g>
      {labels.map((label) => (
        <SheetLabel key={label.id} label={label} />
      ))}
    </g>
  );
});

function SheetLabel({ label }: { readonly label: PlacedLabel }) {
  const leader = leaderOf(label);
  return (
    <g>
      {leader && (
        <path
          data-leader={label.id}
          d={`M${leader.from.x} ${leader.from.y}L${leader.to.x} ${leader.to.y}`}
          stroke="var(--quiet)"
          strokeWidth="1"
        />
      )}
      <SheetWords label={label} />
    </g>
  );
}

function SheetWords({ label }: { readonly label: PlacedLabel }) {
  const { x, y, width, lines, mark } = label;
  // With a mark the lines begin under it; without, they stand in the middle.
  const [at, anchor] = mark ? [x + PADDING, 'start' as const] : [x + width / 2, 'middle' as const];
  return (
    <g data-sheet-label={label.id}>
      {mark && <SeverityShape severity={mark.severity} undecided={mark.undecided} size={16} x={at} y={y + 2} />}
      <text
        textAnchor={anchor}
        fontSize="15"
        fill="var(--ink)"
        style={{ paintOrder: 'stroke' }}
        stroke="var(--map)"
        strokeWidth="5"
        strokeLinejoin="round"
      >
        {lines.map(({ text, strong }, index) => (
          <tspan key={text} x={at + (mark && index === 0 ? MARK_PX : 0)} y={y + 15 + index * 18} fontWeight={strong ? 600 : 400}>
            {text}
          </tspan>
        ))}
      </text>
    </g>
  );
}
