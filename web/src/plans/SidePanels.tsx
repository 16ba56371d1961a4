import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { Case, Edit, PlaceReport, Rig, ToldFinding, ToldReport } from '@wainrope/core';
import { ChevronDown, ChevronUp, type LucideIcon } from 'lucide-react';
import { type KeyboardEvent, lazy, type ReactNode, Suspense, useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { Loading } from '../shell/Loading.tsx';
import { useAddress } from '../shell/use-address.ts';
import { useNarrow, usePrinting } from '../shell/use-media.ts';
import { useAppDispatch } from '../store.ts';
import { placeSelected } from './draft/planner-slice.ts';
import { Unlocked } from './draft/Unlocked.tsx';
import { FindingsPanel } from './findings/FindingsPanel.tsx';
import type { Leg } from './findings/finding-groups.ts';
import type { Fold } from './frame/frame-parts.ts';

/** Fetched when first wanted, so that the plan itself opens sooner. */
const TagMeaning = lazy(async () => ({ default: (await import('./findings/TagMeaning.tsx')).TagMeaning }));
const WorkedOut = lazy(async () => ({ default: (await import('./findings/WorkedOut.tsx')).WorkedOut }));
const BreakPanel = lazy(async () => ({ default: (await import('./letgo/BreakPanel.tsx')).BreakPanel }));
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
  /** Which panel is open; undefined where none is, on a phone. */
  readonly tab: string | undefined;
  readonly open: (tab: string | undefined) => void;
  readonly select: (placeId: string) => void;
  readonly show: (finding: ToldFinding) => void;
  readonly fillIn: (finding: ToldFinding) => void;
  readonly panels: PagePanels;
  readonly fold: Fold | undefined;
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

/** What stands beside the drawing, one panel at a time; on a phone it comes up from below. */
export function SidePanels(props: SidePanelsProps) {
  const { report, tab, open, fold } = props;
  const narrow = useNarrow();
  const printing = usePrinting();
  const isSheet = narrow && !printing;
  // An address that names no panel opens the first.
  const at = Math.max(
    0,
    TABS.findIndex(([id]) => id === tab),
  );
  const isOpen = !isSheet || tab !== undefined;
  const tabs = useRef<HTMLDivElement>(null);
  // On a phone the tabs are wider than the page, and an address may open the last of them.
  useEffect(() => {
    if (isOpen) tabs.current?.children[at]?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
  }, [isOpen, at]);
  const openAt = (index: number) => {
    const id = TABS[index]?.[0];
    open(id === 'findings' && !isSheet ? undefined : id);
    if (fold?.folded) fold.toggle();
  };
  const close = () => open(undefined);
  return (
    <TabGroup
      as="aside"
      className={`flex min-h-0 flex-col bg-sheet ${isSheet ? 'relative shrink-0 border-t border-ink' : 'h-full'}`}
      selectedIndex={at}
      onChange={openAt}
      onKeyDown={(event: KeyboardEvent) => {
        if (isSheet && event.key === 'Escape') close();
      }}
    >
      <div className="flex shrink-0 border-b border-rule">
        <TabList ref={tabs} aria-label="Plan" className="flex min-w-0 flex-1 overflow-x-auto px-1 min-[1100px]:pl-1.5">
          {TABS.map(([id, label], index) => (
            <Tab
              key={id}
              className={`relative min-h-11 shrink-0 grow px-[4px] text-[15px] whitespace-nowrap max-[1100px]:min-w-11 max-[1100px]:px-2.5 max-[1100px]:text-[16px] ${isOpen ? 'data-selected:font-semibold' : ''}`}
              onClick={() => {
                // A tab that is selected already tells of no change.
                if (index === at && (!isOpen || fold?.folded)) openAt(index);
              }}
            >
              {label}
              {id === 'findings' && report.findings.length > 0 && ` ${report.findings.length}`}
              {isOpen && index === at && <span aria-hidden="true" className="rope-bar absolute inset-x-1 bottom-0 h-[5px]" />}
            </Tab>
          ))}
        </TabList>
        {isSheet && isOpen && <FoldKey label="Put the panel down" onClick={close} icon={ChevronDown} />}
        {fold && (
          <FoldKey
            label={fold.folded ? 'Show the panels' : 'Fold the panels away'}
            onClick={fold.toggle}
            icon={fold.folded ? ChevronUp : ChevronDown}
          />
        )}
      </div>
      {isOpen && !fold?.folded && (
        <TabPanels
          className={
            isSheet
              ? 'absolute inset-x-0 bottom-full z-20 h-(--panel-up) overflow-y-auto border-t-2 border-ink bg-sheet px-4 pb-4 shadow-[0_-6px_14px_rgb(0_0_0/0.18)]'
              : 'relative min-h-0 flex-1 overflow-y-auto px-4 pb-4'
          }
        >
          {TABS.map(([id]) => (
            <TabPanel key={id}>{id === 'findings' ? <FindingsTab {...props} /> : <OtherTab {...props} />}</TabPanel>
          ))}
        </TabPanels>
      )}
    </TabGroup>
  );
}

interface FoldKeyProps {
  readonly label: string;
  readonly onClick: () => void;
  readonly icon: LucideIcon;
}

function FoldKey({ label, onClick, icon: Icon }: FoldKeyProps) {
  return (
    <button
      type="button"
      className="grid min-h-11 w-9 shrink-0 place-items-center border-l border-rule text-quiet max-[1100px]:w-11"
      aria-label={label}
      title={label}
      onClick={onClick}
    >
      <Icon size={18} />
    </button>
  );
}

function FindingsTab(props: SidePanelsProps) {
  const { report, subject, apply, choosePiece, hangDampers, place, isChosen, select, show, fillIn } = props;
  const dispatch = useAppDispatch();
  const { params } = useAddress();
  if (params.get('breaks') !== null)
    return (
      <Suspense fallback={<Loading what="what happens then" className="py-3" />}>
        <BreakPanel {...props} />
      </Suspense>
    );
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
      {tab === 'pull' && <PullPanel rig={rig} subject={subject} report={report} apply={apply} show={show} locked={locked} />}
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
