import { type AdoptedFigure, isFigureOf, keyWords, type Policy, percent } from '@wainrope/core';
import { Link } from 'react-router';
import { depthWords } from '../fields/situation-words.ts';
import { day } from '../shell/days.ts';
import { useFigures } from '../shell/use-figures.ts';

interface FigureRowsProps {
  readonly policy: Policy;
  readonly editable: boolean;
  readonly changed: (policy: Policy) => void;
}

/** Figures of the team's own that plans go by: adopted under the season, taken out here. */
export function FigureRows({ policy, editable, changed }: FigureRowsProps) {
  const { ownFigures } = policy;
  const without = (gone: AdoptedFigure) => ({ ...policy, ownFigures: ownFigures.filter((each) => !isFigureOf(each, gone)) });
  return (
    <section id="own-figures" className="scroll-mt-4 pt-4" aria-label="Figures of the team’s own">
      <h2 className="stitched pb-1.5 text-xl">Figures of the team’s own</h2>
      <p className="pt-1.5 text-quiet">
        What measured pulls came to, in place of the rule for the ground or the depth. {ownFigures.length === 0 && 'None yet. '}
        They are adopted{' '}
        <Link className="underline" to="/log/season">
          under Log, Season
        </Link>
        , from ten pulls on.
      </p>
      <ul>
        {ownFigures.map((figure) => (
          <FigureRow
            key={`${figure.surface} ${figure.depth} ${figure.machine}`}
            figure={figure}
            remove={editable ? () => changed(without(figure)) : undefined}
          />
        ))}
      </ul>
    </section>
  );
}

function FigureRow({ figure: of, remove }: { readonly figure: AdoptedFigure; readonly remove: (() => void) | undefined }) {
  const { figure } = useFigures();
  const { surface, depth, machine, share, pulls } = of;
  const days = pulls.map(({ on }) => on).sort();
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1.5">
      <span>
        {machine}, {keyWords(surface)}, {depthWords(depth)}
      </span>
      <strong className="font-mono">{figure(percent(share))} of its weight</strong>
      <span className="text-quiet">
        from {pulls.length} measured pulls, {day(days[0] ?? '')} to {day(days.at(-1) ?? '')}
      </span>
      {remove && (
        <button type="button" className="action no-print ml-auto" onClick={remove} aria-label={`Remove the figure for ${machine}`}>
          Remove
        </button>
      )}
    </li>
  );
}
