import {
  type Case,
  type Edit,
  energy,
  force,
  type InTheWay,
  isLanyard,
  type Leaving,
  type LetGo,
  length,
  mass,
  momentum,
  type Rig,
  speed,
  type ToldReport,
} from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { OneOfKeys } from '../../fields/OneOfKeys.tsx';
import { useRegister } from '../../register/use-register.ts';
import { Loading } from '../../shell/Loading.tsx';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { useAddress } from '../../shell/use-address.ts';
import { useFigures } from '../../shell/use-figures.ts';
import type { Leg } from '../findings/finding-groups.ts';
import { useStands } from '../solver/questions.ts';
import { useLetGoHolder } from './LetGoHolder.tsx';
import { type Milder, milderActs, onFootInTheWay, standActs } from './milder.ts';

interface BreakPanelProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly choosePiece: (useId: string) => void;
  readonly hangDampers: (legs: readonly Leg[]) => void;
  readonly locked: boolean;
  readonly select: (placeId: string) => void;
}

const CHECKS = [
  ['planned', 'as planned'],
  ['greatest', 'at the greatest pull'],
] as const;

/** What happens if one piece, a brake or the hands on a rope let go: now, or at the moment that is played. */
export function BreakPanel(props: BreakPanelProps) {
  const { report, select } = props;
  const { put } = useAddress();
  const { figure } = useFigures();
  const { asked } = useLetGoHolder();
  const choose = (wanted: string) => {
    const other = report.places.find(({ subject: owner, kind }) => owner.id === wanted && kind !== 'drum');
    // A piece is looked at as it is chosen; of a brake or of hands nothing is.
    if (other) select(other.id);
    else put('breaks', wanted);
  };
  if (!asked) return <Loading what="what happens then" className="py-3" />;
  const { all, subjectId, check, letGo, isAnswered } = asked;
  return (
    <section aria-label="If it lets go" className="space-y-2 py-3" data-let-go={letGo?.subjectId} data-let-go-at={letGo?.atM.toFixed(2)}>
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="font-head text-[21px] font-semibold">If it lets go</h2>
        <button type="button" className="underline" onClick={() => put('breaks', undefined)}>
          Back to the findings
        </button>
      </div>
      <Choice
        label="What lets go"
        value={subjectId ?? ''}
        options={all.map((entry) => entry.subjectId)}
        words={(id) => all.find((entry) => entry.subjectId === id)?.words ?? ''}
        onChange={choose}
      />
      <OneOfKeys
        label="At which pull"
        value={check}
        options={CHECKS}
        choose={(wanted) => put('check', wanted === 'planned' ? wanted : undefined)}
        className="gap-4 text-[15px]"
      />
      {all.length === 0 && <p>Nothing is rigged yet.</p>}
      {subjectId !== undefined && letGo === undefined && !isAnswered && <Loading what="what happens then" className="py-2" />}
      {subjectId !== undefined && letGo === undefined && isAnswered && (
        <p className="font-semibold" data-not-known>
          {check === 'greatest'
            ? 'How hard it could be pulled at most is not known, so nothing can be said of it. That does not make it safe.'
            : 'What is planned there is not known, so nothing can be said of it. That does not make it safe.'}
        </p>
      )}
      {letGo && <Told {...props} letGo={letGo} at={figure(length(letGo.atM))} />}
    </section>
  );
}

interface ToldProps extends BreakPanelProps {
  readonly letGo: LetGo;
  readonly at: string;
}

function Told({ rig, subject, letGo, at, apply, choosePiece, hangDampers, locked }: ToldProps) {
  const { figure } = useFigures();
  const { tensionN, energyJ, leaves, manner, inTheWay, heldBy, undamped } = letGo;
  const { pieces } = useRegister();
  const lanyards = (pieces ?? []).filter(({ facts }) => isLanyard(facts) && facts.state === 'in-use').map(({ facts }) => facts.id);
  const { moves, placeless } = useSafePlaces(rig, subject, inTheWay, locked);
  const acts = [...moves, ...milderActs(rig, letGo, lanyards)];
  const act = (milder: Milder) => {
    if (milder.kind === 'damper') hangDampers(milder.legs);
    else if (milder.kind === 'soft') choosePiece(milder.useId);
    else apply(milder.edits);
  };
  return (
    <div className="space-y-3 text-[15px]">
      <p data-let-go-sum>
        {letGo.atM === 0 ? 'At the start' : `At ${at} of the pull`}
        {tensionN !== undefined && <> under {figure(force(tensionN))}</>}
        {energyJ !== undefined && (
          <>
            , with <strong>{figure(energy(energyJ))}</strong> in the rope
          </>
        )}
        .
        {energyJ === undefined &&
          manner !== 'back-anchor' &&
          ' How much the rope stores is not known: its kind or strength is not on record.'}
      </p>
      <Ways inTheWay={inTheWay} none={manner !== 'brake' && manner !== 'hands'} />
      {placeless.length > 0 && (
        <p className="font-semibold text-rust">
          Nowhere round this rig is safe for {placeless.map(({ label }) => label).join(', ')}: lay it another way, or send them off the
          site.
        </p>
      )}
      <div>
        <h3 className="font-semibold">What leaves</h3>
        {manner === 'brake' && <p>Nothing flies. The drum runs and the line goes out: nobody reaches for it.</p>}
        {manner === 'hands' && (
          <p>Nothing flies. The rope runs through the hands: let it go, gloves on, no turn round a hand or a wrist.</p>
        )}
        {leaves.map((part, index) => (
          <Part
            key={part.chainId}
            part={part}
            which={manner === 'rope' ? (index === 0 ? 'The half at the end of the line' : 'The half at the drive') : undefined}
          />
        ))}
        {undamped.length > 0 && (
          <p className="text-rust">No damper drags {undamped.length === 1 ? 'one leg' : `${undamped.length} legs`} to the ground.</p>
        )}
        {leaves.length > 0 && undamped.length === 0 && manner !== 'back-anchor' && (
          <p>Every leg of {figure(length(letGo.exemptM))} or more has its damper.</p>
        )}
      </div>
      <ThenLoaded letGo={letGo} heldBy={heldBy} />
      {acts.length > 0 && !locked && (
        <div>
          <h3 className="pb-1 font-semibold">Milder</h3>
          <div className="flex flex-wrap gap-2">
            {acts.map((milder) => (
              <button key={milder.words} type="button" className="action" onClick={() => act(milder)}>
                {milder.words}
              </button>
            ))}
          </div>
        </div>
      )}
      <p className="text-[14px] text-quiet">
        Momentum and speed are upper bounds: all the energy in this part alone. Parts have been found further off than any zone; nobody
        stands where they need not.
      </p>
    </div>
  );
}

/** Where those on foot who stand in the way would be safe, and who would be nowhere. */
function useSafePlaces(rig: Rig, subject: Case, inTheWay: readonly InTheWay[], locked: boolean) {
  const onFoot = onFootInTheWay(inTheWay);
  const { value: stands } = useStands(onFoot.length > 0 && !locked ? subject : undefined);
  if (!stands) return { moves: [], placeless: [] };
  const placeless = onFoot.filter(({ bodyId }) => stands.some(({ id, xM }) => id === bodyId && xM === undefined));
  return { moves: standActs(rig, inTheWay, stands), placeless };
}

/** Who and what is hit, or might be. */
function Ways({ inTheWay, none }: { readonly inTheWay: readonly InTheWay[]; readonly none: boolean }) {
  return (
    <div>
      <h3 className="font-semibold">In the way</h3>
      {inTheWay.length === 0 && (
        <p>
          {none
            ? 'Nobody and nothing on the plan. Anybody who walks up later is not on it.'
            : 'Nobody on the plan stands where something would roll.'}
        </p>
      )}
      <ul data-in-the-way>
        {inTheWay.map((entry) => (
          <li key={entry.bodyId} className="flex gap-2 py-0.5">
            <SeverityShape severity={entry.sheltered ? 'note' : 'stop'} undecided={false} size={17} className="mt-0.5 shrink-0" />
            <WayOf {...entry} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function WayOf({ label, sheltered, why, farM }: InTheWay) {
  const { figure } = useFigures();
  const far = figure(length(farM));
  return (
    <span>
      <strong>{label}</strong>
      {why === 'flies' && `, ${far} off, where it flies`}
      {why === 'zone' && `, ${far} off, where the line may whip`}
      {why === 'runs' && `, ${far} off, where it rolls: no cab and no tree is a shelter`}
      {sheltered && ' (in a cab or behind a shelter)'}
    </span>
  );
}

function Part({ part, which }: { readonly part: Leaving; readonly which: string | undefined }) {
  const { figure } = useFigures();
  const { pieces, massKg, momentumNs, speedMPerS, massUnknownOf, caughtBy } = part;
  return (
    <div className="py-1" data-leaves>
      <p>
        <strong>{which ?? pieces.map(({ tag }) => tag).join(' + ')}</strong>
        {massKg !== undefined && `, ${figure(mass(massKg))} with a third of the rope`}
        {momentumNs !== undefined && speedMPerS !== undefined && `: up to ${figure(momentum(momentumNs))}, ${figure(speed(speedMPerS))}`}
        {massKg === undefined && `: the mass of ${massUnknownOf.join(', ')} is not on record, so how hard it hits is not known`}
      </p>
      {caughtBy.map(({ tag, arrestN, breaksN, holds }) => (
        <p key={tag} className={holds === true ? '' : 'text-rust'}>
          Lanyard {tag}{' '}
          {holds === undefined
            ? 'hangs on it; whether it holds is not known'
            : `${holds ? 'catches it' : 'breaks'}: ${figure(force(arrestN ?? 0))} to take up, ${figure(force(breaksN ?? 0))} at most`}
        </p>
      ))}
    </div>
  );
}

/** What else is loaded then. */
function ThenLoaded({ letGo, heldBy }: { readonly letGo: LetGo; readonly heldBy: readonly string[] }) {
  const { figure } = useFigures();
  const { left, runs, manner, lines, fallsBack, stillPulling } = letGo;
  const isLeg = manner === 'piece' && lines.length === 0;
  return (
    <div data-then-loaded>
      <h3 className="font-semibold">What is loaded then</h3>
      {heldBy.length > 0 && <p>{heldBy.join(', ')} holds the line all the same.</p>}
      {fallsBack && (
        <p className="font-semibold text-rust">
          The load falls or rolls back by its own weight. How hard is not worked out: nobody is near it.
        </p>
      )}
      {runs.map(({ bodyId, label, byN }) => (
        <p key={bodyId} className={left?.held ? '' : 'font-semibold text-rust'}>
          {label} {left?.held ? 'would run' : 'runs'} downhill with {figure(force(byN))}
          {left?.held ? ', and hangs on what is left.' : ': nothing else holds it.'}
        </p>
      ))}
      {left?.strained.map(({ placeId, name, loadN, mbsN }) => (
        <p key={placeId} className="text-rust">
          {name}: {figure(force(loadN))} at rest, up to twice that at the first moment, and it breaks at {figure(force(mbsN))}.
        </p>
      ))}
      {manner === 'back-anchor' && <p>The vehicle that was tied back stands on its brakes alone, with the line still pulling.</p>}
      {isLeg && left?.held === false && <p className="font-semibold text-rust">Without it what is left finds no balance: it gives way.</p>}
      {isLeg && left?.held && (
        <p>
          The other leg takes all of it.
          {left.strained.length === 0 && ' No piece whose strength is on record carries more than half of that at rest.'}
        </p>
      )}
      {stillPulling > 0 && lines.length > 0 && <p>{stillPulling === 1 ? 'The other line goes' : 'The other lines go'} on pulling.</p>}
      {runs.length === 0 && heldBy.length === 0 && !fallsBack && lines.length > 0 && (
        <p>Nothing rolls: the slope alone does not move it.</p>
      )}
    </div>
  );
}
