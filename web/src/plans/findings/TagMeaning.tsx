import { basisWords, type Case, force, isUnclear } from '@wainrope/core';
import { useFigures } from '../../shell/use-figures.ts';
import { VerdictShape, verdictWords } from '../../shell/VerdictMark.tsx';
import { useTagReadings } from '../solver/questions.ts';

/** Where a mark is unclear: all that it may mean side by side, and the verdict under each. */
export function TagMeaning({ subject, gearId }: { readonly subject: Case; readonly gearId: string | undefined }) {
  const { figure } = useFigures();
  const piece = subject.gear.find(({ id }) => id === gearId);
  const unclear = piece?.marks.some(isUnclear) === true;
  const readings = useTagReadings(unclear ? subject : undefined, gearId);
  if (!unclear || !readings || readings.length === 0) return null;
  return (
    <section aria-label="What this tag may mean" className="stitched pb-3">
      <h3 className="font-head text-lg font-semibold">What does “{readings[0]?.asWritten}” mean?</h3>
      <p className="text-[15px] text-quiet">Until somebody finds out, the lowest counts.</p>
      <ul>
        {readings.map(({ asWritten, unit, basis, forceN, wllN, utilisation, verdict }) => (
          <li key={`${asWritten}-${unit}-${basis}`} className="flex flex-wrap items-center gap-x-2 border-b border-rule py-1 text-[15px]">
            <VerdictShape verdict={verdict} size={18} />
            <strong>{verdictWords[verdict]}</strong>
            <span>
              if {unit}, {basisWords[basis]}: {figure(force(forceN))}
            </span>
            <span className="ml-auto text-quiet">
              {wllN !== undefined && `limit ${figure(force(wllN))}`}
              {utilisation !== undefined && `, ${Math.round(utilisation * 100)} %`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
