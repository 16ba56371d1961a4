import { type GearView, isUseCheck, type TeamView } from '@wainrope/contract';
import { gearClasses, grades, proposedDue } from '@wainrope/core';
import { useEffect } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { usePerson } from '../access/use-session.ts';
import { Choice } from '../fields/Choice.tsx';
import { TagEntry } from '../fields/TagEntry.tsx';
import { type BenchDraft, type BenchRound, benchStore } from '../outbox/bench-store.ts';
import { takeBack } from '../outbox/unsent.ts';
import { kindWords } from '../register/care-words.ts';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { Answers } from './Answers.tsx';
import { backOf } from './back-of.ts';
import { type DraftOutcome, draftOutcome, requestOf } from './draft-outcome.ts';
import { PhotoStrip } from './PhotoStrip.tsx';
import { PieceHead } from './PieceHead.tsx';
import { TakenOver } from './RoundsElsewhere.tsx';
import { useDraft, useRound } from './use-bench.ts';
import { type SheetInForce, useSheets } from './use-sheets.ts';

/** What an address says beside the piece: the plan to go back to. */
const kept = (params: URLSearchParams): URLSearchParams => {
  const back = backOf(params);
  return new URLSearchParams(back ? { back } : {});
};

/** At the bench: piece after piece through a round. */
export function BenchPage() {
  const { roundId = '' } = useParams();
  const { round, drafts } = useRound(roundId);
  const { pieces, team, error, refetch } = useRegister();
  const { sheets, error: sheetError } = useSheets();
  const person = usePerson();
  useEffect(() => {
    // The summary must open without a signal: its page is fetched while there is one. Where that fails, opening it says so.
    import('./BenchSummary.tsx').catch(() => undefined);
  }, []);
  if (round === null) return <NoRound title="This round is not on this device" words="It was put away, or begun on another device." />;
  // Without a signal, what was read before is enough to go on with.
  if (!round || !drafts || !pieces || !sheets || !team || !person)
    return error || sheetError ? <ProblemNote error={error ?? sheetError} retry={refetch} /> : <Loading what="the round" className="p-5" />;
  if (round.personId !== person.personId)
    return <NoRound title="Somebody else’s round" words="It was begun on this device by another person, who alone may go on with it." />;
  if (round.takenOverBy !== undefined) return <TakenOver round={round} />;
  return <Round round={round} drafts={drafts} pieces={pieces} sheets={sheets} team={team} />;
}

function NoRound({ title, words }: { readonly title: string; readonly words: string }) {
  return (
    <div className="p-5">
      <PageHeading title={title} className="text-2xl" />
      <p>{words}</p>
      <Link className="action mt-3" to="/inspect">
        Begin a round
      </Link>
    </div>
  );
}

interface RoundProps {
  readonly round: BenchRound;
  readonly drafts: readonly BenchDraft[];
  readonly pieces: readonly RegisterPiece[];
  readonly sheets: ReadonlyMap<GearView['kind'], SheetInForce>;
  readonly team: TeamView;
}

function Round({ round, drafts, pieces, sheets, team }: RoundProps) {
  const { roundId } = round;
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const gearOf = new Map(pieces.map(({ gear }) => [gear.gearId, gear]));
  const done = new Set([
    ...(round.confirmedElsewhere ?? []),
    ...drafts.filter(({ status }) => status === 'queued' || status === 'sent').map(({ gearId }) => gearId),
  ]);
  const order = round.gearIds.filter((id) => gearOf.has(id));
  const current = order.find((id) => id === params.get('at')) ?? order.find((id) => !done.has(id)) ?? order[0];
  const piece = gearOf.get(current ?? '');
  const inForce = piece && sheets.get(piece.kind);
  const goTo = (gearId: string) => setParams((before) => new URLSearchParams([...kept(before), ['at', gearId]]), { replace: true });
  const next = (after: string) => {
    const rest = [...order.slice(order.indexOf(after) + 1), ...order.slice(0, order.indexOf(after))];
    const open = rest.find((id) => !done.has(id));
    if (open) goTo(open);
    else navigate({ pathname: `/inspect/${roundId}/summary`, search: kept(params).toString() });
    window.scrollTo(0, 0);
  };
  const openTag = (code: string): string | undefined => {
    const found = pieces.find(({ gear }) => gear.tag.toLowerCase() === code.toLowerCase());
    if (!found) return `No piece has the tag ${code}.`;
    if (!order.includes(found.gear.gearId)) benchStore.rounds.update(roundId, { gearIds: [...round.gearIds, found.gear.gearId] });
    goTo(found.gear.gearId);
    return undefined;
  };
  const simulated =
    team.demo === undefined ? undefined : gearOf.get(order.find((id) => !done.has(id) && id !== current) ?? order[0] ?? '')?.tag;
  return (
    <div className="page pb-28">
      <div className="grid items-end gap-x-6 gap-y-2 border-b-2 border-ink py-3 sm:grid-cols-[1fr_1fr]">
        <div>
          <Link className="underline" to="/inspect">
            Inspect
          </Link>
          <PageHeading title={`${round.title}, ${kindWords[round.kind].toLowerCase()}`} about="inspection" className="text-2xl" />
          <p aria-live="polite" className="text-quiet" data-progress>
            {done.size} of {order.length} confirmed{round.corrects && '; corrects an earlier inspection'}
          </p>
        </div>
        <TagEntry label="Tag of a piece" entered={openTag} simulated={simulated} />
      </div>
      <ol aria-label="Pieces of this round" className="flex flex-wrap gap-1.5 border-b border-rule py-2">
        {order.map((id) => (
          <li key={id}>
            <button
              type="button"
              aria-current={id === current ? 'step' : undefined}
              aria-label={`${gearOf.get(id)?.tag}${done.has(id) ? ', confirmed' : ''}`}
              onClick={() => goTo(id)}
              className={`min-h-9 px-0.5 ${id === current ? 'border-b-4 border-rope' : ''} ${done.has(id) ? 'line-through decoration-2' : ''}`}
            >
              <Tag code={gearOf.get(id)?.tag ?? ''} />
            </button>
          </li>
        ))}
      </ol>
      {piece && inForce && (
        <Bench
          key={piece.gearId}
          parts={{ round, piece, inForce, today: team.today }}
          existing={drafts.find(({ gearId }) => gearId === piece.gearId)}
          decimal={team.decimalMark}
          next={() => next(piece.gearId)}
        />
      )}
    </div>
  );
}

interface BenchProps {
  readonly parts: { readonly round: BenchRound; readonly piece: GearView; readonly inForce: SheetInForce; readonly today: string };
  readonly existing: BenchDraft | undefined;
  readonly decimal: '.' | ',';
  readonly next: () => void;
}

/** Arrow keys go from point to point; O, W and F answer; A passes what has no answer yet. */
function useBenchKeys(pass: () => void): void {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (
        event.target instanceof HTMLInputElement ||
        event.target instanceof HTMLTextAreaElement ||
        event.target instanceof HTMLSelectElement
      )
        return;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const rows = [...document.querySelectorAll<HTMLElement>('[data-point]')];
      const at = rows.findIndex((row) => row.contains(document.activeElement));
      const focus = (index: number) => rows[index]?.querySelector<HTMLElement>('button')?.focus();
      const actions: { readonly [name: string]: () => void } = {
        ArrowDown: () => focus(Math.min(at + 1, rows.length - 1)),
        ArrowUp: () => focus(Math.max(at - 1, 0)),
        a: pass,
        o: () => rows[at]?.querySelectorAll('button')[0]?.click(),
        w: () => rows[at]?.querySelectorAll('button')[1]?.click(),
        f: () => rows[at]?.querySelectorAll('button')[2]?.click(),
      };
      const action = actions[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [pass]);
}

function Bench({ parts, existing, decimal, next }: BenchProps) {
  const { piece, inForce } = parts;
  const { sheet } = inForce;
  const { draft, change, kept, trouble } = useDraft(parts, existing);
  const outcome = draftOutcome(draft, sheet, piece, decimal);
  const settled = draft.status === 'sent' || draft.status === 'queued';
  const found = foundWords(draft, outcome);
  const pass = () => {
    change(({ points }) => ({ points: { ...Object.fromEntries(sheet.points.map(({ id }) => [id, 'ok' as const])), ...points } }));
  };
  useBenchKeys(pass);
  const confirm = async () => {
    const isKept = await change((now) => {
      const latest = draftOutcome(now, sheet, piece, decimal);
      if (latest.open.length > 0) return {};
      return { status: 'queued', request: requestOf({ draft: now, inForce, outcome: latest, corrects: parts.round.corrects }) };
    });
    if (isKept) next();
  };
  return (
    <div data-kept-here={kept}>
      <PieceHead piece={piece} />
      {draft.status === 'refused' && (
        <p role="alert" className="mt-2 border-l-4 border-rust bg-rust-wash px-4 py-2">
          The server did not take it: {draft.problem} Put it right and confirm again.
        </p>
      )}
      {settled ? (
        <Settled draft={draft} found={found} />
      ) : (
        <>
          <Answers piece={piece} sheet={sheet} draft={draft} decimal={decimal} change={change} pass={pass} />
          <CarriedOn piece={piece} draft={draft} change={change} />
          <PhotoStrip inspectionId={draft.inspectionId} begin={() => change(() => ({}))} />
          <Closing piece={piece} draft={draft} outcome={outcome} change={change} proposed={proposedDue(draft.on, sheet, outcome.grade)} />
        </>
      )}
      <div className="fixed inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-paper max-[760px]:bottom-14">
        <div className="page flex items-center gap-4 py-2">
          {trouble ? (
            <p role="alert" className="min-w-0 flex-1 text-[15px] text-rust">
              {trouble}
            </p>
          ) : (
            <p aria-live="polite" className="min-w-0 flex-1 text-[15px]">
              {settled ? found : (outcome.open[0] ?? `These answers make it grade ${outcome.proposed.grade}.`)}
            </p>
          )}
          {settled ? (
            <button type="button" className="action-main min-h-12 text-lg" onClick={next}>
              Next
            </button>
          ) : (
            <button type="button" className="action-main min-h-12 text-lg" disabled={outcome.open.length > 0} onClick={confirm}>
              {outcome.grade === 'D' ? 'Confirm D: out of use' : isUseCheck(draft.kind) ? 'Confirm: fit' : `Confirm grade ${outcome.grade}`}
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

/** What was confirmed, in a word: a check finds a piece fit or not, an inspection grades it. */
const foundWords = ({ kind }: BenchDraft, { grade }: DraftOutcome): string =>
  isUseCheck(kind) ? (grade === 'D' ? 'Not fit' : 'Fit') : `Grade ${grade}`;

/** What was confirmed; while it waits on this device it can be changed. */
function Settled({ draft, found }: { readonly draft: BenchDraft; readonly found: string }) {
  const waits = draft.status === 'queued';
  return (
    <p className="mt-3 border-l-4 border-moss bg-sheet px-4 py-3 text-lg">
      Confirmed: {found.replace(/^\w/, (letter) => letter.toLowerCase())}.{' '}
      {waits ? 'It waits on this device to be sent.' : 'The server has it.'}
      {waits && (
        <button type="button" className="action ml-3" onClick={() => takeBack(draft)}>
          Change it
        </button>
      )}
    </p>
  );
}

type Change = ReturnType<typeof useDraft>['change'];

const SPOOLED_WORDS: { readonly [S in BenchDraft['spoolState']]: string } = {
  '': 'as before',
  'under-tension': 'spooled under tension',
  slack: 'spooled slack',
  stacked: 'stacked to a side',
};
const SPOOLED = Object.keys(SPOOLED_WORDS) as readonly BenchDraft['spoolState'][];

/** What a drum or a stretch rope carries on from use to use. */
function CarriedOn({ piece, draft, change }: { readonly piece: GearView; readonly draft: BenchDraft; readonly change: Change }) {
  const { carriesOn } = gearClasses[piece.kind];
  if (carriesOn === 'spool')
    return (
      <Choice
        label="How the line lies on the drum now"
        value={draft.spoolState}
        options={SPOOLED}
        words={(state) => SPOOLED_WORDS[state]}
        onChange={(spoolState) => change(() => ({ spoolState }))}
      />
    );
  if (carriesOn === 'nothing') return null;
  const { pullsUsed, pullsAllowed } = piece.attributes as { readonly pullsUsed?: number; readonly pullsAllowed?: number };
  return (
    <Labelled label={`Pulls used in all${pullsAllowed === undefined ? '' : `, of ${pullsAllowed} allowed`}`}>
      <input
        inputMode="numeric"
        placeholder={pullsUsed === undefined ? '' : String(pullsUsed)}
        value={draft.pullsUsed}
        onChange={(event) => change(() => ({ pullsUsed: event.target.value }))}
      />
    </Labelled>
  );
}

interface ClosingProps {
  readonly piece: GearView;
  readonly draft: BenchDraft;
  readonly outcome: DraftOutcome;
  readonly change: Change;
  readonly proposed: string;
}

/** Grade, next day, remark: what the person answers for. */
function Closing({ piece, draft, outcome, change, proposed }: ClosingProps) {
  const check = isUseCheck(draft.kind);
  const fails = outcome.proposed.grade === 'D';
  return (
    <section className="pt-5">
      {!check && (
        <>
          <h2 className="text-xl">Grade</h2>
          <div className="flex flex-wrap gap-2 pt-2">
            {grades.map((grade) => (
              <button
                key={grade}
                type="button"
                aria-pressed={outcome.grade === grade}
                disabled={fails && grade !== 'D'}
                onClick={() => change(() => ({ grade }))}
                className={`min-h-14 min-w-16 border-[1.5px] font-head text-3xl disabled:opacity-40 ${outcome.grade === grade ? (grade === 'D' ? 'border-rust bg-rust text-on-rust' : 'border-moss bg-moss text-sheet') : 'border-quiet bg-sheet'}`}
              >
                {grade}
              </button>
            ))}
          </div>
        </>
      )}
      {outcome.proposed.reasons.length > 0 && (
        <ul className="pt-2">
          {outcome.proposed.reasons.map(({ id, grade, words }) => (
            <li key={id}>
              {words}: points to {grade}
            </li>
          ))}
        </ul>
      )}
      {outcome.grade === 'D' && (
        <p className="mt-2 border-l-4 border-rust bg-rust-wash px-4 py-2">
          {piece.tag} goes into quarantine the moment this is confirmed, everywhere; plans that use it turn out of date.
        </p>
      )}
      <div className="grid gap-3 pt-3 sm:grid-cols-2">
        {!check && outcome.grade !== 'D' && (
          <Labelled label="Next inspection">
            <input type="date" value={draft.nextDue || proposed} onChange={(event) => change(() => ({ nextDue: event.target.value }))} />
          </Labelled>
        )}
        <Labelled label="Remark">
          <input maxLength={2000} value={draft.note} onChange={(event) => change(() => ({ note: event.target.value }))} />
        </Labelled>
      </div>
      {!check && piece.state === 'quarantined' && outcome.grade !== 'D' && (
        <label className="mt-3 flex items-center gap-3 text-lg">
          <input
            type="checkbox"
            checked={draft.returnsToUse}
            onChange={(event) => change(() => ({ returnsToUse: event.target.checked }))}
          />
          Return it to use
        </label>
      )}
    </section>
  );
}
