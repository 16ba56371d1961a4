import { addGrip, type Body, type Edit, extendLine, length, lineWords, type Rig, removeBody, removeLine, tieBack } from '@wainrope/core';
import { useState } from 'react';
import { shallowEqual } from 'react-redux';
import { useGetTeamQuery } from '../../api/wainrope-api.ts';
import { ActMenu } from '../../fields/ActMenu.tsx';
import type { RegisterPiece } from '../../register/use-register.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { bodySelected } from '../draft/planner-slice.ts';
import { routeWords } from '../draft/route-words.ts';
import { Unlocked } from '../draft/Unlocked.tsx';
import { BodyFields } from '../site/BodyFields.tsx';
import { addEdits, bodyKinds, bodyKindWords, duplicateEdits } from '../site/body-edits.ts';
import { FeatureFields } from '../site/FeatureFields.tsx';
import { BodyList } from './BodyList.tsx';
import { ChainRows } from './ChainRows.tsx';
import { DriveFields } from './DriveFields.tsx';
import { EdgeFields } from './EdgeFields.tsx';
import { LanyardRows } from './LanyardRows.tsx';
import { measuredWords } from './measured-words.ts';
import { TaskFields } from './TaskFields.tsx';
import { ToolFields } from './ToolFields.tsx';
import { winchingBody } from './winching-body.ts';

interface OutlinePanelProps {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  /** Applies edits and puts the best piece into every place that they make. */
  readonly lay: (edits: readonly Edit[]) => void;
  readonly choosePiece: (useId: string) => void;
  readonly layLayout: () => void;
}

/** Everything on the sheet as a list: what can be done by pointing is done here by a key or a button. */
export function OutlinePanel({ rig, pieces, apply, lay, choosePiece, layLayout }: OutlinePanelProps) {
  const { selectedBodyId, route, refused } = useAppSelector(
    ({ planner: { selectedBodyId, route, refused } }) => ({ selectedBodyId, route, refused }),
    shallowEqual,
  );
  const { data: team } = useGetTeamQuery();
  const dispatch = useAppDispatch();
  const { figure } = useFigures();
  const [marked, setMarked] = useState<readonly string[]>([]);
  const said = { person: team?.actor.name ?? 'somebody', on: team?.today ?? '1970-01-01' };
  const measured = measuredWords(rig, marked, figure);
  /** The third place opens an angle, the fourth begins anew. */
  const measure = (bodyId: string) =>
    setMarked((before) => (before.at(-1) === bodyId ? [] : [...(before.length >= MOST_MARKED ? [] : before), bodyId]));
  const selected = rig.bodies.find(({ id }) => id === selectedBodyId);
  const add = (kind: Body['kind']) => {
    const edits = addEdits(rig, kind, team?.vehicles ?? []);
    apply(edits);
    const [put] = edits;
    if (put?.kind === 'put') dispatch(bodySelected(put.entry.id));
  };
  return (
    <div className="space-y-4 py-2">
      <section aria-label="On the site">
        <div className="flex items-end gap-2">
          <h2 className="font-head text-lg font-semibold">On the site</h2>
          <ActMenu
            className="ml-auto border border-quiet bg-sheet"
            label="Add to the site, beside the rest"
            shown="Add…"
            acts={bodyKinds}
            words={(kind) => bodyKindWords[kind]}
            choose={add}
          />
        </div>
        {(route || refused) && (
          <p aria-live="polite" className="border-l-4 border-rope bg-paper px-2 py-1">
            {refused ?? (route && routeWords(rig, route))}
          </p>
        )}
        <BodyList rig={rig} lay={lay} measure={measure} />
        {measured && (
          <p role="status" className="border-l-4 border-slate bg-paper px-2 py-1" data-measured>
            {measured}
          </p>
        )}
        <p className="pt-1 text-[14px] text-quiet">
          Keys on a body: <kbd>L</kbd> run a line from here or over here, <kbd>E</kbd> end it here, <kbd>B</kbd> tie the winching vehicle
          back to it, <kbd>G</kbd> hold the line’s last strand from it by a grip, <kbd>M</kbd> measure from here to the next, <kbd>D</kbd>{' '}
          one more, <kbd>Delete</kbd> take it off, arrows and brackets move and turn it, <kbd>J</kbd> <kbd>K</kbd> the next and the one
          before.
        </p>
      </section>
      {selected && (
        <Unlocked>
          <BodyFields rig={rig} body={selected} apply={apply} acts={buttonsFor(rig, selected, { apply, lay })} />
        </Unlocked>
      )}
      <section aria-label="Lines">
        <Unlocked>
          <div className="flex items-end gap-2">
            <h2 className="font-head text-lg font-semibold">Lines and what holds them</h2>
            <button type="button" className="action ml-auto" onClick={layLayout}>
              Lay a layout…
            </button>
          </div>
          <LineRows rig={rig} apply={apply} lay={lay} />
          <ChainRows rig={rig} pieces={pieces} said={said} apply={apply} lay={lay} choosePiece={choosePiece} />
          <LanyardRows rig={rig} pieces={pieces} apply={apply} />
        </Unlocked>
      </section>
      <Unlocked>
        <DriveFields rig={rig} actor={said.person} apply={apply} />
        <EdgeFields rig={rig} vehicles={team?.vehicles ?? []} apply={apply} />
        <TaskFields rig={rig} apply={apply} />
        <ToolFields rig={rig} pieces={pieces} apply={apply} />
      </Unlocked>
      <Unlocked>
        <FeatureFields rig={rig} apply={apply} />
      </Unlocked>
    </div>
  );
}

function LineRows({ rig, apply, lay }: Pick<OutlinePanelProps, 'rig' | 'apply' | 'lay'>) {
  const { figure } = useFigures();
  return (
    <>
      {rig.lines.length === 0 && (
        <p className="py-2">
          Nothing is laid yet. Press L on the winching vehicle, L on each body it turns at, E where it ends; or lay a layout.
        </p>
      )}
      {rig.lines.map((line) => (
        <div key={line.id} className="flex flex-wrap items-center gap-2 border-b border-rule py-1.5" data-line={line.id}>
          <span className="mr-auto">
            <strong className="first-letter:uppercase inline-block">{lineWords(rig, line.id)}</strong>{' '}
            <span className="text-quiet">
              {driveWords(rig, line, figure)}, {line.ropes.length === 1 ? 'one rope' : `${line.ropes.length} ropes joined`}
            </span>
          </span>
          <button type="button" className="action" onClick={() => lay(extendLine(rig, line.id))}>
            Extend
          </button>
          <button type="button" className="action" onClick={() => apply(removeLine(rig, line.id))}>
            Take off
          </button>
        </div>
      ))}
    </>
  );
}

/** A distance needs two places, an angle three. */
const MOST_MARKED = 3;

type Doers = Pick<OutlinePanelProps, 'apply' | 'lay'>;

/** What the keys do to a body, as buttons. */
function buttonsFor(rig: Rig, body: Body, { apply, lay }: Doers): readonly (readonly [string, () => void])[] {
  const vehicle = winchingBody(rig);
  const line = rig.lines[0];
  const tie = vehicle && vehicle.id !== body.id ? tieBack(rig, vehicle, body) : [];
  const grip = line ? addGrip(rig, line.id, body) : [];
  const all: readonly (readonly [string, boolean, () => void])[] = [
    ['One more', true, () => apply(duplicateEdits(rig, body))],
    [`Tie ${vehicle?.label ?? ''} back to it`, tie.length > 0, () => lay(tie)],
    ['Hold the last strand by a grip', grip.length > 0, () => lay(grip)],
    ['Take it off', body.id !== rig.load.bodyId, () => apply(removeBody(rig, body.id))],
  ];
  return all.flatMap(([words, possible, act]) => (possible ? [[words, act] as const] : []));
}

function driveWords(rig: Rig, { drive }: Rig['lines'][number], figure: ReturnType<typeof useFigures>['figure']): string {
  if (drive.kind === 'held') return `held at both ends, ${figure(length(drive.lengthM))}`;
  if (drive.kind === 'tow') return drive.manner === 'steady' ? 'towed steadily' : 'pulled with a run-up';
  const bodyId = rig.points.find(({ id }) => id === drive.pointId)?.bodyId;
  const label = rig.bodies.find(({ id }) => id === bodyId)?.label ?? '';
  return drive.kind === 'hand' ? `hauled by ${label}` : `from the winch of ${label}`;
}
