import { drivingSpeed, type Figure, length, type Report, type Rig, type Schools } from '@wainrope/core';

interface StepsInput {
  readonly rig: Rig;
  readonly report: Pick<Report, 'drives' | 'runUp'>;
  /** What the team holds with where practitioners disagree. */
  readonly schools: Schools;
  readonly figure: (figure: Figure) => string;
}

/** The vehicles whose winches pull, and whether the one that is to move is among them. */
function winching(rig: Rig): { readonly own: boolean; readonly others: boolean } {
  const bodies = rig.lines.flatMap(({ drive }) =>
    drive.kind === 'winch' ? [rig.points.find(({ id }) => id === drive.pointId)?.bodyId] : [],
  );
  return { own: bodies.includes(rig.load.bodyId), others: bodies.some((id) => id !== rig.load.bodyId) };
}

/**
 * What is done, in order. A vehicle that pulls itself must be free to roll while one that pulls another is held by all it has:
 * the steps never say of the one what holds for the other.
 */
export function cardSteps(input: StepsInput): readonly string[] {
  const { rig, schools } = input;
  const tow = rig.lines.find(({ drive }) => drive.kind === 'tow')?.drive;
  const tied = (rig.backAnchors ?? []).length > 0;
  return [
    'Clear the zone; warn road or track both ways; one signaller; settle the signals. Gloves and eye protection on.',
    ...(tied ? ['Tie the winching vehicle back first and take up the slack.'] : []),
    ...vehicleSteps(input),
    `Build from the anchors outward in the order above; hook openings up; pins by hand, fully seated${PIN_BACK[schools.pinBackOff]}.`,
    tow
      ? 'Nobody on foot inside the zone. Look at every connection.'
      : `Take up slack. Stop. Hang a damper on ${schools.dampers === 'each-leg' ? 'every tensioned leg' : 'every line'}, ${schools.damperPlace === 'mid-leg' ? 'half-way along it' : 'at its heaviest hardware'}. Look at every connection.`,
    tow?.kind === 'tow' ? towStep(input, tow.manner) : pullStep(input),
    ...lastMetre(input),
    ...endSteps(input),
  ];
}

const PIN_BACK: { readonly [B in Schools['pinBackOff']]: string } = {
  none: '',
  'eighth-turn': ', then back an eighth of a turn unless the maker says otherwise',
  'quarter-turn': ', then back a quarter of a turn unless the maker says otherwise',
  'half-turn': ', then back half a turn unless the maker says otherwise',
};
const HELD_BY: { readonly [H in Schools['winchHeldBy']]: string } = {
  'brakes-and-chocks': 'out of gear, all brakes on, wheels chocked',
  'park-and-brakes': 'selector in park and all brakes on, never park alone, wheels chocked',
};
const DRIVER: { readonly [D in Schools['stuckDriver']]: string } = {
  rolls: 'its driver ready to brake',
  'drives-once-risen': 'its driver ready to brake, driving gently once it has risen out of its hole',
  'drives-at-once': 'its driver driving gently from first tension, never faster than the line',
};

function vehicleSteps({ rig, schools }: StepsInput): readonly string[] {
  const { own, others } = winching(rig);
  const label = labelOf(rig);
  const winch = 'Free-spool out, lock, seat the clutch with a short pulse, plug the lead in last and keep it clear of the line.';
  const steps: string[] = [];
  if (others) steps.push(`Every vehicle that winches: ${HELD_BY[schools.winchHeldBy]}. ${winch}`);
  if (own) steps.push(winch);
  if (rig.purpose === undefined || rig.purpose === 'recover') {
    if (rig.bodies.find(({ id }) => id === rig.load.bodyId)?.kind === 'vehicle' && !rig.load.task)
      steps.push(
        `${label}: chocked and braked while the rig is built. For the pull out of gear, brakes released, front wheels along the pull; ${DRIVER[schools.stuckDriver]}.`,
      );
  } else steps.push(`${label}: braked and chocked until the line holds it; its driver ready to brake.`);
  if (rig.lines.some(({ drive }) => drive.kind === 'hand'))
    steps.push('Those who haul stand clear of every bend; nobody wraps a rope round a hand.');
  return steps;
}

function towStep({ report, figure }: StepsInput, manner: 'steady' | 'run-up'): string {
  if (manner === 'steady') return 'Draw off slowly until the rope is taut, then pull steadily: no run-up.';
  const { runUp } = report;
  const last = runUp?.attempts.at(-1);
  if (!runUp || !last) return 'No run-up before it is known what it comes to.';
  const [attempts, most] = [runUp.attempts.length, `${figure(drivingSpeed(last.speedMPerS))} with ${figure(length(last.slackM))} of slack`];
  return `Lay the slack back on itself. ${attempts === 1 ? 'One attempt' : `${attempts} rising attempts`}, never faster than ${most}; ${runUp.restMin} minutes of rest between them. Look at every piece each time. Stop if nothing moves.`;
}

function pullStep({ rig, report }: StepsInput): string {
  if (rig.purpose === 'hold') return 'Keep the line taut as a safety; nobody below.';
  if (rig.purpose === 'lower') return 'Pay out slowly under power; never in free spool; nobody below.';
  if (rig.purpose === 'respool')
    return 'Spool slowly, even layers side to side, under steady tension; hands off the line near the fairlead.';
  const work = report.drives.find((drive) => drive.work?.bursts !== undefined)?.work;
  if (work?.bursts === undefined) return 'Pull slowly and steadily; watch every strand.';
  const first = work.firstBurstS === undefined ? '' : `, the first of ${Math.round(work.firstBurstS)} s`;
  return `Pull in ${work.bursts} ${work.bursts === 1 ? 'burst' : 'bursts'}${first}, with rests; engine running; watch drum and line.`;
}

/** Where a winch takes the line in to its end. */
function lastMetre({ rig }: StepsInput): readonly string[] {
  const spools = rig.lines.some(({ drive }) => drive.kind === 'winch') && rig.purpose !== 'lower' && rig.purpose !== 'hold';
  return spools
    ? [
        'The last metre onto the drum in short pulses, never hard home; hold the end by its tab, no finger in it, hands off the line near the fairlead.',
      ]
    : [];
}

function endSteps({ rig, figure }: StepsInput): readonly string[] {
  const stop = 'To move anything: stop, ease the tension, then approach.';
  const { travelM = 0 } = rig.load;
  const far = travelM > 0 ? `Until ${labelOf(rig)} has moved ${figure(length(travelM))}. ` : '';
  const winched = rig.lines.some(({ drive }) => drive.kind === 'winch');
  return [
    `${far}${stop}`,
    `Hold ${labelOf(rig)} by brakes and chocks before the line is taken off.${winched ? ' Then the lead out, and the winch isolated.' : ''}`,
    'Put back: gear, brakes and drive as they were, straps off the trees, holes filled, the way open again. Count every piece back.',
  ];
}

function labelOf(rig: Rig): string {
  return rig.bodies.find(({ id }) => id === rig.load.bodyId)?.label ?? 'the load';
}
