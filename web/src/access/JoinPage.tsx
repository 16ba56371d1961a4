import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { problemOf, useAcceptInvitationMutation, useLookAtInvitationMutation } from '../api/wainrope-api.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { AccountFields } from './AccountFields.tsx';
import { BringTeam } from './BringTeam.tsx';
import { roleWords } from './role-words.ts';

/** A one-time link: the token stands behind #, where no server sees it. */
export function JoinPage() {
  const [token] = useState(() => window.location.hash.slice(1));
  const [look, looked] = useLookAtInvitationMutation();
  const [accept, accepted] = useAcceptInvitationMutation();
  const { register, handleSubmit } = useForm({ defaultValues: { login: '', password: '', teamName: '', personName: '' } });
  const navigate = useNavigate();
  const [brings, setBrings] = useState(false);
  useEffect(() => {
    look({ invitationLook: { token: token.length < 20 ? token.padEnd(20, '-') : token } });
  }, [look, token]);
  const invitation = looked.data;
  const problem = accepted.error && problemOf(accepted.error);
  const faults = faultsByPath(problem);
  const submit = handleSubmit(async ({ login, password, teamName, personName }) => {
    const founding = invitation?.foundsTeam ? { teamName, personName } : {};
    const answer = await accept({ invitationAccept: { token, login: invitation?.login ?? login, password, ...founding } });
    if (answer.data) navigate('/', { replace: true });
  });
  return (
    <div className="mx-auto w-full max-w-[560px] px-4 py-10">
      <p className="font-head text-4xl font-bold tracking-[0.08em]">WAINROPE</p>
      <div aria-hidden="true" className="rope-bar mt-1 mb-6 h-[6px] w-40" />
      <ProblemNote error={looked.error} />
      {invitation?.foundsTeam && (
        <fieldset className="mb-4 flex flex-wrap gap-2">
          <legend className="sr-only">How to begin</legend>
          <button type="button" className="action" aria-pressed={!brings} onClick={() => setBrings(false)}>
            A new team
          </button>
          <button type="button" className="action" aria-pressed={brings} onClick={() => setBrings(true)}>
            A team from its file
          </button>
        </fieldset>
      )}
      {invitation && brings && (
        <>
          <PageHeading title="Bring a team in" className="mb-3 text-[28px]" />
          <BringTeam token={token} />
        </>
      )}
      {invitation && !brings && (
        <form className="space-y-3" onSubmit={submit} noValidate>
          <PageHeading title={titleOf(invitation)} />
          {invitation.role && (
            <p>
              You are {invitation.personName}, {roleWords[invitation.role]} of {invitation.teamName}.
            </p>
          )}
          <FormProblem error={accepted.error} shown={['login', 'password', 'teamName', 'personName']} />
          {invitation.foundsTeam && (
            <>
              <p>You will be its coordinator and can invite the others.</p>
              <Labelled label="Name of the team" fault={faults.teamName}>
                <input {...register('teamName')} />
              </Labelled>
              <Labelled label="Your name" fault={faults.personName}>
                <input {...register('personName')} autoComplete="name" />
              </Labelled>
            </>
          )}
          {invitation.login && (
            <p>
              Your sign-in name stays <strong className="font-mono">{invitation.login}</strong>.
            </p>
          )}
          <AccountFields {...(!invitation.login && { login: register('login') })} password={register('password')} faults={faults} />
          <button type="submit" className="action-main" disabled={accepted.isLoading}>
            {invitation.foundsTeam ? 'Found the team' : invitation.login ? 'Set the password' : 'Join'}
          </button>
        </form>
      )}
    </div>
  );
}

function titleOf({
  foundsTeam,
  teamName,
  login,
}: {
  readonly foundsTeam: boolean;
  readonly teamName?: string;
  readonly login?: string;
}): string {
  if (foundsTeam) return 'Found a team';
  return login ? 'Set a new password' : `Join ${teamName}`;
}
