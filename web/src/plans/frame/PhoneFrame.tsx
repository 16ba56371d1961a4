import { ThemeSwitch } from '../../settings/ThemeSwitch.tsx';
import { UnitMenu } from '../../settings/UnitMenu.tsx';
import { useAddress } from '../../shell/use-address.ts';
import type { FrameParts } from './frame-parts.ts';

const VIEWS = [
  ['path', 'Load path'],
  ['plan', 'Plan'],
] as const;

/** On a phone: load path or plan, whichever is wanted, and the panels as a sheet that comes up over it. */
export function PhoneFrame({ sheet, tools, playKey, play, sentence, path, side }: FrameParts) {
  const { params, put } = useAddress();
  const seen = params.get('view') === 'plan' ? 'plan' : 'path';
  return (
    <>
      <div className="no-print flex shrink-0 border-b border-rule bg-sheet">
        <div role="group" aria-label="What is shown" className="flex flex-1">
          {VIEWS.map(([id, words]) => (
            <button
              key={id}
              type="button"
              aria-pressed={seen === id}
              className="relative min-h-11 flex-1 text-[16px] aria-pressed:font-semibold"
              onClick={() => put('view', id === 'plan' ? id : undefined)}
            >
              {words}
              {seen === id && <span aria-hidden="true" className="rope-bar absolute inset-x-6 bottom-0 h-[5px]" />}
            </button>
          ))}
        </div>
        {playKey}
        {/* The head of the other pages, which holds both, is not shown here. */}
        <UnitMenu className="shrink-0" />
        <ThemeSwitch />
      </div>
      <div className="relative min-h-0 flex-1" data-phone-view={seen}>
        {seen === 'plan' ? (
          sheet(tools)
        ) : (
          // While a panel is up, the load path ends where the panel begins, so that no piece lies out of reach under it.
          <div className={`overflow-y-auto ${params.has('show') ? 'h-[max(6rem,calc(100%-var(--panel-up)))]' : 'h-full'}`}>
            {sentence}
            {path(undefined)}
          </div>
        )}
      </div>
      {play}
      {side(undefined)}
    </>
  );
}
