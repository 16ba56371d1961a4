import type { Term } from '../../explanation/term.ts';
import type { Figure } from '../../quantity/format.ts';

/** A figure of a report: where it stands in it, what it is, and how it was worked out when asked. */
export interface ReportFigure {
  /** Path in the report; entries of lists by their id: `places[winch-line:end].plannedN`. */
  readonly path: string;
  readonly label: string;
  readonly figure: Figure;
  readonly explain: () => Term;
}

/** A figure whose explanation carries its value. */
export function explained(path: string, label: string, figure: Figure, explain: () => Term): ReportFigure {
  return { path, label, figure, explain };
}

/** A figure that was measured, stated or found from the geometry: it stands for itself. */
export function measured(path: string, label: string, figure: Figure, reason: string): ReportFigure {
  return explained(path, label, figure, () => ({ label, figure, reason }));
}

/** How the figures of one place were worked out. Each term can be recomputed with `evaluate`. */
export interface PlaceExplanation {
  readonly placeId: string;
  readonly limit?: Term;
  readonly planned?: Term;
  readonly breaking?: Term;
  readonly greatest?: Term;
}
