import { type Rig, read, rigCodec } from '@wainrope/core';

/** Unsaved work on one version of a plan, kept on this device. */
export interface Draft {
  readonly name: string;
  readonly rig: Rig;
}

const key = (planId: string, version: number) => `wainrope.draft.${planId}.${version}`;

export function keepDraft(planId: string, version: number, draft: Draft): void {
  localStorage.setItem(key(planId, version), JSON.stringify(draft));
}

export function dropDraft(planId: string, version: number): void {
  localStorage.removeItem(key(planId, version));
}

/** The draft of a version; one that cannot be read is dropped. */
function draftOf(planId: string, version: number): Draft | undefined {
  const text = localStorage.getItem(key(planId, version));
  if (text === null) return undefined;
  try {
    const { name, rig } = JSON.parse(text) as { name?: unknown; rig?: unknown };
    const checked = read(rigCodec, rig);
    if (typeof name === 'string' && checked.ok) return { name, rig: checked.value };
  } catch {
    // Cut short while it was written: nothing in it can be used, so it goes below.
  }
  dropDraft(planId, version);
  return undefined;
}

/** The newest version of a plan that this device has unsaved work on. */
export function newestDraft(planId: string): (Draft & { readonly version: number }) | undefined {
  const stem = `wainrope.draft.${planId}.`;
  const versions = Object.keys(localStorage)
    .filter((name) => name.startsWith(stem))
    .map((name) => Number(name.slice(stem.length)))
    .filter(Number.isInteger);
  for (const version of versions.sort((a, b) => b - a)) {
    const draft = draftOf(planId, version);
    if (draft) return { ...draft, version };
  }
  return undefined;
}

export interface KeptDraft {
  readonly planId: string;
  readonly version: number;
  readonly name: string;
}

/** Every plan that this device has unsaved work on. */
export function allDrafts(): readonly KeptDraft[] {
  return Object.keys(localStorage).flatMap((name) => {
    const [, planId, number] = /^wainrope\.draft\.([^.]+)\.(\d+)$/.exec(name) ?? [];
    if (planId === undefined) return [];
    const version = Number(number);
    const draft = draftOf(planId, version);
    return draft ? [{ planId, version, name: draft.name }] : [];
  });
}
