import { featureKinds, type Rig } from '@wainrope/core';
import { shallowEqual } from 'react-redux';
import { ActMenu } from '../../fields/ActMenu.tsx';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { routeEnded, routeTakenBack, toolChosen } from '../draft/planner-slice.ts';
import { routeWords } from '../draft/route-words.ts';
import { TakeBack } from '../frame/TakeBack.tsx';
import { bodyKinds, bodyKindWords, featureWords } from '../site/body-edits.ts';

interface SheetToolsProps {
  readonly rig: Rig;
  readonly endRoute: () => void;
  readonly layLayout: () => void;
}

/** What a touch on the sheet does, and the line that is being run. */
export function SheetTools({ rig, endRoute, layLayout }: SheetToolsProps) {
  const { tool, route, refused } = useAppSelector(({ planner: { tool, route, refused } }) => ({ tool, route, refused }), shallowEqual);
  const dispatch = useAppDispatch();
  const key = 'relative min-h-10 px-2.5 text-[16px] whitespace-nowrap aria-pressed:font-semibold max-[1100px]:min-h-11';
  const tools = [
    [{ kind: 'move' }, 'Move'],
    [{ kind: 'line' }, 'Run a line'],
    [{ kind: 'measure' }, 'Measure'],
  ] as const;
  return (
    <div
      role="toolbar"
      aria-label="On the sheet"
      className="no-print flex w-fit max-w-full flex-wrap items-center border border-ink bg-sheet px-1 max-[760px]:flex-nowrap max-[760px]:overflow-x-auto max-[760px]:[&>*]:shrink-0"
    >
      {route ? (
        <>
          <p className="mr-auto px-2" aria-live="polite" data-route-words>
            {routeWords(rig, route)}
            {refused && <span className="block text-rust">{refused}</span>}
          </p>
          <button type="button" className="action" onClick={() => dispatch(routeTakenBack())}>
            Step back
          </button>
          <button type="button" className="action" onClick={() => dispatch(routeEnded())}>
            Cancel
          </button>
          <button type="button" className="action-main" disabled={route.bodyIds.length === 0} onClick={endRoute}>
            End it here
          </button>
        </>
      ) : (
        <>
          {tools.map(([wanted, words]) => (
            <button
              key={wanted.kind}
              type="button"
              className={key}
              aria-pressed={tool.kind === wanted.kind}
              onClick={() => dispatch(toolChosen(wanted))}
            >
              {words}
              {tool.kind === wanted.kind && <span aria-hidden="true" className="rope-bar absolute inset-x-2 bottom-0 h-[5px]" />}
            </button>
          ))}
          <ActMenu
            className={tool.kind === 'add' ? 'font-semibold' : ''}
            label="Add to the site"
            shown={tool.kind === 'add' ? bodyKindWords[tool.body] : 'Add…'}
            acts={bodyKinds}
            words={(kind) => bodyKindWords[kind]}
            choose={(body) => dispatch(toolChosen({ kind: 'add', body }))}
          />
          <ActMenu
            className={tool.kind === 'feature' ? 'font-semibold' : ''}
            label="Draw on the ground"
            shown={tool.kind === 'feature' ? featureWords[tool.feature] : 'Draw…'}
            acts={featureKinds}
            words={(kind) => featureWords[kind]}
            choose={(feature) => dispatch(toolChosen({ kind: 'feature', feature }))}
          />
          <button type="button" className={key} onClick={layLayout}>
            Lay a layout…
          </button>
          <span className="flex border-l border-rule max-[760px]:hidden">
            <TakeBack />
          </span>
          {tool.kind === 'line' && (
            <p aria-live="polite" className={`w-full px-2 pb-1 ${refused ? 'text-rust' : 'text-quiet'}`}>
              {refused ?? 'Touch the vehicle whose winch pulls, then each body the line goes to.'}
            </p>
          )}
          {tool.kind === 'add' && <p className="w-full px-2 pb-1 text-quiet">Touch where it stands.</p>}
        </>
      )}
    </div>
  );
}
