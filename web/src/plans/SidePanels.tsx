import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { Case, Edit, PlaceReport, Rig, ToldFinding, ToldReport } from '@wainrope/core';
import { lazy, type ReactNode, Suspense } from 'react';
import { Link } from 'react-router';
import { Loading } from '../shell/Loading.tsx';
import { useAppDispatch } from '../store.ts';
import { placeSelected } from './draft/planner-slice.ts';
import { Unlocked } from './draft/Unlocked.tsx';
import { FindingsPanel } from './findings/FindingsPanel.tsx';
import type { Leg } from './findings/finding-groups.ts';

/** Fetched when first wanted, so that the plan itself opens sooner. */
const TagMeaning = lazy(async () => ({ default: (await import('./findings/TagMeaning.tsx')).TagMeaning }));
const WorkedOut = lazy(async () => ({ default: (await import('./findings/WorkedOut.tsx')).WorkedOut }));
const PullPanel = lazy(async () => ({ default: (await import('./pull/PullPanel.tsx')).PullPanel }));
const FiguresPanel = lazy(async () => ({ default: (await import('./findings/FiguresPanel.tsx')).FiguresPanel }));
const HonestAdvantage = lazy(async () => ({ default: (await import('./findings/HonestAdvantage.tsx')).HonestAdvantage }));
const SideView = lazy(async () => ({ default: (await import('./sheet/SideView.tsx')).SideView }));

/** Panels that the page makes, since they need more of it. */
export interface PagePanels {
  readonly site: ReactNode;
  readonly parts: ReactNode;
  readonly outline: ReactNode;
  readonly record: ReactNode;
  readonly compare: ReactNode;
}

export interface SidePanelsProps {
  readonly report: ToldReport;
  readonly rig: Rig;
  readonly subject: Case;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  readonly choosePiece: (useId: string) => void;
  readonly hangDampers: (legs: readonly Leg[]) => void;
  readonly locked: boolean;
  /** The place that is looked at, and whether somebody chose it. */
  readonly place: PlaceReport | undefined;
  readonly isChosen: boolean;
  readonly tab: string;
  readonly open: (tab: string | undefined) => void;
  readonly select: (placeId: string) => void;
  readonly show: (finding: ToldFinding) => void;
  readonly fillIn: (finding: ToldFinding) => void;
  readonly panels: PagePanels;
}

const TABS = [
  ['findings', 'Findings'],
  ['pull', 'Pull'],
  ['outline', 'Outline'],
  ['site', 'Site'],
  ['pieces', 'Pieces'],
  ['figures', 'Figures'],
  ['record', 'Record'],
] as const;

/** What stands beside the drawing, one panel at a time. */
export function SidePanels(props: SidePanelsProps) {
  const { report, tab, open } = props;
  // An address that names no panel opens the first.
  const at = Math.max(
    0,
    TABS.findIndex(([id]) => id === tab),
  );
  const choose = (index: number) => {
    const id = TABS[index]?.[0];
    open(id === 'findings' ? undefined : id);
  };
  return (
    <TabGroup as="aside" className="flex min-h-0 flex-col border-rule bg-sheet min-[1100px]:border-l" selectedIndex={at} onChange={choose}>
      <TabList aria-label="Plan" className="flex shrink-0 overflow-x-auto border-b border-rule px-1">
        {TABS.map(([id, label]) => (
          <Tab key={id} className="relative min-h-11 min-w-11 px-2 text-[16px] whitespace-nowrap data-selected:font-semibold">
            {label}
            {id === 'findings' && report.findings.length > 0 && ` ${report.findings.length}`}
            {id === TABS[at]?.[0] && <span aria-hidden="true" className="rope-bar absolute inset-x-2 bottom-0 h-[5px]" />}
          </Tab>
        ))}
      </TabList>
      <TabPanels className="min-h-0 flex-1 overflow-y-auto px-4 pb-4">
        {TABS.map(([id]) => (
          <TabPanel key={id}>{id === 'findings' ? <FindingsTab {...props} /> : <OtherTab {...props} />}</TabPanel>
        ))}
      </TabPanels>
    </TabGroup>
  );
}

function FindingsTab({ report, subject, apply, choosePiece, hangDampers, place, isChosen, select, show, fillIn }: SidePanelsProps) {
  const dispatch = useAppDispatch();
  return (
    <>
      <FindingsPanel
        report={report}
        here={isChosen ? place : undefined}
        apply={apply}
        choosePiece={choosePiece}
        hangDampers={hangDampers}
        show={show}
        fillIn={fillIn}
        leave={() => dispatch(placeSelected(undefined))}
      />
      {place && (
        <Suspense fallback={null}>
          <TagMeaning subject={subject} gearId={place.gearId} />
          <WorkedOut subject={subject} report={report} place={place} select={select} choosePiece={choosePiece} />
        </Suspense>
      )}
      <p className="mt-4 border-t border-rule pt-2 text-[14px] text-quiet">
        Wainrope computes; it does not make a recovery safe. Figures are estimates: the lowest marked limit and the maker’s instructions
        win, and a rated load cell and a trained person beat any estimate. Local rules apply; where a licensed operator is needed, call one.{' '}
        <Link className="underline" to="/words#verdict">
          What the words mean
        </Link>
      </p>
    </>
  );
}

function OtherTab({ report, rig, subject, apply, locked, show, tab, panels }: SidePanelsProps) {
  return (
    <Suspense fallback={<Loading what="the panel" className="py-3" />}>
      {tab === 'pull' && <PullPanel rig={rig} report={report} apply={apply} show={show} locked={locked} />}
      {tab === 'outline' && panels.outline}
      {tab === 'site' && (
        <>
          <Unlocked>
            {panels.site}
            {panels.compare}
          </Unlocked>
          <SideView rig={rig} report={report} />
        </>
      )}
      {tab === 'pieces' && <Unlocked>{panels.parts}</Unlocked>}
      {tab === 'record' && panels.record}
      {tab === 'figures' && (
        <>
          <HonestAdvantage subject={subject} report={report} />
          <FiguresPanel subject={subject} />
        </>
      )}
    </Suspense>
  );
}
