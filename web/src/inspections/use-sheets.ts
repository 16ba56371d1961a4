import type { GearClass, InspectionSheet } from '@wainrope/core';
import { useMemo } from 'react';
import { useListSheetsQuery } from '../api/wainrope-api.ts';

export interface SheetInForce {
  readonly version: number;
  readonly sheet: InspectionSheet;
}

/** The sheets in force, by class. */
export function useSheets() {
  const { data, error, refetch } = useListSheetsQuery();
  const sheets = useMemo(() => {
    const items = data?.items;
    return items && new Map(items.map(({ kind, version, sheet }) => [kind, { version, sheet }]));
  }, [data]);
  return { sheets: sheets as ReadonlyMap<GearClass, SheetInForce> | undefined, error, refetch };
}
