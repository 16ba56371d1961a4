import type { PieceDue } from '@wainrope/contract';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import type { RegisterPiece } from '../register/use-register.ts';
import { day, withDays } from '../shell/days.ts';
import { Tag } from '../shell/Tag.tsx';

export interface DuePiece {
  readonly piece: RegisterPiece;
  readonly due: PieceDue;
}

/** Whose a piece is, and who has it now. */
export const peopleOf = ({ gear }: RegisterPiece): readonly string[] => [
  ...new Set([gear.owner, gear.away?.holder].filter((name) => name !== undefined)),
];

/** Days as they sort: what was never inspected before all others, what has no day behind them. */
const dayOf = ({ time, on }: PieceDue): string => on ?? (time === 'never' ? '' : '9999');

/** By the day: what was never inspected first, what has no day set last. */
export const soonestFirst = (a: DuePiece, b: DuePiece): number => dayOf(a.due).localeCompare(dayOf(b.due));

/** Pieces with where they are, when they want inspecting and why, each to be inspected by itself. */
export function DueRows({ entries }: { readonly entries: readonly DuePiece[] }) {
  const may = useMay();
  return (
    <ul>
      {entries.map(({ piece, due }) => (
        <li
          key={piece.gear.gearId}
          className="grid grid-cols-[6rem_1fr_auto] items-center gap-x-4 gap-y-0.5 border-b border-rule py-1.5 sm:grid-cols-[6rem_1.5fr_1.2fr_1.2fr_auto]"
          data-due={due.time}
        >
          <Link to={`/gear/${piece.gear.gearId}`} aria-label={`${piece.gear.tag} ${piece.gear.name}`}>
            <Tag code={piece.gear.tag} />
          </Link>
          <span>{piece.gear.name}</span>
          <span className="text-quiet max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2">
            {[piece.kit, ...peopleOf(piece)].filter(Boolean).join(', ')}
          </span>
          <span
            className={`max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-3 ${due.time === 'overdue' || due.time === 'never' ? 'font-semibold text-rust' : ''}`}
          >
            {due.on && day(due.on)} <span className={due.on ? 'font-normal text-quiet' : ''}>{withDays(due.why)}</span>
          </span>
          {may('inspection.use-check') && (
            <Link
              className="action no-print justify-center max-sm:col-start-3 max-sm:row-start-1"
              to={`/inspect?of=piece:${piece.gear.gearId}`}
            >
              Inspect
            </Link>
          )}
        </li>
      ))}
    </ul>
  );
}
