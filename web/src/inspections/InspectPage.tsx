import { dueOf, inspectionKinds, isUseCheck } from '@wainrope/contract';
import { gearClasses, gearClassNames } from '@wainrope/core';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useMay, usePerson } from '../access/use-session.ts';
import { usePutRoundAwayMutation } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { type BenchRound, thisDevice } from '../outbox/bench-store.ts';
import { kindWords } from '../register/care-words.ts';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { moment } from '../shell/days.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { backOf } from './back-of.ts';
import { type DuePiece, DueRows, soonestFirst } from './DueRows.tsx';
import { InspectTabs } from './InspectTabs.tsx';
import { RoundsElsewhere } from './RoundsElsewhere.tsx';
import { beginRound, putRoundAway, type RoundProgress, useRounds } from './use-rounds.ts';

/** What a round takes in: `due`, `quarantined`, `kit:…`, `class:…`, `piece:…`, or `pieces:…` with commas between. */
function piecesOf(choice: string, pieces: readonly RegisterPiece[], today: string): readonly RegisterPiece[] {
  const [what, which = ''] = choice.split(':');
  const usable = pieces.filter(({ gear }) => gear.state !== 'retired');
  if (what === 'due') return usable.filter((piece) => ['overdue', 'never', 'this-week'].includes(dueOf(piece.gear, today).time));
  if (what === 'quarantined') return usable.filter(({ gear }) => gear.state === 'quarantined');
  if (what === 'kit') return usable.filter(({ gear }) => gear.kitId === which);
  if (what === 'piece' || what === 'pieces') {
    const ids = new Set(which.split(','));
    return usable.filter(({ gear }) => ids.has(gear.gearId));
  }
  return usable.filter(({ gear }) => gear.kind === which);
}

/** So many of the pieces that a round would take in stand beneath it. */
const SHOWN = 40;

/** Longest title of a round that names its pieces. */
const LONGEST_TITLE = 80;

const tagsOf = (pieces: readonly RegisterPiece[]): string =>
  pieces
    .map(({ gear }) => gear.tag)
    .join(', ')
    .slice(0, LONGEST_TITLE);

const HEADINGS: { readonly [choice: string]: string } = { due: 'What waits', quarantined: 'What is in quarantine' };

const headingOf = (choice: string, correcting: boolean, title: string): string =>
  correcting ? `Put right an inspection of ${title}` : (HEADINGS[choice] ?? 'Begin at the bench');

/** Which pieces a round would take in, what kind it would be, and its beginning. */
function useRoundToBegin() {
  const { pieces, team, error, refetch } = useRegister();
  const [params, setParams] = useSearchParams();
  const person = usePerson();
  const may = useMay();
  const navigate = useNavigate();
  const kinds = inspectionKinds.filter(
    (kind): kind is BenchRound['kind'] => kind !== 'on-record' && (may('inspection.full') || isUseCheck(kind)),
  );
  const [kind, setKind] = useState<BenchRound['kind']>();
  const chosenKind = kind ?? kinds.find((entry) => entry === params.get('kind')) ?? (may('inspection.full') ? 'calendar' : 'after-use');
  const choice = params.get('of') ?? 'due';
  const today = team?.today ?? '';
  const chosen = useMemo(() => (pieces ? piecesOf(choice, pieces, today) : []), [pieces, choice, today]);
  const words = useMemo(() => new Map(choices(pieces ?? [], team?.kits ?? [])), [pieces, team]);
  const named = choice.startsWith('piece:') || choice.startsWith('pieces:');
  const title = named ? tagsOf(chosen) : (words.get(choice) ?? 'All due');
  const corrects = params.get('corrects');
  const begin = async () => {
    if (!person) return;
    const gearIds = chosen.map(({ gear }) => gear.gearId);
    const back = backOf(params);
    navigate(
      `/inspect/${await beginRound({ title, kind: chosenKind, gearIds, personId: person.personId, ...(corrects && { corrects }) })}${back ? `?back=${encodeURIComponent(back)}` : ''}`,
    );
  };
  return { pieces, today, error, refetch, choice, setParams, words, named, title, corrects, kinds, chosenKind, setKind, chosen, begin };
}

export function InspectPage() {
  const round = useRoundToBegin();
  const { error, refetch, chosen, today } = round;
  const rounds = useRounds();
  const may = useMay();
  return (
    <div className="page py-4">
      <InspectTabs title="Inspect" />
      <ProblemNote error={error} retry={refetch} />
      {rounds && rounds.length > 0 && <OpenRounds rounds={rounds} />}
      {may('inspection.use-check') ? (
        <>
          <RoundsElsewhere />
          <BeginRound round={round} />
        </>
      ) : (
        <WhatWaits pieces={chosen} today={today} />
      )}
    </div>
  );
}

/** What a round would take in, and the button that begins it. */
function BeginRound({ round }: { readonly round: ReturnType<typeof useRoundToBegin> }) {
  const { pieces, today, choice, setParams, words, named, title, corrects, kinds, chosenKind, setKind, chosen, begin } = round;
  return (
    <section className="pt-5">
      <h2 className="stitched pb-1.5 text-xl">{headingOf(choice, corrects !== null, title)}</h2>
      {corrects && <p className="pt-2">Inspect it anew. The earlier one stays on record, and this one takes its place.</p>}
      <div className="grid items-end gap-3 pt-3 text-lg sm:grid-cols-[1.5fr_1.3fr_auto]">
        <Choice
          label="Which pieces"
          value={choice}
          options={named ? [choice, ...words.keys()] : [...words.keys()]}
          words={(of) => words.get(of) ?? title}
          onChange={(of) => setParams({ of }, { replace: true })}
        />
        <Choice label="What kind" value={chosenKind} options={kinds} words={(entry) => kindWords[entry]} onChange={setKind} />
        <button type="button" className="action-main min-h-11 justify-center text-lg" disabled={chosen.length === 0} onClick={begin}>
          Begin: {chosen.length} {chosen.length === 1 ? 'piece' : 'pieces'}
        </button>
      </div>
      {pieces && chosen.length === 0 && <p className="pt-3 text-quiet">Nothing here wants inspecting. Choose a kit or a class instead.</p>}
      <p className="py-3 text-[15px] text-quiet">
        Every tap is kept on this device at once. Without a signal you can go on; it is sent when there is one.
      </p>
      {!named && <Waiting pieces={chosen} today={today} />}
    </section>
  );
}

/** For whoever inspects nothing, to read. */
function WhatWaits(waiting: WaitingProps) {
  return (
    <section className="pt-5">
      <h2 className="stitched pb-1.5 text-xl">{HEADINGS.due}</h2>
      <Waiting {...waiting} />
    </section>
  );
}

interface WaitingProps {
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
}

/** The pieces that a round would take in, the most urgent first. */
function Waiting({ pieces, today }: WaitingProps) {
  const entries = pieces.map((piece): DuePiece => ({ piece, due: dueOf(piece.gear, today) })).sort(soonestFirst);
  return (
    <>
      <DueRows entries={entries.slice(0, SHOWN)} />
      {entries.length > SHOWN && <p className="py-3 text-quiet">and {entries.length - SHOWN} more</p>}
    </>
  );
}

function choices(
  pieces: readonly RegisterPiece[],
  kits: readonly { readonly kitId: string; readonly name: string }[],
): readonly (readonly [string, string])[] {
  const kinds = gearClassNames.filter((name) => pieces.some(({ gear }) => gear.kind === name));
  return [
    ['due', 'All due this week or overdue'],
    ['quarantined', 'All in quarantine'],
    ...kits.map(({ kitId, name }) => [`kit:${kitId}`, `Kit: ${name}`] as const),
    ...kinds.map((name) => [`class:${name}`, gearClasses[name].plural] as const),
  ];
}

function OpenRounds({ rounds }: { readonly rounds: readonly RoundProgress[] }) {
  return (
    <section className="pt-4">
      <h2 className="stitched pb-1.5 text-xl">On this device</h2>
      <ul>
        {rounds.map((progress) => (
          <RoundRow key={progress.round.roundId} progress={progress} />
        ))}
      </ul>
    </section>
  );
}

function RoundRow({ progress: { round, confirmed, waiting, refused, unconfirmed } }: { readonly progress: RoundProgress }) {
  const person = usePerson();
  const [forget] = usePutRoundAwayMutation();
  const [asked, setAsked] = useState(false);
  const own = round.personId === person?.personId;
  const putAway = async () => {
    await putRoundAway(round.roundId);
    await forget({ roundId: round.roundId, deviceId: await thisDevice() });
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
      <span>
        <strong>{round.title}</strong>, {kindWords[round.kind].toLowerCase()}
        <span className="block text-[15px] text-quiet">
          begun {moment(round.begunAt)}; {confirmed} of {round.gearIds.length} confirmed
          {waiting > 0 && `, ${waiting} waiting to be sent`}
          {refused > 0 && <span className="text-rust">, {refused} refused</span>}
        </span>
        {own && round.takenOverBy !== undefined && (
          <span className="block text-amber-ink">{round.takenOverBy} took it over on another device.</span>
        )}
        {!own && <span className="block text-amber-ink">Somebody else’s: it can be continued and sent when they sign in here.</span>}
        {asked && (
          <span className="block text-rust">
            {unconfirmed} begun and not confirmed {unconfirmed === 1 ? 'is' : 'are'} dropped with it.
          </span>
        )}
      </span>
      {own && (
        <span className="ml-auto flex gap-2">
          <button
            type="button"
            className="action"
            disabled={waiting > 0}
            onClick={() => (unconfirmed > 0 && !asked ? setAsked(true) : putAway())}
          >
            {asked ? 'Put away all the same' : 'Put away'}
          </button>
          <Link className="action" to={`/inspect/${round.roundId}/summary`}>
            Summary
          </Link>
          <Link className="action-main" to={`/inspect/${round.roundId}`}>
            Go on
          </Link>
        </span>
      )}
    </li>
  );
}
