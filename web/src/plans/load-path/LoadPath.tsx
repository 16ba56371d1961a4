import { force, length, percent, type Report, withoutUnit } from '@wainrope/core';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useRef } from 'react';
import { OneOfKeys } from '../../fields/OneOfKeys.tsx';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useNarrow } from '../../shell/use-media.ts';
import { useSize } from '../../shell/use-size.ts';
import { severityWords } from '../../shell/VerdictMark.tsx';
import type { Fold } from '../frame/frame-parts.ts';
import { byWeakest, PATH_TOP, type PathColumn, type PathOrder, pathColumns, pathHeight } from './load-path-columns.ts';

interface LoadPathProps {
  readonly report: Report;
  readonly selectedSubjectId: string | undefined;
  readonly select: (placeId: string) => void;
  readonly order: PathOrder;
  readonly setOrder: (order: PathOrder) => void;
  /** The metre of the pull that is shown; without, each piece stands at its worst on the way. */
  readonly atM?: number | undefined;
  /** Where it can be folded away. */
  readonly fold?: Fold | undefined;
}

/** The rig drawn out straight: every piece in order, each against its own working limit. */
export function LoadPath({ report, selectedSubjectId, select, order, setOrder, atM, fold }: LoadPathProps) {
  const rigged = pathColumns(report);
  const columns = order === 'weakest' ? byWeakest(rigged) : rigged;
  const narrow = useNarrow();
  if (columns.length === 0) return <p className="p-4">No load path: the rig cannot be worked out yet. The findings say why.</p>;
  const shared = { columns, selectedSubjectId, select, order, setOrder, atM };
  return narrow ? <Ladder {...shared} /> : <Columns {...shared} fold={fold} />;
}

interface Shared {
  readonly atM: number | undefined;
  readonly columns: readonly PathColumn[];
  readonly selectedSubjectId: string | undefined;
  readonly select: (placeId: string) => void;
  readonly order: PathOrder;
  readonly setOrder: (order: PathOrder) => void;
}

const ORDERS: readonly (readonly [PathOrder, string])[] = [
  ['rigging', 'as rigged'],
  ['weakest', 'weakest first'],
];

/** Pixels below the working limit: as many as there is room for. */
const LIMIT_HEIGHT = { least: 26, most: 150 };
/** Pixels that a column needs beside its bar: name, tag and loads, and the ring on the rope; with room, a second line of the name and where the worst is. */
const WORDS_PX = { few: 63, all: 100 };
const RING_PX = 12;
const ROOMY_PX = 205;

interface Room {
  readonly limit: number;
  readonly height: number;
  readonly isRoomy: boolean;
}

/** How high the bars may be in so many pixels. */
function roomIn(height: number): Room {
  const isRoomy = height >= ROOMY_PX;
  const free = (height - RING_PX - (isRoomy ? WORDS_PX.all : WORDS_PX.few)) / PATH_TOP;
  const limit = Math.round(Math.min(LIMIT_HEIGHT.most, Math.max(LIMIT_HEIGHT.least, free)));
  return { limit, height: limit * PATH_TOP, isRoomy };
}

/** What the marks of a column mean; the start is told only beside what is worst. */
function Legend({ hasStart }: { readonly hasStart: boolean }) {
  const row = 'flex items-center gap-1.5';
  return (
    <ul className="grid grid-cols-2 text-[13px] leading-[1.2]">
      <li className={row}>
        <span className="size-3 bg-slate" data-bar /> planned
      </li>
      <li className={row}>
        <svg width="14" height="10" aria-hidden="true">
          <path d="M0 8 4 2 7 8 10 2 14 8" fill="none" stroke="var(--rust)" strokeWidth="1.8" />
        </svg>
        breaks
      </li>
      <li className={row}>
        <svg width="12" height="12" aria-hidden="true">
          <Hatching id="legend-hatch" />
          <rect width="12" height="12" fill="url(#legend-hatch)" stroke="var(--ink)" />
        </svg>
        greatest
      </li>
      {hasStart && (
        <li className={row}>
          <span className="flex size-3 items-center bg-slate" data-bar>
            <span className="h-0.5 w-3 bg-sheet" />
          </span>
          start
        </li>
      )}
    </ul>
  );
}

function Hatching({ id }: { readonly id: string }) {
  return (
    <defs>
      <pattern id={id} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" stroke="var(--ink)" strokeWidth="1.6" strokeOpacity="0.75" />
      </pattern>
    </defs>
  );
}

const UNMEASURED = { width: 1200, height: 150 };
const KEYS = 'gap-3 text-[14px] min-[760px]:gap-2 min-[760px]:text-[13px]';

/** Of which moment the pieces are told. */
const whenWords = (atM: number | undefined, figure: ReturnType<typeof useFigures>['figure']): string =>
  atM === undefined ? 'at its worst on the way' : `at ${figure(length(atM))} of the pull`;

function Columns({ columns, selectedSubjectId, select, order, setOrder, atM, fold }: Shared & Pick<LoadPathProps, 'fold'>) {
  const holder = useRef<HTMLDivElement>(null);
  // Loads in pounds have more figures: with less room their unit would be cut off.
  const { units, figure } = useFigures();
  const room = roomIn(useSize(holder, UNMEASURED).height);
  return (
    <section aria-label="Load path" className="isolate flex h-full min-h-0 gap-3 bg-sheet pr-4 pl-5">
      <div className="w-[136px] shrink-0 overflow-hidden pt-1">
        <h2 className="text-[19px]">
          {fold ? (
            <button
              type="button"
              className="flex min-h-7 w-full items-center gap-1"
              aria-expanded={!fold.folded}
              title={fold.folded ? 'Show the load path' : 'Fold the load path away'}
              onClick={fold.toggle}
            >
              Load path {fold.folded ? <ChevronUp size={17} aria-hidden /> : <ChevronDown size={17} aria-hidden />}
            </button>
          ) : (
            'Load path'
          )}
        </h2>
        {!fold?.folded && (
          <>
            <OneOfKeys label="Order of the load path" value={order} options={ORDERS} choose={setOrder} className={KEYS} />
            <p className="text-[13px] leading-[1.2] text-quiet">{whenWords(atM, figure)}</p>
            <p className="text-[13px] leading-[1.2] text-quiet">compressed above the limit</p>
            <Legend hasStart={columns.some(({ atStart }) => atStart !== undefined)} />
          </>
        )}
      </div>
      <div ref={holder} className="relative min-h-0 min-w-0 flex-1 overflow-x-auto overflow-y-hidden pt-1" hidden={fold?.folded}>
        <ol className={`relative grid grid-flow-col ${units === 'lbf' ? 'auto-cols-[minmax(112px,1fr)]' : 'auto-cols-[minmax(90px,1fr)]'}`}>
          <li
            aria-hidden="true"
            className="pointer-events-none absolute inset-x-0 z-10 border-t-2 border-ink"
            style={{ top: room.height - room.limit }}
          >
            <span className="absolute -top-[17px] left-1 pr-1 text-[13px] leading-4">
              <strong>limit</strong>
            </span>
          </li>
          {order === 'rigging' && (
            <li aria-hidden="true" className="rope-bar pointer-events-none absolute inset-x-0 z-[5] h-[7px]" style={{ top: room.height }} />
          )}
          {columns.map((column) => (
            <li key={column.subjectId} className={`relative min-w-0 ${column.begins ? 'border-l-4 border-double border-ink pl-1' : ''}`}>
              {column.begins && (
                <span aria-hidden="true" className="absolute -left-2 z-[6] h-[11px] w-3 bg-sheet" style={{ top: room.height - 2 }} />
              )}
              <ColumnButton column={column} selected={column.subjectId === selectedSubjectId} select={select} room={room} />
            </li>
          ))}
        </ol>
      </div>
    </section>
  );
}

interface ColumnProps {
  readonly column: PathColumn;
  readonly selected: boolean;
  readonly select: (placeId: string) => void;
}

function shareWords({ planned, worst }: PathColumn, figure: (value: ReturnType<typeof percent>) => string): string {
  if (planned !== undefined) return figure(percent(planned));
  return worst.wllN === 0 ? 'no strength' : 'no limit';
}

/** What a column says aloud. */
function spoken(
  { worst, weakest, mark, atStart, worstAtM }: PathColumn,
  share: string,
  figure: ReturnType<typeof useFigures>['figure'],
): string {
  const said = mark && (mark.undecided ? ', a question is open' : `, finding: ${severityWords[mark.severity].toLowerCase()}`);
  const start =
    atStart === undefined || worstAtM === undefined ? '' : ` after ${figure(length(worstAtM))}, ${figure(percent(atStart))} at the start`;
  return `${worst.tag ?? ''} ${worst.name} ${worst.where}: ${share} of its working limit${start}${weakest ? ', the weakest' : ''}${said ?? ''}`;
}

function ColumnButton({ column, selected, select, room }: ColumnProps & { readonly room: Room }) {
  const { limit, height, isRoomy } = room;
  const { figure } = useFigures();
  const { worst, weakest, planned, greatest, breaking, mark, atStart } = column;
  const over = planned !== undefined && planned > 1;
  const share = shareWords(column, figure);
  return (
    <button
      type="button"
      onClick={() => select(worst.id)}
      aria-pressed={selected}
      aria-label={spoken(column, share, figure)}
      title={spoken(column, share, figure)}
      className={`relative block w-full px-1 pb-[5px] text-center ${weakest ? 'bg-amber-wash' : ''} ${selected ? 'shadow-[inset_0_-4px_var(--rope)]' : ''}`}
    >
      {mark && <SeverityShape {...mark} size={17} className="absolute top-1 left-[calc(50%-46px)] z-[7]" />}
      <svg
        width="100%"
        height={height + RING_PX}
        viewBox={`0 0 100 ${height + RING_PX}`}
        preserveAspectRatio="xMidYMax meet"
        aria-hidden="true"
        className="relative z-[6] overflow-visible"
      >
        <Hatching id={`hatch-${worst.id}`} />
        <Bar room={room} share={greatest} fill={`url(#hatch-${worst.id})`} outline />
        <Bar room={room} share={planned} fill={over ? 'var(--rust)' : weakest ? 'var(--amber-ink)' : 'var(--slate)'} />
        {breaking !== undefined && (
          <path
            d={`M34 ${height - limit * pathHeight(breaking) + 4}l6 -8 6 8 6 -8 6 8 6 -8`}
            fill="none"
            stroke="var(--rust)"
            strokeWidth="2"
          />
        )}
        {atStart !== undefined && (
          <path d={`M32 ${height - limit * pathHeight(atStart)}H68`} stroke="var(--sheet)" strokeWidth="2.4" data-at-start />
        )}
        <circle cx="50" cy={height + 3} r="7" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
        <Share words={planned === undefined ? '!' : share} y={height - 8} />
      </svg>
      <ColumnWords column={column} isRoomy={isRoomy} />
    </button>
  );
}

function ColumnWords({ column, isRoomy }: { readonly column: PathColumn; readonly isRoomy: boolean }) {
  const { figure } = useFigures();
  const { worst, atStart, worstAtM, plannedN, wllN } = column;
  const loads = `${plannedN === undefined ? '–' : withoutUnit(figure(force(plannedN)))} / ${wllN === undefined ? 'not rated' : figure(force(wllN))}`;
  return (
    <>
      <span
        className={
          isRoomy
            ? 'flex min-h-[34px] items-center justify-center text-[14px] leading-[17px] font-semibold'
            : 'block truncate text-[14px] leading-[17px] font-semibold'
        }
      >
        {worst.name}
      </span>
      <span className="block truncate font-mono text-[13px] leading-[17px]">{worst.tag ?? (worst.judged ? 'judged' : worst.where)}</span>
      <span className="block truncate text-[13px] leading-[17px] text-quiet" data-loads>
        {loads}
      </span>
      {isRoomy && atStart !== undefined && worstAtM !== undefined && (
        <span className="block text-[13px] leading-tight text-quiet">
          at {figure(length(worstAtM))}; {figure(percent(atStart))} at the start
        </span>
      )}
    </>
  );
}

/** A share beside its bar; one of three digits reaches into the column's own margin. */
function Share({ words, y }: { readonly words: string; readonly y: number }) {
  return (
    <text x="68" y={y} fontSize={words.length > 4 ? 14 : 15} fontWeight="600" fill="var(--ink)">
      {words}
    </text>
  );
}

interface BarProps {
  readonly share: number | undefined;
  readonly fill: string;
  readonly room: Room;
  readonly outline?: boolean;
}

function Bar({ share, fill, room, outline = false }: BarProps) {
  if (share === undefined) return null;
  const height = room.limit * pathHeight(share);
  return (
    <rect
      x="35"
      width="30"
      y={room.height - height}
      height={height}
      fill={fill}
      {...(outline && { stroke: 'var(--ink)', strokeWidth: 1.2 })}
    />
  );
}

/** On a phone: the same rope, hanging down. */
function Ladder({ columns, selectedSubjectId, select, order, setOrder, atM }: Shared) {
  const { figure } = useFigures();
  return (
    <section aria-label="Load path" className="px-3 py-3">
      <h2 className="text-xl">Load path</h2>
      <p className="text-[15px] text-quiet">
        Each piece {whenWords(atM, figure)} against its own limit{order === 'rigging' && ', from the drum down'}. The dark stroke is the
        limit; above it the scale is compressed.{columns.some(({ atStart }) => atStart !== undefined) && ' The pale stroke is the start.'}
      </p>
      <OneOfKeys label="Order of the load path" value={order} options={ORDERS} choose={setOrder} className={KEYS} />
      <ol className="relative mt-2 pl-5">
        <li aria-hidden="true" className="rope-bar absolute inset-y-0 left-0 w-[7px]" />
        {columns.map((column) => (
          <Rung key={column.subjectId} column={column} selected={column.subjectId === selectedSubjectId} select={select} />
        ))}
      </ol>
    </section>
  );
}

function Rung({ column, selected, select }: ColumnProps) {
  const { figure } = useFigures();
  const { worst, weakest, planned, greatest, mark, atStart, worstAtM, plannedN, wllN } = column;
  const over = planned !== undefined && planned > 1;
  const width = (share: number | undefined) => `${(100 * pathHeight(share ?? 0)) / PATH_TOP}%`;
  return (
    <li className={`border-b border-rule ${column.begins ? 'mt-3 border-t-4 border-t-ink' : ''}`}>
      <button
        type="button"
        onClick={() => select(worst.id)}
        aria-pressed={selected}
        className={`block min-h-14 w-full px-2 py-1.5 text-left ${weakest ? 'bg-amber-wash' : ''}`}
      >
        <span className="flex items-center gap-2">
          {worst.tag && <Tag code={worst.tag} />}
          <span className="truncate font-semibold">{worst.name}</span>
          {mark && <SeverityShape {...mark} size={18} className="shrink-0" />}
          <span className={`ml-auto shrink-0 font-mono font-semibold whitespace-nowrap ${over ? 'text-rust' : ''}`}>
            {shareWords(column, figure)}
          </span>
        </span>
        <span className="relative mt-1.5 block h-3.5">
          <span
            className="absolute inset-y-0 left-0 border border-ink opacity-70"
            style={{
              width: width(greatest),
              background: 'repeating-linear-gradient(45deg, var(--ink) 0 1.5px, transparent 1.5px 5px)',
            }}
          />
          <span
            className={`absolute inset-y-0 left-0 ${over ? 'bg-rust' : weakest ? 'bg-amber-ink' : 'bg-slate'}`}
            style={{ width: width(planned) }}
          />
          {atStart !== undefined && <span className="absolute inset-y-0 border-l-2 border-sheet" style={{ left: width(atStart) }} />}
          <span className="absolute -inset-y-1 border-l-[3px] border-ink" style={{ left: `${100 / PATH_TOP}%` }} />
        </span>
        <span className="block text-[15px] text-quiet">
          {plannedN === undefined ? '–' : figure(force(plannedN))} of {wllN === undefined ? 'no rating' : figure(force(wllN))}
          {atStart !== undefined && worstAtM !== undefined && ` at ${figure(length(worstAtM))}; ${figure(percent(atStart))} at the start`}
        </span>
      </button>
    </li>
  );
}
