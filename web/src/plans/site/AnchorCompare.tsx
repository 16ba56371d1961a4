import { type AnchorWay, type Case, type Edit, force, length, type Rig, routeEdits, withPieces } from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { VerdictShape, verdictWords } from '../../shell/VerdictMark.tsx';
import { useAnchorOptions } from '../solver/questions.ts';
import type { ToldAnchor } from '../solver/solver.worker.ts';

interface AnchorCompareProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  readonly apply: (edits: readonly Edit[]) => void;
}

const ways: { readonly [W in AnchorWay]: string } = { single: 'single', double: 'double', redirect: 'redirect' };

/** Each anchor on the site and each way of using it, best first, with what speaks against it. */
export function AnchorCompare({ rig, subject, pieces, today, apply }: AnchorCompareProps) {
  const line = rig.lines.find(({ drive }) => drive.kind === 'winch');
  const options = useAnchorOptions(subject, line?.id);
  if (!line || !options || options.length === 0) return null;
  const use = ({ route }: ToldAnchor) => apply(withPieces(rig, routeEdits(rig, route), { pieces, today }));
  return (
    <section aria-label="Anchors compared" className="stitched pb-3">
      <h2 className="font-head text-lg font-semibold">Anchors compared</h2>
      <ul>
        {options.map((option) => (
          <Option key={`${option.bodyId}-${option.way}`} option={option} use={() => use(option)} />
        ))}
      </ul>
    </section>
  );
}

function Option({ option, use }: { readonly option: ToldAnchor; readonly use: () => void }) {
  const { figure, text } = useFigures();
  const { label, way, verdict, isNow, lineOutM, lineLeftM, layer, pullAtLoadN, neededN, anchorWorkingN, anchorPlannedN, against } = option;
  const [worst, ...more] = against;
  return (
    <li className="border-b border-rule py-1.5" data-anchor-option={`${option.bodyId} ${way}`}>
      <p className="flex flex-wrap items-center gap-2">
        <VerdictShape verdict={verdict} />
        <strong>
          {label}, {ways[way]}
        </strong>
        <span className="text-quiet">{verdictWords[verdict]}</span>
        {isNow ? (
          <span className="ml-auto text-quiet">as it is now</span>
        ) : (
          <button type="button" className="action ml-auto" onClick={use}>
            Use it
          </button>
        )}
      </p>
      <p className="text-[15px]">
        {lineOutM !== undefined && <>line out {figure(length(lineOutM))}</>}
        {lineLeftM !== undefined && <>, {lineLeftM >= 0 ? `${figure(length(lineLeftM))} left` : `${figure(length(-lineLeftM))} short`}</>}
        {layer !== undefined && <>, layer {layer}</>}
        {pullAtLoadN !== undefined && neededN !== undefined && (
          <>
            , {figure(force(pullAtLoadN))} at the load of {figure(force(neededN))} needed
          </>
        )}
        {anchorPlannedN !== undefined && anchorWorkingN !== undefined && (
          <>
            , anchor {figure(force(anchorPlannedN))} of {figure(force(anchorWorkingN))}
          </>
        )}
      </p>
      {worst && (
        <p className="text-[15px] text-rust">
          {text(worst.title)}
          {more.length > 0 && <span className="text-quiet"> and {more.length} more</span>}
        </p>
      )}
    </li>
  );
}
