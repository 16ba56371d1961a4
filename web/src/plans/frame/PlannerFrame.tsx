import { ChevronLeft, ChevronRight } from 'lucide-react';
import { type ReactNode, useRef, useState } from 'react';
import { type ImperativePanelHandle, Panel, PanelGroup, PanelResizeHandle } from 'react-resizable-panels';
import { Link } from 'react-router';
import { useNarrow, usePrinting, useUpright } from '../../shell/use-media.ts';
import type { Fold, FrameParts } from './frame-parts.ts';
import { PhoneFrame } from './PhoneFrame.tsx';

/** Where drawing, load path and panels stand, by how much room there is. What is dragged or folded stays so on this device. */
export function PlannerFrame(parts: FrameParts) {
  const printing = usePrinting();
  const narrow = useNarrow();
  const upright = useUpright();
  if (printing) return <OnPaper {...parts} />;
  if (narrow) return <PhoneFrame {...parts} />;
  return upright ? <UprightFrame {...parts} /> : <DeskFrame {...parts} />;
}

/** All of it, one under the other. */
function OnPaper({ sheet, sentence, path, side }: FrameParts) {
  return (
    <>
      {sentence}
      {path(undefined)}
      <div className="h-[70vw] min-h-72 border-y border-rule">{sheet(null)}</div>
      {side(undefined)}
      <Link className="m-3 underline" to="/plans">
        All plans
      </Link>
    </>
  );
}

/** Share of the height or width that a part has until somebody drags it, and the least before it folds, per cent. */
const SIZES = {
  deskPath: { usual: 20.3, least: 14, folded: 5 },
  deskSide: { usual: 26.3, least: 20, folded: 0 },
  uprightPath: { usual: 15.5, least: 12, folded: 3 },
  uprightSide: { usual: 24.5, least: 14, folded: 5 },
};

interface Foldable {
  readonly usual: number;
  readonly least: number;
  readonly folded: number;
}

function useFold() {
  const panel = useRef<ImperativePanelHandle>(null);
  const [folded, setFolded] = useState(false);
  const toggle = () => (panel.current?.isCollapsed() ? panel.current.expand() : panel.current?.collapse());
  return { panel, fold: { folded, toggle }, onCollapse: () => setFolded(true), onExpand: () => setFolded(false) };
}

type Folding = ReturnType<typeof useFold>;

interface FoldingPanelProps {
  readonly id: string;
  readonly order: number;
  readonly size: Foldable;
  readonly folding: Folding;
  readonly children: ReactNode;
}

/** A part whose height its panel gives is laid out by itself: else each figure that changes in it has the whole page laid out anew. */
const BY_ITSELF = 'h-full contain-size contain-layout';

function FoldingPanel({ id, order, size, folding: { panel, onCollapse, onExpand }, children }: FoldingPanelProps) {
  return (
    <Panel
      ref={panel}
      id={id}
      order={order}
      collapsible
      collapsedSize={size.folded}
      defaultSize={size.usual}
      minSize={size.least}
      {...{ onCollapse, onExpand }}
    >
      <div className={BY_ITSELF}>{children}</div>
    </Panel>
  );
}

/** The edge between two parts, to be dragged by pointer or arrow keys; Enter folds. */
function Edge({ label, across }: { readonly label: string; readonly across: 'wider' | 'higher' }) {
  return (
    <PanelResizeHandle
      aria-label={label}
      className={`no-print shrink-0 bg-rule transition-colors data-[resize-handle-state=drag]:bg-rope data-[resize-handle-state=hover]:bg-rope focus-visible:bg-rope ${across === 'wider' ? 'w-1.5' : 'h-1.5'}`}
    />
  );
}

/** What stands in the drawing's corner where there is room for it. */
const over = ({ tools, playKey, sentence }: Pick<FrameParts, 'tools' | 'playKey' | 'sentence'>): ReactNode => (
  <>
    <div className="flex flex-wrap gap-2">
      {tools}
      {playKey}
    </div>
    {sentence}
  </>
);

/** The drawing with the line of time under it. */
function Drawing({ sheet, play, ...parts }: Omit<FrameParts, 'path' | 'side'>) {
  return (
    <div className={`flex flex-col ${BY_ITSELF}`}>
      <div className="min-h-0 flex-1">{sheet(over(parts))}</div>
      {play}
    </div>
  );
}

function DeskFrame({ path, side, ...drawing }: FrameParts) {
  const ofPath = useFold();
  const ofSide = useFold();
  return (
    <PanelGroup direction="vertical" autoSaveId="planner-desk-rows" className="min-h-0 flex-1">
      <Panel id="drawing-and-panels" order={1} minSize={30}>
        <PanelGroup direction="horizontal" autoSaveId="planner-desk-columns">
          <Panel id="drawing" order={1} minSize={35} className="relative">
            <Drawing {...drawing} />
            <FoldKey {...ofSide.fold} />
          </Panel>
          <Edge label="Width of the panels" across="wider" />
          <FoldingPanel id="panels" order={2} size={SIZES.deskSide} folding={ofSide}>
            {!ofSide.fold.folded && side(undefined)}
          </FoldingPanel>
        </PanelGroup>
      </Panel>
      <Edge label="Height of the load path" across="higher" />
      <FoldingPanel id="load-path" order={2} size={SIZES.deskPath} folding={ofPath}>
        {path(ofPath.fold)}
      </FoldingPanel>
    </PanelGroup>
  );
}

/** Folds the panels away and brings them back, at the edge where they stand. */
function FoldKey({ folded, toggle }: Fold) {
  const words = folded ? 'Show the panels' : 'Fold the panels away';
  const Arrow = folded ? ChevronLeft : ChevronRight;
  return (
    <button
      type="button"
      className="no-print absolute top-20 right-0 z-1 grid h-14 w-6 place-items-center border-[1.5px] border-r-0 border-ink bg-sheet hover:bg-paper"
      aria-expanded={!folded}
      aria-label={words}
      title={words}
      onClick={toggle}
    >
      <Arrow size={17} />
    </button>
  );
}

function UprightFrame({ path, side, ...drawing }: FrameParts) {
  const ofPath = useFold();
  const ofSide = useFold();
  return (
    <PanelGroup direction="vertical" autoSaveId="planner-upright-rows" className="min-h-0 flex-1">
      <Panel id="drawing" order={1} minSize={30}>
        <Drawing {...drawing} />
      </Panel>
      <Edge label="Height of the load path" across="higher" />
      <FoldingPanel id="load-path" order={2} size={SIZES.uprightPath} folding={ofPath}>
        {path(ofPath.fold)}
      </FoldingPanel>
      <Edge label="Height of the panels" across="higher" />
      <FoldingPanel id="panels" order={3} size={SIZES.uprightSide} folding={ofSide}>
        {side(ofSide.fold)}
      </FoldingPanel>
    </PanelGroup>
  );
}
