import { type KitDetail, wantsInspecting } from '@wainrope/contract';
import { type KitPiece, type KitReadiness, kitReadiness, type PieceLimit, type Policy, pieceLimit, usualUse } from '@wainrope/core';
import { useMemo } from 'react';
import { useListKitsQuery } from '../api/wainrope-api.ts';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';

export interface KitState {
  readonly kit: KitDetail;
  readonly inside: readonly RegisterPiece[];
  readonly readiness: KitReadiness;
}

interface ReadBy {
  readonly today: string;
  readonly policy: Policy;
}

export function kitPiece(piece: RegisterPiece, by: ReadBy): KitPiece {
  const { gear, limit } = piece;
  const due = wantsInspecting(gear, by.today);
  return {
    id: gear.gearId,
    kind: gear.kind,
    state: gear.state,
    wllN: workingN(limit),
    inspectedWllN: workingN(due ? limitOnceInspected(piece, by) : limit),
    due,
    away: gear.away !== undefined,
  };
}

const workingN = (limit: PieceLimit): number | undefined => (limit.kind === 'rated' ? limit.wllN : undefined);

/** The limit of a piece that was inspected today and found in order, a little worn. */
const limitOnceInspected = ({ facts }: RegisterPiece, { today, policy }: ReadBy): PieceLimit =>
  pieceLimit({ ...facts, inspection: { on: today, grade: 'B' } }, usualUse(facts.kind), { policy, asOf: today, wet: false });

/** Every kit with what lies in it and whether it is ready. */
export function useKits() {
  const { pieces, team, policy, error: registerError, refetch } = useRegister();
  const { data, error } = useListKitsQuery();
  const kits = useMemo(() => {
    const list = data?.items;
    if (!list || !pieces || !team || !policy) return undefined;
    const by = { today: team.today, policy };
    const all = pieces.filter(({ gear }) => gear.state !== 'retired').map((piece) => ({ piece, kitPiece: kitPiece(piece, by) }));
    return list.map((kit): KitState => {
      const inside = all.filter(({ piece }) => piece.gear.kitId === kit.kitId);
      const elsewhere = all.filter(({ piece }) => piece.gear.kitId !== kit.kitId);
      const readiness = kitReadiness(
        kit.wanted,
        inside.map((entry) => entry.kitPiece),
        elsewhere.map((entry) => entry.kitPiece),
      );
      return { kit, inside: inside.map(({ piece }) => piece), readiness };
    });
  }, [data, pieces, team, policy]);
  return { kits, pieces, team, error: registerError ?? error, refetch };
}
