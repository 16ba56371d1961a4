import { force, length, percent, type Report, withoutUnit } from '@wainrope/core';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useNarrow } from '../../shell/use-media.ts';
import { severityWords } from '../../shell/VerdictMark.tsx';
import { byWeakest, PATH_TOP, type PathColumn, type PathOrder, pathColumns, pathHeight } from './load-path-columns.ts';

interface LoadPathProps {
  readonly report: Report;
  readonly selectedSubjectId: string | undefined;
  readonly select: (placeId: string) => void;
  readonly order: PathOrder;
  readonly setOrder: (order: PathOrder) => void;
}

/** The rig drawn out straight: every piece in order, each against its own working limit. */
export function LoadPath({ report, selectedSubjectId, select, order, setOrder }: LoadPathProps) {
  const rigged = pathColumns(report);
  const columns = order === 'weakest' ? byWeakest(rigged) : rigged;
  const narrow = useNarrow();
  if (columns.length === 0) return <p className="p-4">No load path: the rig cannot be worked out yet. The findings say why.</p>;
  const shared = { columns, selectedSubjectId, select, order, setOrder };
  return narrow ? <Ladder {...shared} /> : <Columns {...shared} />;
}

interface Shared {
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

function OrderKeys({ order, setOrder }: Pick<Shared, 'order' | 'setOrder'>) {
  return (
    <div role="group" aria-label="Order of the load path" className="flex gap-3 text-[14px]">
      {ORDERS.map(([id, words]) => (
        <button
          key={id}
          type="button"
          aria-pressed={order === id}
          className="min-h-6 underline decoration-rule max-[760px]:min-h-11 max-[760px]:text-[16px] underline-offset-4 aria-pressed:font-semibold aria-pressed:decoration-rope aria-pressed:decoration-4"
          onClick={() => setOrder(id)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}

/** Pixels below the working limit. */
const LIMIT_HEIGHT = 74;
const HEIGHT = LIMIT_HEIGHT * PATH_TOP;

function Legend() {
  return (
    <ul className="space-y-0.5 text-[14px]">
      <li className="flex items-center gap-2">
        <span className="size-3 bg-slate" data-bar /> planned
      </li>
      <li className="flex items-center gap-2">
        <svg width="12" height="12" aria-hidden="true">
          <Hatching id="legend-hatch" />
          <rect width="12" height="12" fill="url(#legend-hatch)" stroke="var(--ink)" />
        </svg>{' '}
        at greatest pull
      </li>
      <li className="flex items-center gap-2">
        <svg width="14" height="10" aria-hidden="true">
          <path d="M0 8 4 2 7 8 10 2 14 8" fill="none" stroke="var(--rust)" strokeWidth="1.8" />
        </svg>{' '}
        breaks
      </li>
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

function Columns({ columns, selectedSubjectId, select, order, setOrder }: Shared) {
  return (
    <section aria-label="Load path" className="grid grid-cols-[150px_1fr] gap-3 px-5 pt-2 pb-2">
      <div>
        <h2 className="text-xl">Load path</h2>
        <OrderKeys order={order} setOrder={setOrder} />
        <p className="mt-1 mb-1.5 text-[14px] leading-tight text-quiet">
          each piece at its worst on the way against its own limit; the pale stroke is the start; above the limit the scale is compressed
        </p>
        <Legend />
      </div>
      <div className="relative min-w-0 overflow-x-auto">
        <ol className="relative grid auto-cols-[minmax(98px,1fr)] grid-flow-col">
          <li
            aria-hidden="true"
            className="pointer-events-none absolute inset-x-0 z-10 border-t-2 border-ink"
            style={{ top: HEIGHT - LIMIT_HEIGHT }}
          >
            <span className="absolute -top-5 left-1 pr-1 text-[13px] font-semibold">limit</span>
          </li>
          {order === 'rigging' && (
            <li aria-hidden="true" className="rope-bar pointer-events-none absolute inset-x-0 z-[5] h-[7px]" style={{ top: HEIGHT }} />
          )}
          {columns.map((column) => (
            <li key={column.subjectId} className={`relative min-w-0 ${column.begins ? 'border-l-4 border-double border-ink pl-1' : ''}`}>
              {column.begins && (
                <span aria-hidden="true" className="absolute -left-2 z-[6] h-[11px] w-3 bg-sheet" style={{ top: HEIGHT - 2 }} />
              )}
              <ColumnButton column={column} selected={column.subjectId === selectedSubjectId} select={select} />
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

function ColumnButton({ column, selected, select }: ColumnProps) {
  const { figure } = useFigures();
  const { worst, weakest, planned, greatest, breaking, mark, atStart, worstAtM, plannedN, wllN } = column;
  const over = planned !== undefined && planned > 1;
  const loads = `${plannedN === undefined ? '–' : withoutUnit(figure(force(plannedN)))} / ${wllN === undefined ? 'not rated' : figure(force(wllN))}`;
  const share = shareWords(column, figure);
  return (
    <button
      type="button"
      onClick={() => select(worst.id)}
      aria-pressed={selected}
      aria-label={spoken(column, share, figure)}
      className={`relative block w-full px-1 pb-1 text-center ${weakest ? 'bg-amber-wash' : ''} ${selected ? 'shadow-[inset_0_-4px_var(--rope)]' : ''}`}
    >
      {mark && <SeverityShape {...mark} size={17} className="absolute top-1 left-[calc(50%-46px)] z-[7]" />}
      <svg
        width="100%"
        height={HEIGHT + 12}
        viewBox={`0 0 100 ${HEIGHT + 12}`}
        preserveAspectRatio="xMidYMax meet"
        aria-hidden="true"
        className="relative z-[6] overflow-visible"
      >
        <Hatching id={`hatch-${worst.id}`} />
        <Bar share={greatest} fill={`url(#hatch-${worst.id})`} outline />
        <Bar share={planned} fill={over ? 'var(--rust)' : weakest ? 'var(--amber-ink)' : 'var(--slate)'} />
        {breaking !== undefined && (
          <path
            d={`M34 ${HEIGHT - LIMIT_HEIGHT * pathHeight(breaking) + 4}l6 -8 6 8 6 -8 6 8 6 -8`}
            fill="none"
            stroke="var(--rust)"
            strokeWidth="2"
          />
        )}
        {atStart !== undefined && (
          <path d={`M32 ${HEIGHT - LIMIT_HEIGHT * pathHeight(atStart)}H68`} stroke="var(--sheet)" strokeWidth="2.4" data-at-start />
        )}
        <circle cx="50" cy={HEIGHT + 3} r="7" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
        <Share words={planned === undefined ? '!' : share} />
      </svg>
      <span className="flex min-h-[34px] items-center justify-center text-[14px] font-semibold leading-[17px]">{worst.name}</span>
      <span className="block truncate font-mono text-[13px]">{worst.tag ?? (worst.judged ? 'judged' : worst.where)}</span>
      <span className="block truncate text-[13px] text-quiet">{loads}</span>
      {atStart !== undefined && worstAtM !== undefined && (
        <span className="block text-[13px] leading-tight text-quiet">
          at {figure(length(worstAtM))}; {figure(percent(atStart))} at the start
        </span>
      )}
    </button>
  );
}

/** A share beside its bar; one of three digits reaches into the column's own margin. */
function Share({ words }: { readonly words: string }) {
  return (
    <text x="68" y={HEIGHT - 8} fontSize={words.length > 4 ? 14 : 15} fontWeight="600" fill="var(--ink)">
      {words}
    </text>
  );
}

function Bar({ share, fill, outline = false }: { readonly share: number | undefined; readonly fill: string; readonly outline?: boolean }) {
  if (share === undefined) return null;
  const height = LIMIT_HEIGHT * pathHeight(share);
  return (
    <rect x="35" width="30" y={HEIGHT - height} height={height} fill={fill} {...(outline && { stroke: 'var(--ink)', strokeWidth: 1.2 })} />
  );
}

/** On a phone: the same rope, hanging down. */
function Ladder({ columns, selectedSubjectId, select, order, setOrder }: Shared) {
  return (
    <section aria-label="Load path" className="px-3 py-3">
      <h2 className="text-xl">Load path</h2>
      <p className="text-[15px] text-quiet">
        Each piece at its worst on the way against its own limit{order === 'rigging' && ', from the drum down'}. The dark stroke is the
        limit, the pale one the start.
      </p>
      <OrderKeys order={order} setOrder={setOrder} />
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
