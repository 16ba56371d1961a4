import type { SheetMeasure } from '@wainrope/core';
import { useGetWearQuery } from '../api/wainrope-api.ts';
import { useTeam } from '../register/use-register.ts';
import { readingWords } from './reading-words.ts';

/** What is asked about a typed value of each measure, from the piece's earlier readings; nothing where those were not read here. */
export function useReadingQuestions(gearId: string, on: string) {
  const { data } = useGetWearQuery({ gearId });
  const { policy } = useTeam();
  return (measure: SheetMeasure) => {
    const series = data?.series.find(({ measureId }) => measureId === measure.id);
    return policy && series ? (value: number) => readingWords({ measure, series, value, on, policy }) : undefined;
  };
}
