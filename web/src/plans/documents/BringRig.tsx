import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreatePlanMutation } from '../../api/wainrope-api.ts';
import { useRegister } from '../../register/use-register.ts';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { TaskNote } from '../../tasks/TaskNote.tsx';
import { type Brought, bringRigFile, openPlaces } from './bring-rig-file.ts';

/** A rig file from elsewhere becomes a plan; what it names that is not here is said first. */
export function BringRig() {
  const { pieces, team } = useRegister();
  const [text, setText] = useState<string>();
  // A file that was chosen before the register is here waits for it.
  const brought = useMemo<Brought | undefined>(
    () => (text !== undefined && pieces && team ? bringRigFile(text, pieces, team.vehicles) : undefined),
    [text, pieces, team],
  );
  const [create, creating] = useCreatePlanMutation();
  const navigate = useNavigate();
  const read = async (file: File | undefined) => {
    if (file) setText(await file.text());
  };
  const make = async () => {
    if (!brought?.ok) return;
    const answer = await create({
      task: crypto.randomUUID(),
      planCreate: { planId: crypto.randomUUID(), name: brought.name.slice(0, 120), rig: brought.rig },
    });
    if (answer.data) navigate(`/plans/${answer.data.planId}`);
  };
  return (
    <>
      <label className="action cursor-pointer">
        Bring a rig file
        <input type="file" accept=".json,application/json" className="sr-only" onChange={(event) => read(event.target.files?.[0])} />
      </label>
      {text !== undefined && !brought && <p role="status">Waiting for the register …</p>}
      {brought && (
        <div role="status" className="basis-full border-l-4 border-signal bg-sheet px-3 py-2">
          {brought.ok ? (
            <>
              <p>
                <strong>{brought.name}</strong>
                {brought.unknown.length > 0
                  ? `: not in this register: ${brought.unknown.join(', ')}. ${openPlaces(brought.rig)} places stay open; choose pieces for them on the plan.`
                  : ': every piece was found in this register by its tag and class. Check that they are the same ones.'}
              </p>
              <button type="button" className="action-main mt-1" disabled={creating.isLoading} onClick={make}>
                Make it a plan
              </button>
            </>
          ) : (
            <p className="text-rust">{brought.message}</p>
          )}
          <TaskNote task={creating.originalArgs?.task} isRunning={creating.isLoading} what="Judging the rig" />
          <ProblemNote error={creating.error} />
        </div>
      )}
    </>
  );
}
