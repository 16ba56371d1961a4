import type { EffortTerm, MethodEstimate } from '../../effort/estimate-pull.ts';
import { methodWords } from '../../effort/estimate-pull.ts';
import type { Term } from '../../explanation/term.ts';
import type { DriveState, LoadState, Moment } from '../../moment/moment.ts';
import { force, ratio } from '../../quantity/format.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import { layerDiameterM } from '../../winch/drum-layers.ts';
import { advantageTerm } from './advantage-term.ts';

export function effortTermOf({ label, pullN, source, factors }: EffortTerm): Term {
  const of = factors.map(({ label: name, value, unit }): Term => ({ label: name, figure: unit === 'N' ? force(value) : ratio(value) }));
  return { label, figure: force(pullN), ...(source !== undefined && { source }), how: { operation: 'product', of } };
}

export function methodTerm({ id, pullN, terms }: MethodEstimate): Term {
  return { label: methodWords[id], figure: force(pullN), how: { operation: 'sum', of: terms.map(effortTermOf) } };
}

/** The pull needed: a person's figure, or what the estimate plans on. */
export function pullTerm(rig: ResolvedRig): Term {
  const { chosenPull } = rig.rig;
  if (chosenPull)
    return { label: 'Pull needed', figure: force(rig.pullN ?? 0), reason: `chosen by ${chosenPull.person}: ${chosenPull.reason}` };
  return plannedEffortTerm(rig);
}

/** What the estimate plans on, whatever a person chose. */
export function plannedEffortTerm({ effort, policy, rig }: ResolvedRig): Term {
  if (effort.kind !== 'estimated') return { label: 'Pull needed', figure: force(0) };
  const figure = force(effort.plannedN);
  const { planningMargin } = policy.effort;
  const margin: Term = { label: '× margin', figure: ratio(planningMargin.value), source: planningMargin.source };
  if (effort.plannedBy === 'own-figure') {
    const own = effort.methods.filter(({ id }) => id === 'own-figure').map(methodTerm);
    const how: Term['how'] =
      rig.situation.depth === 'none' ? { operation: 'product', of: [...own, margin] } : { operation: 'same', of: own };
    return { label: 'Pull needed', figure, how };
  }
  if (effort.plannedBy === 'mire' || effort.plannedBy === 'spooling') {
    const method = effort.methods.find(({ id }) => id === effort.plannedBy || id === 'mire') ?? effort.methods[0];
    return { label: 'Pull needed', figure, how: { operation: 'same', of: method ? [methodTerm(method)] : [] } };
  }
  if (effort.plannedBy === 'holds-back') {
    const running = effort.methods.filter(({ pullN }) => pullN < 0);
    const of = running.map(
      (method): Term => ({
        label: `${methodWords[method.id]}, its size`,
        figure: force(-method.pullN),
        how: { operation: 'size', of: [methodTerm(method)] },
      }),
    );
    if (of.length === 0) return { label: 'Pull to hold it back', figure, reason: 'by no method does it run by itself' };
    const most: Term = {
      label: 'The most by which it runs',
      figure: force(effort.plannedN / planningMargin.value),
      how: { operation: 'greatest', of },
    };
    return { label: 'Pull to hold it back', figure, how: { operation: 'product', of: [most, margin] } };
  }
  const sizes = effort.methods.map(
    (method): Term =>
      effort.plannedBy === 'runs-by-itself'
        ? {
            label: `${methodWords[method.id]}, its size`,
            figure: force(Math.abs(method.pullN)),
            how: { operation: 'size', of: [methodTerm(method)] },
          }
        : methodTerm(method),
  );
  const greatest: Term = {
    label: 'Greatest of the methods',
    figure: force(effort.plannedN / planningMargin.value),
    how: { operation: 'greatest', of: sizes },
  };
  return { label: 'Pull needed', figure, how: { operation: 'product', of: [greatest, margin] } };
}

/** The planned pull of the first drive in one planned state: pull needed ÷ what a newton gives at the load. */
export function plannedLinePull(moment: Moment, { balance: { motion }, scale }: LoadState): Term {
  if (moment.runUp)
    return { label: 'Peak of the run-up', figure: force(scale), reason: 'the larger of the run as planned and the closed form' };
  return {
    label: moment.rig.drives[0]?.kind === 'winch' ? 'Line pull at the drum' : 'Line pull',
    figure: force(scale),
    how: { operation: 'quotient', of: [pullHereTerm(moment), advantageTerm(moment, motion)] },
  };
}

/** What is to be given where the load is: as it breaks away it falls, over some way, to what it asks for rolling. */
function pullHereTerm(moment: Moment): Term {
  const { rig, pullN = 0, travelM, pose } = moment;
  const pull = rig.legs[pose.leg]?.pull;
  if (pull === undefined || pullN === rig.pullN) return pullTerm(rig);
  if (rig.way.edgeHeightM !== undefined) {
    const turned: Term = {
      label: '× cosine of how far it has turned',
      figure: ratio(pullN / (rig.pullN ?? Number.NaN)),
      reason: 'arc ÷ height of the line',
    };
    return { label: 'Pull needed here', figure: force(pullN), how: { operation: 'product', of: [pullTerm(rig), turned] } };
  }
  const left = pullN === pull.rollsN ? 0 : (pullN - pull.rollsN) / (pull.breaksAwayN - pull.rollsN);
  const away: Term = {
    label: 'What is left of breaking away',
    figure: force(pullN - pull.rollsN),
    how: {
      operation: 'product',
      of: [
        { label: 'Breaking away, less rolling', figure: force(pull.breaksAwayN - pull.rollsN) },
        { label: `× what is left after ${travelM.toFixed(2)} m`, figure: ratio(left), source: rig.policy.pull.breakawayM.source },
      ],
    },
  };
  const rolls: Term = { label: 'Rolling on this surface', figure: force(pull.rollsN), reason: 'planned without a depth' };
  return { label: 'Pull needed here', figure: force(pullN), how: { operation: 'sum', of: left > 0 ? [rolls, away] : [rolls] } };
}

/** What a drive can do in order. */
export function ratedTerm({ drive: { kind }, drum, ratedN }: DriveState): Term {
  const figure = force(ratedN ?? 0);
  if (kind === 'hand') return { label: 'People × what one pulls', figure };
  if (kind === 'tow') return { label: 'Grip of the towing vehicle', figure };
  if (drum.kind !== 'known') return { label: 'Rated pull, first layer', figure, reason: 'layer not known' };
  const row = drum.byRow;
  const [from, here] = [layerDiameterM(drum.drum, row?.layer ?? 1), layerDiameterM(drum.drum, drum.layer)];
  const shrink = from / here;
  return {
    label: `Rated pull on layer ${drum.layer}`,
    figure,
    how: {
      operation: 'product',
      of: [
        { label: row ? `Maker’s pull on layer ${row.layer}` : 'Marked pull, first layer', figure: force(drum.ratedN / shrink) },
        {
          label: row ? '× that layer’s diameter ÷ this one’s' : '× first layer’s diameter ÷ this layer’s',
          figure: ratio(shrink),
          reason: `${from.toFixed(3)} m ÷ ${here.toFixed(3)} m`,
        },
      ],
    },
  };
}

/** The first drive's pull in the greatest check: what it can get to, or the peak of a run-up's. */
export function greatestPullTerm({ runUp }: Moment, drive: DriveState): Term {
  if (runUp === undefined) return greatestTerm(drive);
  return { label: 'Peak of the greatest check', figure: force(runUp.greatestN), reason: 'a quarter faster, with all the grip there is' };
}

/** The greatest pull a drive can get to. */
export function greatestTerm({ drive: { kind }, drum, greatestN }: DriveState): Term {
  const figure = force(greatestN ?? 0);
  if (kind !== 'winch' || drum.kind === 'no-winch') return { label: 'Greatest line pull', figure };
  if (drum.limitedBy) return { label: 'Greatest line pull', figure, reason: `limited, stated by ${drum.limitedBy}` };
  const layer = drum.kind === 'known' ? `layer ${drum.layer}` : 'first layer';
  const of: Term[] = [
    { label: `Rated pull, ${layer}`, figure: force(drum.greatestN / drum.stallFactor), reason: 'the largest reading of its mark' },
    { label: '× stall factor', figure: ratio(drum.stallFactor) },
  ];
  return { label: 'Greatest line pull', figure, how: { operation: 'product', of } };
}
