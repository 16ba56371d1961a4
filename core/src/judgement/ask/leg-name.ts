import type { Approach } from '../../pull/stops.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';

/** What names a leg of a line: its line and number, whether it is the only line, and what it is called where that is plainer. */
export interface LegNamed {
  readonly lineId: string;
  readonly span: number;
  readonly alone: boolean;
  readonly first: 'winch leg' | 'only leg' | 'leg';
}

export const legNamed = ({ lines }: ResolvedRig, { line, span }: Approach): LegNamed => ({
  lineId: line.line.id,
  span,
  alone: lines.length === 1,
  first: firstOf(line, span),
});

function firstOf({ line, spans }: Approach['line'], span: number): LegNamed['first'] {
  if (spans.length === 1) return 'only leg';
  return span === 0 && line.drive.kind === 'winch' ? 'winch leg' : 'leg';
}

/** A leg as people say it: the winch leg, the line where it has one leg, leg 2 of the line. */
export function legName({ lineId, span, alone, first }: LegNamed): string {
  const ofLine = alone ? 'the line' : lineId.replaceAll('-', ' ');
  if (first === 'only leg') return ofLine;
  if (first === 'winch leg') return alone ? 'the winch leg' : `the winch leg of ${ofLine}`;
  return `leg ${span + 1} of ${ofLine}`;
}
