import { type Edit, legWords, type Rig, roleWords, usesOf } from '@wainrope/core';
import { limitWords } from '../../register/gear-words.ts';
import type { RegisterPiece } from '../../register/use-register.ts';
import { Tag } from '../../shell/Tag.tsx';
import { useFigures } from '../../shell/use-figures.ts';

interface PiecesPanelProps {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  readonly choosePiece: (useId: string) => void;
  readonly addDamper: (lineId: string, strand: number) => void;
  readonly apply: (edits: readonly Edit[]) => void;
}

/** Every place of the rig with its piece, and the dampers. */
export function PiecesPanel({ rig, pieces, choosePiece, addDamper, apply }: PiecesPanelProps) {
  const { figure } = useFigures();
  const byId = (gearId: string | undefined) => pieces.find(({ gear }) => gear.gearId === gearId);
  const strands = rig.lines.flatMap((line) => Array.from({ length: line.via.length + 1 }, (_, strand) => ({ line, strand })));
  return (
    <ul className="py-1">
      {usesOf(rig).map(({ use }) => {
        const piece = byId(use.gearId);
        return (
          <li key={use.id} className="grid grid-cols-[6.3rem_1fr_auto] items-center gap-x-3 border-b border-rule py-1.5">
            {piece ? (
              <Tag code={piece.gear.tag} />
            ) : use.judged ? (
              <span className="text-quiet">judged</span>
            ) : (
              <span className="text-rust">none yet</span>
            )}
            <span className="min-w-0">
              <span className="block truncate">
                {piece?.gear.name ?? (use.judged ? `${use.judged.person}: ${use.judged.reason}` : 'Choose a piece')}
              </span>
              <span className="block text-[14px] text-quiet">
                {roleWords[use.role]}
                {piece && piece.limit.kind === 'rated' && `, ${limitWords(piece.limit, figure)}`}
              </span>
            </span>
            {use.role === 'winch' ? (
              <span className="text-[14px] text-quiet">on the vehicle</span>
            ) : (
              <button type="button" className="action" onClick={() => choosePiece(use.id)}>
                {piece || use.judged ? 'Swap' : 'Choose'}
              </button>
            )}
          </li>
        );
      })}
      {strands.map(({ line, strand }) => {
        const damper = rig.dampers.find((entry) => entry.lineId === line.id && entry.strand === strand);
        const piece = byId(damper?.gearId);
        return (
          <li
            key={`damper-${line.id}-${strand}`}
            className="grid grid-cols-[6.3rem_1fr_auto] items-center gap-x-3 border-b border-rule py-1.5"
          >
            {piece ? <Tag code={piece.gear.tag} /> : <span className="text-quiet">none</span>}
            <span>
              Damper <span className="text-quiet">on {legWords(rig, { lineId: line.id, index: strand })}</span>
            </span>
            {damper ? (
              <button type="button" className="action" onClick={() => apply([{ kind: 'remove', list: 'dampers', id: damper.id }])}>
                Take off
              </button>
            ) : (
              <button type="button" className="action" onClick={() => addDamper(line.id, strand)}>
                Hang one
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
