import type { PolicyHistory } from '@wainrope/contract';
import type { Policy } from '@wainrope/core';
import { useState } from 'react';
import { problemOf, usePreviewPolicyMutation, useSavePolicyMutation } from '../api/wainrope-api.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { TaskNote } from '../tasks/TaskNote.tsx';
import { WhatItChanges } from './WhatItChanges.tsx';

interface SaveBarProps {
  readonly draft: Policy;
  readonly changes: number;
  /** Fields whose text is not understood. */
  readonly unread: number;
  readonly baseHash: string;
  readonly discard: () => void;
  readonly saved: (newest: PolicyHistory) => void;
}

/** What the change would do to plans, asked before it is made. */
export function SaveBar({ draft, changes, unread, baseHash, discard, saved }: SaveBarProps) {
  const [preview, previewed] = usePreviewPolicyMutation();
  const [save, saving] = useSavePolicyMutation();
  const [reason, setReason] = useState('');
  const shown = previewed.data;
  const [shownFor, setShownFor] = useState<Policy>();
  const fresh = shownFor === draft ? shown : undefined;
  const stale = saving.error !== undefined && problemOf(saving.error).status === 409;
  return (
    <div
      role="region"
      aria-label="Change of settings"
      className="fixed inset-x-0 bottom-0 z-20 max-h-[60vh] overflow-y-auto border-t-2 border-ink bg-paper max-[760px]:bottom-14"
    >
      <div className="page py-2">
        <TaskNote task={previewed.originalArgs?.task} isRunning={previewed.isLoading} what="Judging the plans under these settings" />
        <ProblemNote error={previewed.error ?? (stale ? undefined : saving.error)} />
        {fresh && <WhatItChanges plans={fresh.plans} />}
        <div className="flex flex-wrap items-end gap-3">
          <p className="pb-2">
            {changes} {changes === 1 ? 'change' : 'changes'}
            {unread > 0 && <span className="text-rust">, {unread} not understood</span>}
          </p>
          <button type="button" className="action" onClick={discard}>
            Discard
          </button>
          {fresh ? (
            <>
              <div className="min-w-56 flex-1">
                <Labelled label="Why does the team decide this?">
                  <input value={reason} onChange={(event) => setReason(event.target.value)} />
                </Labelled>
              </div>
              <button
                type="button"
                className="action-main"
                disabled={saving.isLoading || unread > 0 || reason.trim().length < 3}
                onClick={async () => {
                  const answer = await save({ policySave: { baseHash, content: draft, reason: reason.trim() } });
                  if (answer.data) saved(answer.data);
                }}
              >
                Put in force
              </button>
            </>
          ) : (
            <button
              type="button"
              className="action-main"
              disabled={previewed.isLoading || unread > 0 || changes === 0}
              onClick={async () => {
                const answer = await preview({ task: crypto.randomUUID(), policyPreviewRequest: { content: draft } });
                if (answer.data) setShownFor(draft);
              }}
            >
              What would it change?
            </button>
          )}
        </div>
      </div>
    </div>
  );
}
