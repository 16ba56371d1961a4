import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  type SortingState,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { GearView } from '@wainrope/contract';
import { gearClasses, isUnclear } from '@wainrope/core';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { type KeyboardEvent, useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import { inspectionWords, limitWords, stateWords, whereWords } from '../register/gear-words.ts';
import type { RegisterPiece } from '../register/use-register.ts';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { useNarrow, usePrinting } from '../shell/use-media.ts';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns });
const helper = createColumnHelper<typeof features, RegisterPiece>();
const columns = helper.columns([
  helper.accessor(({ gear }) => gear.tag, { id: 'tag', header: 'Tag', sortFn: 'alphanumeric' }),
  helper.accessor(({ gear }) => gear.name, { id: 'name', header: 'Piece', sortFn: 'alphanumeric' }),
  helper.accessor(({ gear }) => gear.marks.map(({ asWritten }) => asWritten).join(' · '), {
    id: 'marks',
    header: 'Marked',
    sortFn: 'alphanumeric',
  }),
  helper.accessor(({ limit }) => (limit.kind === 'rated' ? limit.wllN : -1), { id: 'limit', header: 'Working limit', sortFn: 'basic' }),
  helper.accessor((piece) => whereWords(piece), { id: 'where', header: 'Where', sortFn: 'alphanumeric' }),
  helper.accessor(({ gear }) => gear.inspection?.nextDue ?? '', { id: 'due', header: 'Inspection', sortFn: 'basic' }),
  helper.accessor(({ gear }) => gear.state, { id: 'state', header: 'State', sortFn: 'basic' }),
]);

const GRID = 'grid grid-cols-[7rem_minmax(12rem,2.2fr)_minmax(8rem,1.6fr)_7.5rem_minmax(7rem,1.1fr)_minmax(9rem,1.3fr)_6.5rem] gap-x-3';

/** Sorting as a link carries it: `tag` or `-limit`. */
function sortingOf(params: URLSearchParams): SortingState {
  const sort = params.get('sort') ?? 'tag';
  return [{ id: sort.replace(/^-/, ''), desc: sort.startsWith('-') }];
}

export function GearTable({ pieces, today }: { readonly pieces: readonly RegisterPiece[]; readonly today: string }) {
  const [params, setParams] = useSearchParams();
  const sorting = sortingOf(params);
  const table = useTable({ features, columns, data: pieces as RegisterPiece[], state: { sorting }, enableSortingRemoval: false });
  const rows = table.getRowModel().rows;
  const narrow = useNarrow();
  const printing = usePrinting();
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => (narrow ? 76 : 44),
    overscan: 12,
  });
  const sortBy = (id: string) =>
    setParams(
      (before) => {
        const [current] = sortingOf(before);
        before.set('sort', current?.id === id && !current.desc ? `-${id}` : id);
        return before;
      },
      { replace: true },
    );
  const step = (event: KeyboardEvent, index: number) => {
    const targets: { readonly [key: string]: number } = { ArrowDown: index + 1, ArrowUp: index - 1, Home: 0, End: rows.length - 1 };
    const next = targets[event.key];
    if (next === undefined || next < 0 || next >= rows.length) return;
    event.preventDefault();
    virtual.scrollToIndex(next);
    requestAnimationFrame(() => scroller.current?.querySelector<HTMLElement>(`[data-gear-row="${next}"]`)?.focus());
  };
  return (
    <div role="table" aria-label="Register" aria-rowcount={rows.length + 1} className="flex min-h-72 flex-1 flex-col">
      {!narrow && (
        <div role="row" className={`${GRID} border-b-2 border-ink px-2 pb-1 font-semibold`}>
          {table.getFlatHeaders().map((header) => {
            const sorted = sorting[0]?.id === header.column.id ? sorting[0] : undefined;
            return (
              <div key={header.id} role="columnheader" aria-sort={sorted ? (sorted.desc ? 'descending' : 'ascending') : 'none'}>
                <button
                  type="button"
                  className={`flex min-h-8 items-center gap-1 text-left ${header.column.id === 'limit' ? 'ml-auto pr-5' : ''}`}
                  onClick={() => sortBy(header.column.id)}
                >
                  {String(header.column.columnDef.header)}
                  {sorted && (sorted.desc ? <ArrowDown size={15} aria-hidden="true" /> : <ArrowUp size={15} aria-hidden="true" />)}
                </button>
              </div>
            );
          })}
        </div>
      )}
      <div ref={scroller} role="rowgroup" className="min-h-0 flex-1 overflow-y-auto">
        <div style={printing ? {} : { height: virtual.getTotalSize(), position: 'relative' }}>
          {(printing ? everyRow(rows.length) : virtual.getVirtualItems()).map(({ index, key, ...place }) => {
            const piece = rows[index]?.original;
            if (!piece) return null;
            return (
              <div
                key={key}
                role="row"
                aria-rowindex={index + 2}
                className={`inset-x-0 border-b border-rule hover:bg-sheet ${printing ? 'relative break-inside-avoid' : 'absolute'} ${narrow ? 'px-1 py-2' : `${GRID} items-center px-2`}`}
                style={'start' in place ? { top: place.start, height: place.size } : {}}
              >
                {narrow ? (
                  <NarrowCells piece={piece} today={today} link={{ index, step }} />
                ) : (
                  <Cells piece={piece} today={today} link={{ index, step }} />
                )}
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}

/** Paper does not scroll: it has every row, one below the other. */
const everyRow = (count: number) => Array.from({ length: count }, (_, index) => ({ index, key: index }));

interface RowLinkProps {
  readonly index: number;
  readonly step: (event: KeyboardEvent, index: number) => void;
}

interface CellProps {
  readonly piece: RegisterPiece;
  readonly today: string;
  readonly link: RowLinkProps;
}

/** The link of a row covers the whole row. */
function RowLink({ piece: { gear }, link: { index, step } }: Pick<CellProps, 'piece' | 'link'>) {
  return (
    <Link
      to={`/gear/${gear.gearId}`}
      data-gear-row={index}
      aria-label={`${gear.tag} ${gear.name}`}
      onKeyDown={(event) => step(event, index)}
      className="after:absolute after:inset-0"
    >
      <Tag code={gear.tag} />
    </Link>
  );
}

const cell = 'truncate';

function Cells({ piece, today, link }: CellProps) {
  const { figure } = useFigures();
  const { gear, limit } = piece;
  const inspection = inspectionWords(piece, today);
  const values = [
    <RowLink key="tag" piece={piece} link={link} />,
    <span key="name">
      {gear.name}{' '}
      <span className="text-quiet">
        {gearClasses[gear.kind].label.toLowerCase() === gear.name.toLowerCase() ? '' : gearClasses[gear.kind].label}
      </span>
    </span>,
    <Marks key="marks" marks={gear.marks} />,
    <span key="limit" className={`block pr-5 text-right font-mono text-[15px] ${limit.kind === 'unrated' ? 'text-rust' : ''}`}>
      {limitWords(limit, figure)}
    </span>,
    whereWords(piece),
    <span key="due" className={inspection.due ? 'font-semibold text-rust' : ''}>
      {inspection.text}
    </span>,
    <span key="state" className={gear.state === 'in-use' ? 'text-quiet' : 'font-semibold text-rust'}>
      {stateWords[gear.state]}
    </span>,
  ];
  return values.map((value, index) => (
    <span key={index} role="cell" className={cell}>
      {value}
    </span>
  ));
}

/** Marks as they stand; one that leaves open what it says looks it. */
function Marks({ marks }: { readonly marks: GearView['marks'] }) {
  if (marks.length === 0) return <span className="text-quiet">no mark</span>;
  return marks.map((mark, index) => (
    <span key={index}>
      {index > 0 && ' · '}
      {isUnclear(mark) ? (
        <span className="border-b-2 border-dashed border-signal" title={unclearWords(mark)}>
          {mark.asWritten} <strong aria-hidden="true">?</strong>
          <span className="sr-only"> ({unclearWords(mark)})</span>
        </span>
      ) : (
        mark.asWritten
      )}
    </span>
  ));
}

const unclearWords = ({ readings }: GearView['marks'][number]): string =>
  readings.length > 1 ? 'which ton it means is not settled' : 'working limit or breaking strength: it does not say';

function NarrowCells({ piece, today, link }: CellProps) {
  const { figure } = useFigures();
  const { gear, limit } = piece;
  const inspection = inspectionWords(piece, today);
  return (
    <span role="cell" className="block">
      <span className="flex items-center gap-2">
        <RowLink piece={piece} link={link} />
        <span className="truncate font-semibold">{gear.name}</span>
        <span className={`ml-auto shrink-0 font-mono ${limit.kind === 'unrated' ? 'text-rust' : ''}`}>{limitWords(limit, figure)}</span>
      </span>
      <span className="mt-1 flex gap-2 text-[15px] text-quiet">
        <span className="truncate">{whereWords(piece)}</span>
        {gear.marks.some(isUnclear) && <span className="shrink-0 border-b-2 border-dashed border-signal">mark unclear</span>}
        <span className={`ml-auto shrink-0 ${inspection.due || gear.state !== 'in-use' ? 'font-semibold text-rust' : ''}`}>
          {gear.state === 'in-use' ? inspection.text : stateWords[gear.state]}
        </span>
      </span>
    </span>
  );
}
