import { type ChangeEvent, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { problemOf, useAcceptBundleMutation } from '../api/wainrope-api.ts';
import { Chosen } from '../fields/Chosen.tsx';
import { named } from '../fields/named.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { LongNote } from '../tasks/TaskNote.tsx';
import { AccountFields } from './AccountFields.tsx';

interface BundleFile {
  readonly content: Record<string, unknown>;
  readonly teamName: string;
  readonly coordinators: readonly { readonly personId: string; readonly name: string }[];
}

type PersonRow = { readonly person_id: string; readonly name: string; readonly role: string; readonly left_on?: string };

/** Enough of a team's file to say whose it is; the server reads the rest. Nothing where it is no such file. */
export function openBundle(text: string): BundleFile | undefined {
  try {
    const content = JSON.parse(text);
    if (content?.format !== 'wainrope.team') return undefined;
    const people = (content.tables?.person ?? []) as readonly PersonRow[];
    const coordinators = people.filter(({ role, left_on }) => role === 'coordinator' && left_on === undefined);
    return {
      content,
      teamName: String(content.team?.name ?? ''),
      coordinators: coordinators.map(({ person_id, name }) => ({ personId: person_id, name })),
    };
  } catch {
    return undefined;
  }
}

/** A whole team, taken out elsewhere, comes into this server. */
export function BringTeam({ token }: { readonly token: string }) {
  const [file, setFile] = useState<BundleFile | 'unreadable'>();
  const [accept, accepted] = useAcceptBundleMutation();
  const running = useRef<{ abort: () => void }>(undefined);
  const [isStopped, setIsStopped] = useState(false);
  const { register, control, handleSubmit, setValue } = useForm({ defaultValues: { login: '', password: '', personId: '' } });
  const navigate = useNavigate();
  const faults = faultsByPath(accepted.error && problemOf(accepted.error));
  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    if (!chosen) return;
    const opened = openBundle(await chosen.text());
    setFile(opened ?? 'unreadable');
    setValue('personId', opened?.coordinators[0]?.personId ?? '');
  };
  const read = file === 'unreadable' ? undefined : file;
  const submit = handleSubmit(async ({ login, password, personId }) => {
    if (!read) return;
    setIsStopped(false);
    const asked = accept({ bundleAccept: { token, login, password, personId, bundle: read.content } });
    running.current = asked;
    const answer = await asked;
    if (answer.data) navigate('/', { replace: true });
  });
  return (
    <form className="space-y-3" onSubmit={submit} noValidate>
      <Labelled
        label="The team’s file"
        fault={file === 'unreadable' ? 'This is not a team’s file as Wainrope writes it (wainrope.team.json).' : undefined}
      >
        <input type="file" accept=".json,application/json" onChange={choose} />
      </Labelled>
      {read && (
        <>
          <p>
            <strong>{read.teamName}</strong>, with its whole record. Passwords are not in the file: the others are invited anew.
          </p>
          {isStopped ? (
            <p role="alert">Stopped. If the team arrived all the same, the link no longer works: sign in instead.</p>
          ) : (
            <FormProblem error={accepted.error} shown={['login', 'password', 'personId']} />
          )}
          <Chosen
            control={control}
            name="personId"
            label="You are"
            {...named(read.coordinators.map(({ personId, name }) => [personId, name]))}
            fault={faults.personId}
          />
          <AccountFields login={register('login')} password={register('password')} faults={faults} />
          <button type="submit" className="action-main" disabled={accepted.isLoading}>
            {accepted.isLoading ? 'Bringing it in…' : 'Bring the team in'}
          </button>
          <LongNote
            isRunning={accepted.isLoading}
            what="Reading and judging the file"
            stop={() => {
              setIsStopped(true);
              running.current?.abort();
            }}
          />
        </>
      )}
    </form>
  );
}
