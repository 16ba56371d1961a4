import {
  bodyOfPoint,
  type Case,
  cheaperActions,
  type Edit,
  type Effort,
  force,
  loadBody,
  methodWords,
  type Policy,
  type Report,
  type Rig,
  type SparedRig,
  slopeAlong,
  travelDirection,
} from '@wainrope/core';
import { useFigures } from '../../shell/use-figures.ts';
import { useSparedRigs } from '../solver/questions.ts';

interface PullBandProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: Report;
  readonly policy: Policy;
  readonly apply: (edits: readonly Edit[]) => void;
}

/** The pull needed by every school as a band, each with its terms, and what would lower it before anything is rigged. */
export function PullBand({ rig, subject, report, policy, apply }: PullBandProps) {
  const { figure } = useFigures();
  const { effort } = report;
  if (!effort) return null;
  const own = effort.methods.find(({ id }) => id === 'own-figure')?.terms[0]?.source;
  const by = {
    'own-figure': `by the team’s own figure: ${own}`,
    mire: 'planned on the depth',
    'one-with-margin': 'by the team’s method, with its margin',
    'greatest-with-margin': `planned on ${policy.effort.planningMargin.value} × the greatest`,
    'runs-by-itself': 'it may run by itself: the largest is held',
    'holds-back': `held for ${policy.effort.planningMargin.value} × the most by which it runs`,
    spooling: 'what a line is spooled under',
  }[effort.plannedBy];
  const plannedN = report.pullN ?? effort.plannedN;
  return (
    <fieldset>
      <legend className="font-head text-lg font-semibold">Pull needed, by school</legend>
      {effort.methods.length > 1 && <Band effort={effort} plannedN={plannedN} />}
      <table className="w-full text-[15px]">
        <tbody>
          {effort.methods.map(({ id, pullN, terms }) => (
            <tr key={id} className="border-b border-rule align-top">
              <td className="py-1">
                {methodWords[id]}
                <span className="block text-quiet">
                  {terms.map((term) => `${term.label.toLowerCase()} ${figure(force(term.pullN))}`).join(', ')}
                </span>
              </td>
              <td className="py-1 text-right font-mono whitespace-nowrap">{figure(force(pullN))}</td>
            </tr>
          ))}
          <tr className="font-semibold">
            <td className="py-1">
              Planned <span className="font-normal text-quiet">{by}</span>
            </td>
            <td className="py-1 text-right font-mono whitespace-nowrap">{figure(force(plannedN))}</td>
          </tr>
        </tbody>
      </table>
      <CheaperFirst rig={rig} subject={subject} policy={policy} apply={apply} />
    </fieldset>
  );
}

/** Width of the band's drawing, its height, and the room that it keeps to both sides. */
const BAND = { width: 380, height: 46, rim: 8 };

/** From the lowest school to the highest, each a stroke, the planned figure as a mark of its own. */
function Band({ effort: { lowN, medianN, highN, methods }, plannedN }: { readonly effort: Effort; readonly plannedN: number }) {
  const { figure } = useFigures();
  const [least, most] = [Math.min(0, lowN), Math.max(highN, plannedN, 1)];
  const x = (pullN: number) => BAND.rim + ((pullN - least) / (most - least)) * (BAND.width - 2 * BAND.rim);
  const words = `low ${figure(force(lowN))}, median ${figure(force(medianN))}, high ${figure(force(highN))}`;
  return (
    <figure data-pull-band>
      <svg
        viewBox={`0 0 ${BAND.width} ${BAND.height}`}
        className="w-full"
        role="img"
        aria-label={`${words}; planned ${figure(force(plannedN))}`}
      >
        <path d={`M${x(least)} 34H${x(most)}`} stroke="var(--rule)" />
        <rect x={x(lowN)} y="24" width={Math.max(2, x(highN) - x(lowN))} height="20" fill="var(--rope)" fillOpacity="0.3" />
        {methods.map(({ id, pullN }) => (
          <path key={id} d={`M${x(pullN)} 24V44`} stroke="var(--ink)" strokeWidth="1.5" />
        ))}
        <path d={`M${x(medianN) - 4} 34L${x(medianN)} 29L${x(medianN) + 4} 34L${x(medianN)} 39Z`} fill="var(--ink)" />
        <path d={`M${x(plannedN)} 23L${x(plannedN) - 6} 13H${x(plannedN) + 6}Z`} fill="var(--slate)" />
        <path d={`M${x(plannedN)} 22V46`} stroke="var(--slate)" strokeWidth="2" />
        <text
          x={Math.min(Math.max(x(plannedN), 60), BAND.width - 60)}
          y="10"
          fontSize="13"
          fontWeight="600"
          textAnchor="middle"
          fill="var(--ink)"
        >
          planned {figure(force(plannedN))}
        </text>
      </svg>
      <figcaption className="text-[15px] text-quiet">{words}</figcaption>
    </figure>
  );
}

/** The ladder of cheaper actions, the greatest saving first: what each takes off, and which rig it makes unnecessary. */
function CheaperFirst({ rig, subject, policy, apply }: Omit<PullBandProps, 'report'>) {
  const { figure } = useFigures();
  const line = rig.lines.find(({ drive }) => drive.kind === 'winch');
  const spared = useSparedRigs(subject, line?.id);
  const body = loadBody(rig);
  const own = line?.drive.kind === 'winch' && bodyOfPoint(rig, line.drive.pointId)?.id === body.id;
  if (body.kind !== 'vehicle' || rig.load.task) return null;
  const slopeRad = slopeAlong(rig.ground, travelDirection(rig));
  const actions = cheaperActions({ ...body, slopeRad, situation: rig.situation }, policy);
  if (actions.length === 0) return null;
  return (
    <>
      <h3 className="pt-3 font-head text-lg font-semibold">Cheaper first</h3>
      <ol className="text-[15px]">
        {actions.map(({ id, label, savesN, after }) => {
          const saved = spared?.find(({ actionId }) => actionId === id);
          return (
            <li key={id} className="flex items-center gap-2 border-b border-rule py-1" data-action={id}>
              <span>
                {label}
                {saved && <span className="block font-semibold text-moss">{sparedWords(saved, own)}</span>}
              </span>
              <span className="ml-auto shrink-0 font-mono">{savesN > 0 ? `−${figure(force(savesN))}` : 'saves nothing'}</span>
              {after !== rig.situation && (
                <button type="button" className="action" onClick={() => apply([{ kind: 'change-situation', situation: after }])}>
                  Done
                </button>
              )}
            </li>
          );
        })}
      </ol>
    </>
  );
}

const WAYS: { readonly [W in NonNullable<SparedRig['instead']>]: string } = {
  single: 'single line',
  redirect: 'redirected line',
  double: 'doubled line',
  more: 'rig of three parts or more',
};

function sparedWords({ way, label, instead }: SparedRig, own: boolean): string {
  const place = { single: own ? 'to' : 'from', redirect: 'over', double: own ? 'round' : 'tied off at' }[way];
  const enough = `Then a ${WAYS[way]} ${place} ${label} is enough`;
  return instead ? `${enough}: no ${WAYS[instead]} needed.` : `${enough}; as it stands, no rig here is.`;
}
