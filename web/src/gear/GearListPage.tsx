import { gearClasses, gearClassNames, gearStates } from '@wainrope/core';
import { Download, Plus, Upload } from 'lucide-react';
import { type KeyboardEvent, type RefObject, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { Choice } from '../fields/Choice.tsx';
import { named } from '../fields/named.ts';
import { GearTabs } from '../register/GearTabs.tsx';
import { stateWords } from '../register/gear-words.ts';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useAddress } from '../shell/use-address.ts';
import { GearTable } from './GearTable.tsx';
import { filterOf, filterPieces, type GearFilter } from './gear-filter.ts';

/** The search field: what is typed stands at once, the link follows a moment later. */
function useSearchText(params: URLSearchParams, set: (key: string, value: string) => void) {
  const linked = params.get('q') ?? '';
  const [typed, setTyped] = useState(linked);
  useEffect(() => {
    if (typed === linked) return;
    const later = setTimeout(() => set('q', typed), 250);
    return () => clearTimeout(later);
  });
  return { typed, setTyped };
}

/** The key / goes to the search field from anywhere on the page. */
function useSlash(field: RefObject<HTMLInputElement | null>): void {
  useEffect(() => {
    const slash = (event: globalThis.KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLInputElement ||
        event.target instanceof HTMLSelectElement ||
        event.target instanceof HTMLTextAreaElement;
      if (event.key !== '/' || typing) return;
      event.preventDefault();
      field.current?.focus();
    };
    window.addEventListener('keydown', slash);
    return () => window.removeEventListener('keydown', slash);
  }, [field]);
}

export function GearListPage() {
  const { pieces, team, error, refetch } = useRegister();
  const { params, put: set, setParams } = useAddress();
  const { typed, setTyped } = useSearchText(params, set);
  const search = useDeferredValue(typed);
  const filter = useMemo(() => ({ ...filterOf(params), search }), [params, search]);
  const shown = useMemo(() => (pieces ? filterPieces(pieces, filter) : []), [pieces, filter]);
  const showAll = () => {
    setTyped('');
    setParams({});
  };
  return (
    <div className="flex h-[calc(100dvh-3.25rem)] max-[760px]:h-[calc(100dvh-6.75rem)] min-h-[480px] flex-col px-3 pb-2 sm:px-5">
      <div className="pt-3">
        <GearTabs title="Register">
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <p className="text-quiet">{pieces && `${shown.length} of ${pieces.length} pieces`}</p>
            <ListActions />
          </div>
        </GearTabs>
      </div>
      <Filters
        pieces={pieces ?? []}
        filter={filter}
        typed={typed}
        setTyped={setTyped}
        set={set}
        showAll={showAll}
        anyFilter={typed !== '' || [...params.keys()].some((key) => key !== 'sort')}
      />
      <ProblemNote error={error} retry={refetch} />
      {!pieces && !error && <Loading what="the register" />}
      {pieces && shown.length > 0 && <GearTable pieces={shown} today={team?.today ?? ''} />}
      {pieces && shown.length === 0 && <Empty register={pieces.length} />}
    </div>
  );
}

function ListActions() {
  const may = useMay();
  return (
    <div className="ml-auto flex flex-wrap gap-2">
      <a className="action" href="/api/v1/gear/export.csv" download="register.csv">
        <Download size={17} aria-hidden="true" /> Export
      </a>
      {may('gear.write') && (
        <>
          <Link className="action" to="/gear/import">
            <Upload size={17} aria-hidden="true" /> Import
          </Link>
          <Link className="action-main" to="/gear/new">
            <Plus size={17} aria-hidden="true" /> Add a piece
          </Link>
        </>
      )}
    </div>
  );
}

interface FiltersProps {
  readonly pieces: readonly RegisterPiece[];
  readonly filter: GearFilter;
  readonly typed: string;
  readonly setTyped: (text: string) => void;
  readonly set: (key: string, value: string) => void;
  readonly showAll: () => void;
  readonly anyFilter: boolean;
}

function Filters({ pieces, filter, typed, setTyped, set, showAll, anyFilter }: FiltersProps) {
  const search = useRef<HTMLInputElement>(null);
  useSlash(search);
  const kits = [...new Set(pieces.map(({ kit }) => kit).filter(Boolean))].sort();
  const kinds = gearClassNames.filter((kind) => pieces.some(({ gear }) => gear.kind === kind));
  const toTable = (event: KeyboardEvent) => {
    if (event.key !== 'ArrowDown') return;
    event.preventDefault();
    document.querySelector<HTMLElement>('[data-gear-row]')?.focus();
  };
  return (
    <form
      role="search"
      className="grid grid-cols-2 gap-2 py-3 sm:grid-cols-[2fr_1.4fr_1fr_1fr_auto]"
      onSubmit={(event) => event.preventDefault()}
    >
      <label className="col-span-2 sm:col-span-1">
        <span className="sr-only">Search by tag, name, maker, mark or note</span>
        <input
          ref={search}
          type="search"
          placeholder="Search tag, name, maker, mark…   ( / )"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={toTable}
        />
      </label>
      <FilterBy
        label="Class"
        value={filter.kind}
        onChange={(value) => set('class', value)}
        options={kinds.map((kind) => [kind, gearClasses[kind].plural])}
      />
      <FilterBy
        label="State"
        value={filter.state}
        onChange={(value) => set('state', value)}
        options={gearStates.map((state) => [state, stateWords[state]])}
      />
      <FilterBy label="Kit" value={filter.kit} onChange={(value) => set('kit', value)} options={kits.map((kit) => [kit, kit])} />
      <button type="button" className="action justify-center" disabled={!anyFilter} onClick={showAll}>
        Show all
      </button>
    </form>
  );
}

function Empty({ register }: { readonly register: number }) {
  return register === 0 ? (
    <EmptyPage of="pieces" words="The register is empty.">
      Add a piece, or import a list you already keep: a spreadsheet will do as it is.
    </EmptyPage>
  ) : (
    <p className="py-10 text-center text-lg">No piece fits this search. Use fewer words, or show all.</p>
  );
}

interface FilterByProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onChange: (value: string) => void;
}

/** All, or one of what there is. */
function FilterBy({ label, value, options, onChange }: FilterByProps) {
  return <Choice label={label} labelIsHidden value={value} {...named(options, `${label}: all`)} onChange={onChange} />;
}
