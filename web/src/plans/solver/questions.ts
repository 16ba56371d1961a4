import type {
  AdvantageAt,
  BagPiece,
  Case,
  GearFacts,
  LetGo,
  LightestBag,
  PlaceExplanation,
  SparedRig,
  Stand,
  TagReading,
  ToldReport,
} from '@wainrope/core';
import { useCallback, useMemo } from 'react';
import { named, solver } from './solver.ts';
import type { ShownFigure, ToldAnchor, ToldTrial } from './solver.worker.ts';
import { useAsked } from './use-asked.ts';

/** How one place of the case was worked out, at the start or where it is worst on the way. */
export function useExplanation(
  subject: Case | undefined,
  placeId: string | undefined,
  when: 'start' | 'worst',
): PlaceExplanation | undefined {
  const ask = useMemo(
    () =>
      subject && placeId !== undefined
        ? async () => ({ when, explanation: await solver().explain(named(subject), placeId, when) })
        : undefined,
    [subject, placeId, when],
  );
  const { value } = useAsked(ask);
  return value?.when === when && value.explanation?.placeId === placeId ? value.explanation : undefined;
}

/** Every figure of the case's report, explained. */
export function useReportFigures(subject: Case): readonly ShownFigure[] | undefined {
  return useAsked(useCallback(() => solver().figures(named(subject)), [subject])).value;
}

/** What would come of each piece in one place; nothing until it is worked out. */
export function useTrials(
  subject: Case | undefined,
  useId: string | undefined,
  pieces: readonly GearFacts[],
): ReadonlyMap<string, ToldTrial> | undefined {
  const ask = useMemo(
    () =>
      subject && useId !== undefined && pieces.length > 0
        ? async () => new Map((await solver().tryPieces(named(subject), useId, pieces)).map((trial) => [trial.gearId, trial]))
        : undefined,
    [subject, useId, pieces],
  );
  const { value, isNewest } = useAsked(ask);
  return isNewest ? value : undefined;
}

/** Every anchor of the site in the place of the one in use, best first. */
export function useAnchorOptions(subject: Case | undefined, lineId: string | undefined): readonly ToldAnchor[] | undefined {
  const ask = useMemo(
    () => (subject && lineId !== undefined ? () => solver().compareAnchors(named(subject), lineId) : undefined),
    [subject, lineId],
  );
  const { value, isNewest } = useAsked(ask);
  return value ?? (ask && isNewest ? [] : undefined);
}

/** Which cheaper action makes which rig unnecessary. */
export function useSparedRigs(subject: Case, lineId: string | undefined): readonly SparedRig[] | undefined {
  const ask = useMemo(() => (lineId === undefined ? undefined : () => solver().sparedRigs(named(subject), lineId)), [subject, lineId]);
  return useAsked(ask).value;
}

/** What the rig makes of a pull, with pulleys between ideal (0) and as they are (1). */
export function useAdvantage(subject: Case, realness: number): AdvantageAt | undefined {
  return useAsked(useCallback(() => solver().advantageAt(named(subject), realness), [subject, realness])).value;
}

/** What the unclear marks of a piece may mean. */
export function useTagReadings(subject: Case | undefined, gearId: string | undefined): readonly TagReading[] | undefined {
  const ask = useMemo(
    () => (subject && gearId !== undefined ? () => solver().tagReadings(named(subject), gearId) : undefined),
    [subject, gearId],
  );
  return useAsked(ask).value;
}

/** The lightest bag that does what a case has to do, and whether it could not be worked out. */
export function useLightestBag(
  subject: Case | undefined,
  pieces: readonly BagPiece[] | undefined,
): { readonly value: LightestBag | undefined; readonly failed: boolean } {
  const ask = useMemo(
    () =>
      subject && pieces
        ? () =>
            solver().lightestBag(
              named(subject),
              pieces.map(({ facts, limit, vehicleId }) => ({ facts, limit, vehicleId })),
            )
        : undefined,
    [subject, pieces],
  );
  const { value, isNewest } = useAsked(ask);
  return { value: isNewest ? value : undefined, failed: ask !== undefined && isNewest && value === undefined };
}

/** What happens if one thing lets go at a metre of the pull; the last answer stands until the next is there. */
export function useLetGo(
  subject: Case,
  subjectId: string | undefined,
  travelM: number,
  check: 'planned' | 'greatest',
): { readonly value: LetGo | undefined; readonly isNewest: boolean } {
  const ask = useMemo(
    () => (subjectId === undefined ? undefined : () => solver().letGo(named(subject), { subjectId, travelM, check })),
    [subject, subjectId, travelM, check],
  );
  return useAsked(ask);
}

/** Where everybody would stand by a case, and whether that could not be worked out. */
export function useStands(subject: Case | undefined): { readonly value: readonly Stand[] | undefined; readonly failed: boolean } {
  const ask = useMemo(() => (subject ? () => solver().whereToStand(named(subject)) : undefined), [subject]);
  const { value, isNewest } = useAsked(ask);
  return { value: isNewest ? value : undefined, failed: ask !== undefined && isNewest && value === undefined };
}

/** How another rig is judged over its whole act, and whether that failed. */
export function useWholeReport(subject: Case): { readonly value: ToldReport | undefined; readonly failed: boolean } {
  const { value, isNewest } = useAsked(useCallback(() => solver().judge(named(subject)), [subject]));
  return { value: isNewest ? value : undefined, failed: isNewest && value === undefined };
}
