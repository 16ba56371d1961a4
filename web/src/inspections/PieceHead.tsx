import type { GearView } from '@wainrope/contract';
import { gearClasses } from '@wainrope/core';
import { useListDefectsQuery } from '../api/wainrope-api.ts';
import { day, withDays } from '../shell/days.ts';
import { Tag } from '../shell/Tag.tsx';

/** Which piece is on the bench, and what is known of it. */
export function PieceHead({ piece }: { readonly piece: GearView }) {
  const { data, error } = useListDefectsQuery();
  const open = (data?.items ?? []).filter(({ gearId }) => gearId === piece.gearId);
  const { inspection } = piece;
  return (
    <div className="pt-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Tag code={piece.tag} large />
        <h2 className="text-[28px]">{piece.name}</h2>
        <span className="text-quiet">{gearClasses[piece.kind].label}</span>
        {piece.state !== 'in-use' && <strong className="bg-rust px-2 py-1 text-on-rust">In quarantine</strong>}
      </div>
      <p className="pt-1 text-quiet">
        {inspection
          ? `Last: grade ${inspection.grade} on ${day(inspection.on)}${inspection.nextDue ? `, due ${day(inspection.nextDue)}` : ''}.`
          : 'Never inspected on record.'}
        {inspection?.shortenedBy && ` Brought forward by ${withDays(inspection.shortenedBy)}.`}
        {piece.overloadsSinceInspection > 0 && (
          <strong className="text-rust"> Overloaded {piece.overloadsSinceInspection} times since.</strong>
        )}
      </p>
      {error && !data && <p className="text-amber-ink">Open defects were not read on this device.</p>}
      {open.length > 0 && (
        <ul className="mt-2 border-l-4 border-signal bg-amber-wash px-4 py-2">
          {open.map(({ defectId, words, openedOn }) => (
            <li key={defectId}>
              Open since {day(openedOn)}: {words}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
