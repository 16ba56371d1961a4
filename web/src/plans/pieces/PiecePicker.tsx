import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import {
  type Candidate,
  type Case,
  candidatesFor,
  type Edit,
  type PieceUse,
  type Rig,
  roleWords,
  vehicleIdOfUse,
  wantsConsent,
} from '@wainrope/core';
import { useMemo, useState } from 'react';
import { limitWords, whereWords } from '../../register/gear-words.ts';
import type { RegisterPiece } from '../../register/use-register.ts';
import { Tag } from '../../shell/Tag.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useTrials } from '../solver/questions.ts';
import type { ToldTrial } from '../solver/solver.worker.ts';
import { BookPoints } from './BookPoints.tsx';
import { keptKits, ranked } from './candidates.ts';
import { UnregisteredPoint } from './UnregisteredPoint.tsx';

interface PiecePickerProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly use: PieceUse;
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  /** A last resort comes with who of the owner's side agrees. */
  readonly choose: (piece: RegisterPiece, consent?: string) => void;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly close: () => void;
}

const BAGS = 'wainrope.bags';

/** Which kits are on the truck: the choice stays on the device. */
function useBags(): readonly [readonly string[], (bags: readonly string[]) => void] {
  const [bags, setBags] = useState<readonly string[]>(() => keptKits(localStorage.getItem(BAGS)));
  const set = (next: readonly string[]) => {
    localStorage.setItem(BAGS, JSON.stringify(next));
    setBags(next);
  };
  return [bags, set];
}

/** The team's pieces for one place, each tried in the rig: what fits and holds first, the others with the reason why not. */
export function PiecePicker({ rig, subject, use, pieces, today, choose, apply, close }: PiecePickerProps) {
  const [search, setSearch] = useState('');
  const [bags, setBags] = useBags();
  const { schools } = subject.policy;
  const all = useMemo(
    () => candidatesFor(pieces, { rig, use, today, vehicleId: vehicleIdOfUse(rig, use.id) }, schools),
    [pieces, rig, use, today, schools],
  );
  const tried = useMemo(() => all.filter(({ whyNot }) => whyNot === undefined).map(({ piece }) => piece.facts), [all]);
  const trials = useTrials(subject, use.id, tried);
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const kits = [...new Set(pieces.map(({ kit }) => kit).filter(Boolean))].sort();
  const inBag = ({ piece }: Candidate<RegisterPiece>) =>
    bags.length === 0 || bags.includes(piece.kit) || piece.gear.vehicleId !== undefined;
  const shown = ranked(all, trials).filter(
    (candidate) =>
      inBag(candidate) &&
      words.every((word) =>
        `${candidate.piece.gear.tag} ${candidate.piece.gear.name} ${candidate.piece.kit} ${candidate.piece.gear.marks.map(({ asWritten }) => asWritten).join(' ')}`
          .toLowerCase()
          .includes(word),
      ),
  );
  return (
    <Dialog open onClose={close} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-board/50" />
      <div className="fixed inset-0 grid place-items-end sm:place-items-center">
        <DialogPanel className="flex max-h-[88dvh] w-full max-w-2xl flex-col border-2 border-ink bg-sheet">
          <div className="flex items-center gap-3 border-b border-rule px-4 py-3">
            <DialogTitle className="text-xl">Choose the {roleWords[use.role]}</DialogTitle>
            <button type="button" className="action ml-auto" onClick={close}>
              Close
            </button>
          </div>
          <div className="space-y-2 px-4 py-2">
            <label className="block">
              <span className="sr-only">Search</span>
              <input
                autoFocus
                type="search"
                value={search}
                placeholder="Search tag, name, kit, mark…"
                onChange={(event) => setSearch(event.target.value)}
              />
            </label>
            <Bags kits={kits} bags={bags} set={setBags} />
          </div>
          <ul className="overflow-y-auto px-4 pb-3">
            {use.role === 'point' && (
              <>
                <BookPoints rig={rig} use={use} apply={apply} close={close} />
                <UnregisteredPoint rig={rig} use={use} policy={subject.policy} pieces={pieces} apply={apply} close={close} />
              </>
            )}
            {shown.map((candidate) => (
              <Row
                key={candidate.piece.gear.gearId}
                candidate={candidate}
                trial={trials?.get(candidate.piece.gear.gearId)}
                current={candidate.piece.gear.gearId === use.gearId}
                lastResort={wantsConsent(candidate.piece.facts, schools)}
                choose={choose}
              />
            ))}
            {shown.length === 0 && <Nothing all={all} role={roleWords[use.role]} bags={bags} everywhere={() => setBags([])} />}
          </ul>
        </DialogPanel>
      </div>
    </Dialog>
  );
}

/** What fits from these bags: without any, the whole register. */
function Bags({
  kits,
  bags,
  set,
}: {
  readonly kits: readonly string[];
  readonly bags: readonly string[];
  readonly set: (bags: readonly string[]) => void;
}) {
  if (kits.length === 0) return null;
  return (
    <div role="group" aria-label="Only from these bags" className="flex flex-wrap gap-1.5">
      {kits.map((kit) => {
        const on = bags.includes(kit);
        return (
          <button
            key={kit}
            type="button"
            className="action"
            aria-pressed={on}
            onClick={() => set(on ? bags.filter((entry) => entry !== kit) : [...bags, kit])}
          >
            {kit}
          </button>
        );
      })}
    </div>
  );
}

interface RowProps {
  readonly candidate: Candidate<RegisterPiece>;
  readonly trial: ToldTrial | undefined;
  readonly current: boolean;
  /** It is taken only where somebody agrees by name. */
  readonly lastResort: boolean;
  readonly choose: (piece: RegisterPiece, consent?: string) => void;
}

function Row({ candidate: { piece, whyNot, remark }, trial, current, lastResort, choose }: RowProps) {
  const { figure, text } = useFigures();
  const found = trial?.findings[0];
  const against = whyNot ?? (found && text(found.title));
  const bad = whyNot !== undefined || trial?.worst === 'stop' || trial?.fits === false;
  const [asking, setAsking] = useState(false);
  return (
    <li className="border-b border-rule">
      <button
        type="button"
        disabled={whyNot !== undefined}
        data-fits={trial?.fits}
        aria-expanded={lastResort ? asking : undefined}
        onClick={() => (lastResort ? setAsking(true) : choose(piece))}
        aria-current={current}
        className="grid min-h-12 w-full grid-cols-[6.2rem_1fr_auto] items-center gap-x-3 py-1.5 text-left enabled:hover:bg-paper aria-[current=true]:shadow-[inset_4px_0_var(--rope)] disabled:cursor-not-allowed"
      >
        <span className="pl-2">
          <Tag code={piece.gear.tag} />
        </span>
        <span className={whyNot ? 'text-quiet' : ''}>
          {piece.gear.name} <span className="text-quiet">{whereWords(piece)}</span>
          {against && <span className={`block text-[15px] ${bad ? 'text-rust' : 'text-amber-ink'}`}>{against}</span>}
          {!against && remark && <span className="block text-[15px] text-amber-ink">{remark}</span>}
        </span>
        <span className="text-right font-mono">
          {limitWords(piece.limit, figure)}
          {trial?.utilisation !== undefined && (
            <span className="block text-[14px] text-quiet">{Math.round(trial.utilisation * 100)} % here</span>
          )}
        </span>
      </button>
      {asking && <Consent agree={(consent) => choose(piece, consent)} />}
    </li>
  );
}

/** A point that was not made for recovery is used only when somebody of the owner's side knows the risk and agrees, by name. */
function Consent({ agree }: { readonly agree: (consent: string) => void }) {
  const [consent, setConsent] = useState('');
  return (
    <div className="flex flex-wrap items-end gap-2 pb-2 pl-2">
      <label className="grow text-[15px] text-amber-ink">
        Last resort: who of the owner’s side knows the risk and agrees?
        <input autoFocus value={consent} maxLength={40} placeholder="Name" onChange={(event) => setConsent(event.target.value)} />
      </label>
      <button type="button" className="action" disabled={consent.trim() === ''} onClick={() => agree(consent)}>
        Hook up here
      </button>
    </div>
  );
}

interface NothingProps {
  readonly all: readonly Candidate<RegisterPiece>[];
  readonly role: string;
  readonly bags: readonly string[];
  readonly everywhere: () => void;
}

function Nothing({ all, role, bags, everywhere }: NothingProps) {
  if (all.length === 0)
    return <li className="py-6 text-center">The register has no piece that serves as {role} here. Add one, or import your list.</li>;
  return (
    <li className="py-6 text-center">
      <p>{bags.length > 0 ? `Nothing in ${bags.join(', ')} serves as ${role} here.` : 'No piece fits this search.'}</p>
      {bags.length > 0 && (
        <button type="button" className="action mt-2" onClick={everywhere}>
          Look in the whole register
        </button>
      )}
    </li>
  );
}
