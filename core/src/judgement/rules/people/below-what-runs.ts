import { rich } from '../../../quantity/format.ts';
import { mayRunUnheld, type Runner, runners, runRoomM, runsByN } from '../../../release/runs-away.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { Body } from '../../../rig/rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, undecided } from '../../ask/speak.ts';

export const belowWhatRuns = momentRule({
  code: 'below-what-runs',
  severity: 'stop',
  softenable: false,
  why: 'What the line holds on a slope runs straight down when it parts; a cab or a tree is no protection from it.',
  needs: ['ground.slope', 'body.stands', 'body.size', 'body.heading', 'vehicle.stance', 'situation', 'load.travel', 'person.shelter'],
  asks: 'What holds the vehicle above them?',
  subjects: belowAndAbove,
  about: ({ below, runner }) => ({ ...aboutBody(below), place: runner.body.id }),
  margin: (moment, { below, runner }) => {
    const unheld = mayRunUnheld(moment, runner);
    if (!unheld && !(runsByN(moment, runner) > 0)) return Number.POSITIVE_INFINITY;
    const roomM = runRoomM(moment, runner, placeOf(moment.rig, below));
    return unheld && roomM < 0 ? undefined : roomM;
  },
  answer: (moment, { below, runner }) => {
    const data = { label: below.label, runs: runner.body.label };
    return mayRunUnheld(moment, runner) ? undecided(data) : found(data);
  },
  question: ({ label, runs }) => rich`What holds ${runs}? ${label} is straight below it.`,
  title: ({ label, runs }) => rich`${label} is below ${runs}, which can run`,
  detail: ({ runs }) => rich`If its line parts, ${runs} runs straight down there. Stand uphill of it, or well to one side.`,
});

interface Below {
  readonly below: Body;
  readonly runner: Runner;
}

/** People and animals, and what might come down on them; who sits in it goes along with it. */
function belowAndAbove(rig: ResolvedRig): readonly Below[] {
  const who = rig.bodies.flatMap(({ body }) => (body.kind === 'person' || body.kind === 'animal' || body.kind === 'crew' ? [body] : []));
  if (who.length === 0) return [];
  return runners(rig).flatMap((runner) =>
    who.filter((body) => !(body.kind === 'person' && body.inVehicleId === runner.body.id)).map((below) => ({ below, runner })),
  );
}

/** Where somebody is: in the vehicle they sit in, else where they stand. */
function placeOf({ bodies }: ResolvedRig, body: Body): { readonly xM: number; readonly yM: number } {
  const seat = body.kind === 'person' ? body.inVehicleId : undefined;
  return bodies.find((on) => seat !== undefined && on.body.id === seat)?.body ?? body;
}
