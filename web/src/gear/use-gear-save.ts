import type { GearInput, GearView } from '@wainrope/contract';
import { validateSync } from 'class-validator';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { problemOf, useChangeGearMutation, useCreateGearMutation } from '../api/wainrope-api.ts';
import { useTeam } from '../register/use-register.ts';
import { anotherOf, type FormFault, type GearFormValues, inputOf } from './gear-form-values.ts';

/** Faults that the contract's own rules find, as the server would. */
function contractFaults(input: GearInput): readonly FormFault[] {
  return validateSync(input).flatMap(({ property, constraints }) =>
    Object.values(constraints ?? {}).map((message) => ({ path: property, message })),
  );
}

/** Saving the form of a piece: faults by field, and what somebody else saved meanwhile. */
export function useGearSave(
  before: GearView | undefined,
  { handleSubmit, reset }: Pick<UseFormReturn<GearFormValues>, 'handleSubmit' | 'reset'>,
) {
  const { team } = useTeam();
  const navigate = useNavigate();
  const [create, creating] = useCreateGearMutation();
  const [change, changing] = useChangeGearMutation();
  const [base, setBase] = useState(before);
  const [conflict, setConflict] = useState<GearView>();
  const [faults, setFaults] = useState<{ readonly [path: string]: string }>({});
  const [newId, setNewId] = useState(() => crypto.randomUUID());
  const [saved, setSaved] = useState<GearView>();
  const show = (found: readonly FormFault[]) => setFaults(Object.fromEntries(found.map(({ path, message }) => [path, message])));
  const send = (input: GearInput) =>
    base
      ? change({ gearId: base.gearId, gearChange: { ...input, rowVersion: base.rowVersion } })
      : create({ gearCreate: { ...input, gearId: newId } });
  const save = async (values: GearFormValues, another: boolean) => {
    const outcome = inputOf(values, team?.decimalMark ?? '.');
    const found = outcome.ok ? contractFaults(outcome.input) : outcome.faults;
    show(found);
    if (!outcome.ok || found.length > 0) return;
    const answer = await send({ ...outcome.input });
    if (answer.data && another) {
      setSaved(answer.data);
      setNewId(crypto.randomUUID());
      return reset(anotherOf(values));
    }
    if (answer.data) return void navigate(`/gear/${answer.data.gearId}`);
    const problem = problemOf(answer.error);
    if (problem.status === 409) setConflict(problem.current as GearView);
    show(problem.faults ?? []);
  };
  const submit = handleSubmit((values) => save(values, false));
  const submitAnother = handleSubmit((values) => save(values, true));
  /** From here on the form stands on what somebody else saved. */
  const settle = () => {
    setBase(conflict);
    setConflict(undefined);
  };
  const error = creating.error ?? changing.error;
  const problem = error && problemOf(error).status !== 409 ? error : undefined;
  return { submit, submitAnother, saved, base, conflict, settle, faults, problem, busy: creating.isLoading || changing.isLoading };
}
