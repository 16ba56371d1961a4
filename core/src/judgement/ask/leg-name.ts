import type { Approach } from '../../pull/stops.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';

/** What names a leg of a line: its line and number, whether it is the only line, and what it is called where that is plainer. */
export interface LegNamed {
  readonly lineId: string;
  readonly span: number;
  readonly alone: boolean;
  readonly called: 'winch leg' | 'return leg' | 'only leg' | 'leg';
}

export const legNamed = ({ lines }: ResolvedRig, { line, span }: Approach): LegNamed => ({
  lineId: line.line.id,
  span,
  alone: lines.length === 1,
  called: calledOf(line, span),
});

function calledOf({ line, spans }: Approach['line'], span: number): LegNamed['called'] {
  if (spans.length === 1) return 'only leg';
  if (line.drive.kind !== 'winch') return 'leg';
  if (span === 0) return 'winch leg';
  return spans.length === 2 ? 'return leg' : 'leg';
}

/** A leg as people say it: the winch leg, the return leg, the line where it has one leg, leg 2 of the line. */
export function legName({ lineId, span, alone, called }: LegNamed): string {
  const ofLine = alone ? 'the line' : lineId.replaceAll('-', ' ');
  if (called === 'only leg') return ofLine;
  if (called !== 'leg') return alone ? `the ${called}` : `the ${called} of ${ofLine}`;
  return `leg ${span + 1} of ${ofLine}`;
}
