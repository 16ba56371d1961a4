import type { GearView } from '@wainrope/contract';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { usePerson } from '../access/use-session.ts';
import { letGo, sendAgain, takeBack, type Unsent, whatWaits } from '../outbox/unsent.ts';
import { useLive } from '../outbox/use-live.ts';
import { useRegister } from '../register/use-register.ts';
import { moment } from '../shell/days.ts';
import { PageHeading } from '../shell/PageHeading.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useAppSelector } from '../store.ts';
import { KeptHere } from './KeptHere.tsx';
import { KeptPlans } from './KeptPlans.tsx';

/** What this device alone has: what was not sent, what it keeps for when there is no signal, and how full it is. */
export function DevicePage() {
  const person = usePerson();
  const waiting = useLive(() => whatWaits(person?.personId), person?.personId ?? '');
  const { pieces } = useRegister();
  const gone = useAppSelector(({ connection }) => connection.signal === 'gone');
  const gearOf = new Map(pieces?.map(({ gear }) => [gear.gearId, gear]));
  return (
    <div className="page py-4">
      <PageHeading title="This device" className="border-b-2 border-ink pb-3 text-[28px]" />
      <h2 className="stitched mt-5 pb-1.5 text-xl">Not sent</h2>
      {waiting?.own.length === 0 && <p className="pt-3">The server has everything that you confirmed here.</p>}
      {waiting && waiting.own.length > 0 && (
        <>
          <p className="pt-3">
            {gone
              ? 'There is no signal. All of it is kept here and sent by itself when there is one.'
              : 'What waits is sent by itself, in the order in which it was confirmed.'}
          </p>
          <ul className="pt-2">
            {waiting.own.map((unsent) => (
              <UnsentRow key={unsent.draft.inspectionId} unsent={unsent} gear={gearOf.get(unsent.draft.gearId)} />
            ))}
          </ul>
        </>
      )}
      {waiting && waiting.ofOthers > 0 && (
        <p className="pt-3 text-amber-ink">{waiting.ofOthers} of somebody else’s: sent when they sign in on this device.</p>
      )}
      <KeptPlans />
      <KeptHere />
    </div>
  );
}

interface UnsentRowProps {
  readonly unsent: Unsent;
  /** Nothing where the register was not read on this device. */
  readonly gear: GearView | undefined;
}

function UnsentRow({ unsent, gear }: UnsentRowProps) {
  const { draft, round, photos } = unsent;
  const [asked, setAsked] = useState(false);
  const navigate = useNavigate();
  const bench = `/inspect/${round.roundId}?at=${draft.gearId}`;
  const onServer = draft.status === 'sent';
  const change = async () => {
    await takeBack(draft);
    navigate(bench);
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule py-2.5" data-unsent={draft.status}>
      <div className="min-w-60 flex-1">
        <p className="flex items-center gap-2">
          <Tag code={gear?.tag ?? '?'} /> <strong>{gear?.name ?? 'A piece that was not read on this device'}</strong>
        </p>
        <p className="text-[15px] text-quiet">
          {round.title}; confirmed {moment(draft.stamp?.clock ?? new Date(draft.changedAt).toISOString())}
          {photos.length > 0 && `; ${photos.length} ${photos.length === 1 ? 'photo' : 'photos'} to send`}
        </p>
        <p className={draft.status === 'refused' ? 'text-rust' : ''}>{wordsOf(unsent)}</p>
        {asked && (
          <p className="text-rust">
            {onServer
              ? 'The inspection stays; these photos are gone for good.'
              : 'These answers and photos are gone for good: nobody else has them.'}
          </p>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="action" onClick={() => (asked ? letGo(unsent) : setAsked(true))}>
          {asked ? 'Let go all the same' : 'Let go'}
        </button>
        {asked && (
          <button type="button" className="action" onClick={() => setAsked(false)}>
            Keep
          </button>
        )}
        {!asked && isRefused(unsent) && (
          <button type="button" className="action" onClick={() => sendAgain(unsent)}>
            Send again
          </button>
        )}
        {!asked && !onServer && (
          <button type="button" className="action-main" onClick={change}>
            Change
          </button>
        )}
        {!asked && (
          <Link className="action" to={onServer ? `/inspections/${draft.inspectionId}` : bench}>
            Open
          </Link>
        )}
      </div>
    </li>
  );
}

const isRefused = ({ draft, photos }: Unsent) => draft.status === 'refused' || photos.some(({ status }) => status === 'refused');

function wordsOf({ draft, photos }: Unsent): string {
  if (draft.status === 'queued') return 'Waits to be sent.';
  if (draft.status === 'refused') return `The server did not take it: ${draft.problem ?? 'it did not say why.'}`;
  const refused = photos.find(({ status }) => status === 'refused');
  return refused
    ? `The server has the inspection, but did not take a photo: ${refused.problem ?? 'it did not say why.'}`
    : 'Its photos wait to be sent.';
}
