import { type GearView, gearFactsOf } from '@wainrope/contract';
import { type GearFacts, type LimitContext, type PieceLimit, type Policy, pieceLimit, readPolicy, usualUse } from '@wainrope/core';
import { useMemo } from 'react';
import { useGetTeamQuery, useWholeRegisterQuery } from '../api/wainrope-api.ts';

/** A piece with what core makes of it. */
export interface RegisterPiece {
  readonly gear: GearView;
  readonly facts: GearFacts;
  /** The limit for its usual use, dry. */
  readonly limit: PieceLimit;
  /** The vehicle of the register that it belongs to. */
  readonly vehicleId: string | undefined;
  readonly kit: string;
  readonly vehicle: string;
}

/** The team's policy as core reads it. */
export function policyOf(content: object): Policy {
  const result = readPolicy(content);
  if (!result.ok) throw new Error(`The team’s policy is not readable: ${result.faults[0]?.path} ${result.faults[0]?.message}`);
  return result.value;
}

/** Team, policy and day, as core reads them. */
export function useTeam() {
  const { data: team, error, refetch } = useGetTeamQuery();
  const policy = useMemo(() => team && policyOf(team.policy.content), [team]);
  return { team, policy, error, refetch };
}

/** The whole register with each piece's usual limit. */
export function useRegister() {
  const { team, policy, error: teamError, refetch: refetchTeam } = useTeam();
  const { data, error, refetch } = useWholeRegisterQuery();
  const pieces = useMemo(() => {
    if (!data || !team || !policy) return undefined;
    const kits = new Map(team.kits.map(({ kitId, name }) => [kitId, name]));
    const vehicles = new Map(team.vehicles.map(({ vehicleId, name }) => [vehicleId, name]));
    const context: LimitContext = { policy, asOf: team.today, wet: false };
    return data.map((gear): RegisterPiece => {
      const facts = gearFactsOf(gear);
      return {
        gear,
        facts,
        limit: pieceLimit(facts, usualUse(facts.kind), context),
        vehicleId: gear.vehicleId,
        kit: kits.get(gear.kitId ?? '') ?? '',
        vehicle: vehicles.get(gear.vehicleId ?? '') ?? '',
      };
    });
  }, [data, team, policy]);
  const failed = teamError ?? error;
  return {
    pieces,
    team,
    policy,
    error: failed,
    refetch: () => {
      refetchTeam();
      refetch();
    },
  };
}
