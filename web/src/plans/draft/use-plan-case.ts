import { type Case, type GearFacts, gearIdsOf } from '@wainrope/core';
import { useMemo } from 'react';
import type { useRegister } from '../../register/use-register.ts';
import { useAppSelector } from '../../store.ts';

type Register = Pick<ReturnType<typeof useRegister>, 'pieces' | 'team' | 'policy'>;

/** The case of the plan that is open: its rig, the register's facts, the team's policy and day. Undefined while anything is still loading. */
export function usePlanCase({ pieces, team, policy }: Register): {
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly subject: Case | undefined;
} {
  const rig = useAppSelector((state) => state.planner.rig);
  const name = useAppSelector((state) => state.planner.name);
  const facts = useMemo(() => new Map((pieces ?? []).map((piece) => [piece.gear.gearId, piece.facts])), [pieces]);
  const subject = useMemo((): Case | undefined => {
    if (!rig || !policy || !team || !pieces) return undefined;
    const gear = gearIdsOf(rig)
      .map((id) => facts.get(id))
      .filter((piece) => piece !== undefined);
    return { kind: 'rig', name: name.trim() || 'Plan', asOf: team.today, rig, gear, policy };
  }, [rig, policy, team, pieces, facts, name]);
  return { facts, subject };
}
