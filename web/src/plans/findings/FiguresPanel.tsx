import type { Case, Rig } from '@wainrope/core';
import { Explained } from '../../explained/Explained.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { useReportFigures } from '../solver/questions.ts';
import type { ShownFigure } from '../solver/solver.worker.ts';
import { whoseWords } from './whose-words.ts';

/** The groups of figures in the order in which the work asks for them, by the beginning of their path. */
const GROUPS: readonly (readonly [string, readonly string[]])[] = [
  ['The pull', ['pullN', 'plannedPullN', 'greatestPullN', 'linePullLimit', 'advantage', 'ropePerTravel', 'loadForce', 'effort.planned']],
  ['The drives', ['drives[']],
  ['Strands and points', ['strands[', 'pulleys[', 'pointLoads[']],
  ['How the vehicles stand', ['holds[']],
  ['If it breaks', ['breaks[']],
];

/** Every figure of the report that is not a place of the load path; one tap shows how it was worked out. */
export function FiguresPanel({ subject }: { readonly subject: Case }) {
  const figures = useReportFigures(subject);
  if (figures === undefined) return <p className="py-3 text-quiet">Working it out …</p>;
  return (
    <div className="space-y-4 py-2">
      {GROUPS.map(([title, beginnings]) => {
        const own = figures.filter(({ path }) => beginnings.some((beginning) => path.startsWith(beginning)));
        return own.length === 0 ? null : <Figures key={title} title={title} figures={own} rig={subject.rig} />;
      })}
      <p className="text-[14px] text-quiet">The loads and limits of every piece stand in the load path and beside the findings.</p>
    </div>
  );
}

function Figures({ title, figures, rig }: { readonly title: string; readonly figures: readonly ShownFigure[]; readonly rig: Rig }) {
  const { figure } = useFigures();
  return (
    <section aria-label={title}>
      <h3 className="font-head text-lg font-semibold">{title}</h3>
      {figures.map(({ path, label, figure: value, term }) => (
        <details key={path} data-figure={path} className="border-b border-rule">
          <summary className="flex min-h-11 cursor-pointer items-center justify-between gap-3 py-1 text-[16px]">
            <span>
              {label}
              <Whose words={whoseWords(path, rig)} />
            </span>
            <span className="font-mono whitespace-nowrap">{figure(value)}</span>
          </summary>
          <div className="pb-2">
            <Explained term={term} />
          </div>
        </details>
      ))}
    </section>
  );
}

const Whose = ({ words }: { readonly words: string | undefined }) => words && <span className="text-quiet"> · {words}</span>;
