import type { Case, PlaceReport, ToldReport } from '@wainrope/core';
import { useEffect, useMemo } from 'react';
import { useAddress } from '../../shell/use-address.ts';
import { useShownMetre } from '../play/MomentHolder.tsx';
import { useLetGo } from '../solver/questions.ts';
import { type AskedLetGo, useLetGoHolder } from './LetGoHolder.tsx';
import { breakables, firstToBreak } from './what-to-break.ts';

interface LetGoAskerProps {
  readonly subject: Case;
  readonly report: ToldReport;
  readonly place: PlaceReport | undefined;
}

/** Asks what the address asks to be let go, at the moment that is shown; nothing of it is shown any more once it is gone. */
export function LetGoAsker({ subject, report, place }: LetGoAskerProps) {
  const { params } = useAddress();
  const { tell } = useLetGoHolder();
  const breaks = params.get('breaks');
  const check = params.get('check') === 'planned' ? 'planned' : 'greatest';
  const atM = useShownMetre() ?? 0;
  const all = useMemo(() => breakables(subject.rig, report.places), [subject.rig, report.places]);
  const subjectId = all.find((entry) => entry.subjectId === breaks)?.subjectId ?? firstToBreak(all, place);
  const { value: letGo, isNewest: isAnswered } = useLetGo(subject, subjectId, atM, check);
  const asked = useMemo((): AskedLetGo => ({ all, subjectId, check, letGo, isAnswered }), [all, subjectId, check, letGo, isAnswered]);
  useEffect(() => tell(asked), [asked, tell]);
  useEffect(() => () => tell(undefined), [tell]);
  return null;
}
