import type { IncidentKind } from '@wainrope/contract';

/** An incident as it is being written. */
export interface IncidentDraft {
  readonly incidentId: string;
  readonly on: string;
  readonly kind: IncidentKind | '';
  readonly words: string;
  readonly place: string;
  readonly told: string;
  readonly changed: string;
  readonly planId: string;
  /** Pieces that were in it, and whether each goes out of use. */
  readonly pieces: readonly { readonly gearId: string; readonly takenOut: boolean }[];
}

const KEY = 'wainrope.incident';

export const emptyDraft = (on: string): IncidentDraft => ({
  incidentId: crypto.randomUUID(),
  on,
  kind: '',
  words: '',
  place: '',
  told: '',
  changed: '',
  planId: '',
  pieces: [],
});

/** What was being written when the page was left, on this device. */
export function keptDraft(): IncidentDraft | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<IncidentDraft> | null;
    return kept?.incidentId ? { ...emptyDraft(''), ...kept } : undefined;
  } catch {
    // What is stored there is not ours or was cut short: begin anew.
    return undefined;
  }
}

export function keepDraft(draft: IncidentDraft): void {
  localStorage.setItem(KEY, JSON.stringify(draft));
}

export function forgetDraft(): void {
  localStorage.removeItem(KEY);
}
