import { keepOutLine, type Report } from '@wainrope/core';
import { memo, useMemo } from 'react';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';

/** The line that nobody crosses, round all that is to be kept clear at any moment of the act. */
export const KeepOutLine = memo(function KeepOutLine({
  report,
  view,
}: {
  readonly report: Pick<Report, 'zones' | 'swept'>;
  readonly view: View;
}) {
  const line = useMemo(() => keepOutLine([...report.zones, ...report.swept]), [report.zones, report.swept]);
  if (line.length === 0) return null;
  const corners = line.map(({ xM, yM }) => toScreen(view, { x: xM, y: yM })).map(({ x, y }) => `${x},${y}`);
  return (
    <polygon
      data-keep-out
      points={corners.join(' ')}
      pointerEvents="none"
      fill="none"
      stroke="var(--rust)"
      strokeWidth="2"
      strokeOpacity="0.75"
      strokeDasharray="14 8"
    />
  );
});
