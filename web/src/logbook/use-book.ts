import type { GearView } from '@wainrope/contract';
import { gearClasses } from '@wainrope/core';
import { useState } from 'react';
import {
  useGetCareQuery,
  useGetLifeQuery,
  useGetWearQuery,
  useListBreakTestsQuery,
  useListDiaryQuery,
  useListLoadsQuery,
} from '../api/wainrope-api.ts';

/** How much of a list is asked for at first. */
export const FIRST_PAGE = { life: 300, loads: 20, diary: 60, tests: 60 } as const;
/** The most that the server gives at once of a diary, or of break tests. */
export const MOST_LISTED = 200;

/** Drums and lines have a diary. */
export const hasDiary = ({ kind }: GearView): boolean => gearClasses[kind].carriesOn === 'spool' || gearClasses[kind].line !== 'none';

/** Whether pieces of its batch can be known, and so their break tests. */
export const isOfKnownBatch = ({ maker, batch }: GearView): boolean => Boolean(maker && batch);

/**
 * Whether every part of a piece's book has been answered once, be it by an error: shown at once, none of it moves under a finger.
 * A part that is asked again, as one that was refused is, hides nothing.
 */
export function useIsBookRead(gear: GearView): boolean {
  const { gearId } = gear;
  const [isRead, setRead] = useState(false);
  const answers = [
    useGetLifeQuery({ gearId, limit: FIRST_PAGE.life }),
    useGetCareQuery({ gearId }),
    useGetWearQuery({ gearId }),
    useListLoadsQuery({ gearId, limit: FIRST_PAGE.loads }),
    useListDiaryQuery({ gearId, limit: FIRST_PAGE.diary }, { skip: !hasDiary(gear) }),
    useListBreakTestsQuery({ gearId, limit: FIRST_PAGE.tests }, { skip: !isOfKnownBatch(gear) }),
  ];
  const isAnswered = answers.every(({ isLoading }) => !isLoading);
  if (isAnswered && !isRead) setRead(true);
  return isRead || isAnswered;
}
