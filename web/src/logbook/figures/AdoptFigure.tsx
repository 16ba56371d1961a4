import type { OwnFigureView } from '@wainrope/contract';
import { useState } from 'react';
import { useAdoptFigureMutation, useGetTeamQuery, usePreviewFigureMutation } from '../../api/wainrope-api.ts';
import { WhatItChanges } from '../../policy/WhatItChanges.tsx';
import { Labelled } from '../../shell/Labelled.tsx';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { TaskNote } from '../../tasks/TaskNote.tsx';

interface AdoptFigureProps {
  readonly of: OwnFigureView;
  readonly done: () => void;
}

/** What planning by a figure of the team's own would change is shown first; then it is put in force with a reason. */
export function AdoptFigure({ of: { surface, depth, machine }, done }: AdoptFigureProps) {
  const key = { surface, depth, machine };
  const { data: team } = useGetTeamQuery();
  const [preview, previewed] = usePreviewFigureMutation();
  const [adopt, adopting] = useAdoptFigureMutation();
  const [reason, setReason] = useState('');
  const plans = previewed.data?.plans;
  const show = () => preview({ task: crypto.randomUUID(), figureOf: key });
  const put = async (baseHash: string) => {
    const answer = await adopt({ figureAdopt: { ...key, baseHash, reason: reason.trim() } });
    if (answer.data) done();
  };
  return (
    <div className="basis-full border-l-4 border-slate bg-sheet px-4 py-2">
      <TaskNote task={previewed.originalArgs?.task} isRunning={previewed.isLoading} what="Judging the plans by this figure" />
      <ProblemNote error={previewed.error ?? adopting.error} />
      {plans && <WhatItChanges plans={plans} />}
      {plans && (
        <Labelled label="Why does the team plan by it?">
          <input value={reason} onChange={(event) => setReason(event.target.value)} />
        </Labelled>
      )}
      <div className="flex flex-wrap gap-3 pt-2">
        {plans ? (
          <button
            type="button"
            className="action-main"
            disabled={!team || adopting.isLoading || reason.trim().length < 3}
            onClick={() => team && void put(team.policy.contentHash)}
          >
            Plan by it
          </button>
        ) : (
          <button type="button" className="action-main" disabled={previewed.isLoading} onClick={() => void show()}>
            What would it change?
          </button>
        )}
        <button type="button" className="action" onClick={done}>
          Cancel
        </button>
      </div>
    </div>
  );
}
