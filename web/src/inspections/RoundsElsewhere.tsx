import { isUseCheck, type RoundListed } from '@wainrope/contract';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useMay, usePerson } from '../access/use-session.ts';
import { useListRoundsQuery, usePutRoundAwayMutation, useTakeRoundOverMutation } from '../api/wainrope-api.ts';
import { type BenchRound, benchStore, thisDevice } from '../outbox/bench-store.ts';
import { takeIn } from '../outbox/round-document.ts';
import { kindWords } from '../register/care-words.ts';
import { moment } from '../shell/days.ts';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';

/** How often a page that shows rounds asks how far they are. */
const ASK_MS = 15_000;

/** Takes a round over onto this device and goes to its bench. */
function useTakeOver() {
  const [take, { error, isLoading }] = useTakeRoundOverMutation();
  const person = usePerson();
  const navigate = useNavigate();
  const takeOver = async (roundId: string) => {
    if (!person) return;
    const { data } = await take({ roundId, roundTake: { deviceId: await thisDevice() } });
    if (!data) return;
    await takeIn(data, person.personId);
    navigate(`/inspect/${roundId}`);
  };
  return { takeOver, error, isLoading };
}

/** Rounds that are gone through on other devices, each to be taken over. */
export function RoundsElsewhere() {
  const { data } = useListRoundsQuery(undefined, { pollingInterval: ASK_MS, skipPollingIfUnfocused: true });
  const person = usePerson();
  const [deviceId, setDeviceId] = useState<string>();
  useEffect(() => void thisDevice().then(setDeviceId), []);
  const [putAway] = usePutRoundAwayMutation();
  const isHere = (round: RoundListed) => round.deviceId === deviceId && round.personId === person?.personId;
  const elsewhere = data?.items.filter((round) => !isHere(round) && round.confirmed.length < round.pieces);
  const own = data?.items.flatMap((round) => (isHere(round) ? [round.roundId] : [])).join() ?? '';
  useEffect(() => {
    // Put away while there was no signal: the server learns it now.
    const tell = async () => {
      for (const roundId of own.split(',').filter(Boolean))
        if (deviceId && (await benchStore.rounds.get(roundId)) === undefined) await putAway({ roundId, deviceId });
    };
    void tell();
  }, [own, deviceId, putAway]);
  if (deviceId === undefined || !elsewhere || elsewhere.length === 0) return null;
  return (
    <section className="pt-4">
      <h2 className="stitched pb-1.5 text-xl">On other devices</h2>
      <ul>
        {elsewhere.map((round) => (
          <ElsewhereRow key={round.roundId} round={round} own={round.personId === person?.personId} />
        ))}
      </ul>
    </section>
  );
}

function ElsewhereRow({ round, own }: { readonly round: RoundListed; readonly own: boolean }) {
  const [asked, setAsked] = useState(false);
  const { takeOver, error, isLoading } = useTakeOver();
  const may = useMay();
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
      <span className="min-w-60 flex-1">
        <strong>{round.title}</strong>, {kindWords[round.kind].toLowerCase()}
        <span className="block text-[15px] text-quiet">
          {own ? 'yours' : round.by}, begun {moment(round.begunAt)}; {round.confirmed.length} of {round.pieces} confirmed; last heard of{' '}
          {moment(round.heardAt)}
        </span>
        {asked && (
          <span className="block text-amber-ink">
            It goes on here{!own && ', under your name'}, and stops there. What that device has not sent it still sends; photos of pieces
            not confirmed stay on it.
          </span>
        )}
        <ProblemNote error={error} />
      </span>
      {(isUseCheck(round.kind) || may('inspection.full')) && (
        <button type="button" className="action" disabled={isLoading} onClick={() => (asked ? takeOver(round.roundId) : setAsked(true))}>
          {asked ? 'Take it over here' : 'Take over'}
        </button>
      )}
    </li>
  );
}

/** In place of the bench, where another device has the round now. */
export function TakenOver({ round }: { readonly round: BenchRound }) {
  const { takeOver, error, isLoading } = useTakeOver();
  return (
    <div className="p-5">
      <PageHeading title={`${round.takenOverBy} has this round now`} className="text-2xl" />
      <p>
        It was taken over on another device. What you confirmed here is sent all the same; what you had only begun went along as far as this
        device had told of it.
      </p>
      <ProblemNote error={error} />
      <div className="flex flex-wrap gap-2 pt-3">
        <button type="button" className="action" disabled={isLoading} onClick={() => takeOver(round.roundId)}>
          Take it back
        </button>
        <Link className="action" to={`/inspect/${round.roundId}/summary`}>
          Summary
        </Link>
        <Link className="action-main" to="/inspect">
          Back to the rounds
        </Link>
      </div>
    </div>
  );
}
