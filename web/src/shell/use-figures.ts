import { type Figure, formatFigure, type RichText, write } from '@wainrope/core';
import { useMemo } from 'react';
import { useAppSelector } from '../store.ts';
import { withDays } from './days.ts';

/** Writes figures and texts in the reader's units. */
export function useFigures() {
  const units = useAppSelector((state) => state.settings.units);
  return useMemo(
    () => ({ units, figure: (figure: Figure) => formatFigure(figure, units), text: (text: RichText) => withDays(write(text, units)) }),
    [units],
  );
}
