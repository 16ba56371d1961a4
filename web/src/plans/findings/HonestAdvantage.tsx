import { type Case, force, type Report } from '@wainrope/core';
import { useState } from 'react';
import { useFigures } from '../../shell/use-figures.ts';
import { useAdvantage } from '../solver/questions.ts';

/** What one person pulls by hand, newtons. */
const HAND_N = 300;

/** Force in the hand or at the winch, at the load and at the anchors, with pulleys between ideal and real. */
export function HonestAdvantage({ subject, report }: { readonly subject: Case; readonly report: Report }) {
  const { figure } = useFigures();
  const [realness, setRealness] = useState(1);
  const most = Math.max(report.drives[0]?.ratedN ?? 0, report.plannedPullN ?? 0, 5 * HAND_N);
  const [pullN, setPullN] = useState<number>();
  const shown = useAdvantage(subject, realness);
  const pull = pullN ?? report.plannedPullN ?? HAND_N;
  if (!shown) return null;
  return (
    <section aria-label="Honest advantage" className="stitched pb-3">
      <h3 className="font-head text-lg font-semibold">Honest advantage</h3>
      <label className="block text-[15px]">
        Pulleys: {realness === 0 ? 'ideal' : realness === 1 ? 'as they are' : `${Math.round(realness * 100)} % of their friction`}
        <input type="range" min={0} max={1} step={0.05} value={realness} onChange={(event) => setRealness(Number(event.target.value))} />
      </label>
      <label className="block text-[15px]">
        {pull < 2 * HAND_N ? 'In the hand' : 'At the drive'}: {figure(force(pull))}
        <input type="range" min={HAND_N} max={most} step={100} value={pull} onChange={(event) => setPullN(Number(event.target.value))} />
      </label>
      <table className="w-full text-[15px]">
        <tbody>
          <Line words="at the load" share={shown.atLoad} pull={pull} figure={figure} />
          {shown.atAnchors.map(({ id, label, share }) => (
            <Line key={id} words={`at ${label}`} share={share} pull={pull} figure={figure} />
          ))}
        </tbody>
      </table>
      <p className="text-[14px] text-quiet">
        The pulleys multiply what arrives at the load, and load the anchors; the drive’s own rating never changes.
      </p>
    </section>
  );
}

interface LineProps {
  readonly words: string;
  readonly share: number;
  readonly pull: number;
  readonly figure: ReturnType<typeof useFigures>['figure'];
}

function Line({ words, share, pull, figure }: LineProps) {
  return (
    <tr className="border-b border-rule">
      <td className="py-1">{words}</td>
      <td className="py-1 text-right text-quiet">× {share.toFixed(2)}</td>
      <td className="py-1 text-right font-mono">{figure(force(share * pull))}</td>
    </tr>
  );
}
