import type { LetGo } from '@wainrope/core';
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import { SheetPlanContext, useSheetPlan } from '../draft/shown-plans.ts';
import { brokenPlan } from './broken-plan.ts';
import type { Breakable } from './what-to-break.ts';

/** What is asked to be let go, and what happens then. */
export interface AskedLetGo {
  /** What can be let go, and which of it is. */
  readonly all: readonly Breakable[];
  readonly subjectId: string | undefined;
  readonly check: LetGo['check'];
  /** Missing until it is worked out, and where it is not known. */
  readonly letGo: LetGo | undefined;
  readonly isAnswered: boolean;
}

interface Held {
  readonly asked: AskedLetGo | undefined;
  readonly tell: (asked: AskedLetGo | undefined) => void;
}

const Asked = createContext<Held>({ asked: undefined, tell: () => undefined });

/** Holds what is let go, for the drawing and the panel alike. */
export function LetGoHolder({ children }: { readonly children: ReactNode }) {
  const [asked, tell] = useState<AskedLetGo>();
  const held = useMemo(() => ({ asked, tell }), [asked]);
  return <Asked value={held}>{children}</Asked>;
}

export const useLetGoHolder = (): Held => useContext(Asked);

/** The sheet inside, as something lets go. */
export function Broken({ children }: { readonly children: ReactNode }) {
  const plan = useSheetPlan();
  const letGo = useLetGoHolder().asked?.letGo;
  const broken = useMemo(() => (letGo ? brokenPlan(plan, letGo) : plan), [plan, letGo]);
  return <SheetPlanContext value={broken}>{children}</SheetPlanContext>;
}
