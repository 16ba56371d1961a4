import type { Term } from '../../explanation/term.ts';
import { frictionUnder } from '../../hold/footing.ts';
import type { HoldFigures } from '../../hold/vehicle-hold.ts';
import type { HoldState, Moment } from '../../moment/moment.ts';
import { force, length, ratio } from '../../quantity/format.ts';
import { STANDARD_GRAVITY } from '../../quantity/units.ts';
import { explained, measured, type ReportFigure } from './report-figure.ts';

/** How every pulled vehicle stands, figure by figure. */
export function holdFigures(moment: Moment): readonly ReportFigure[] {
  return moment.holds.flatMap((hold) => [
    ...standing(moment, hold),
    ...tipping(hold, 'planned'),
    ...tipping(hold, 'greatest'),
    ...begins(moment, hold),
  ]);
}

function holdTerm(
  {
    rig: {
      policy,
      rig: { situation: site },
    },
  }: Moment,
  { vehicle: { body } }: HoldState,
  { brakedN = 0, holdN = 0 }: HoldFigures,
): Term {
  const row = frictionUnder(body.stance, site, policy);
  return {
    label: 'What holds it',
    figure: force(holdN),
    how: {
      operation: 'sum',
      of: [
        {
          label: 'Brakes on this ground',
          figure: force(row.value * brakedN),
          how: {
            operation: 'product',
            of: [
              { label: 'Load on the braked wheels', figure: force(brakedN), reason: `brakes: ${body.stance?.brakes ?? 'not known'}` },
              { label: '× friction', figure: ratio(row.value), source: row.source },
            ],
          },
        },
        { label: 'Chocks and dug-in wheels, as judged', figure: force(body.stance?.extra?.holdN ?? 0) },
      ],
    },
  };
}

function slideTerm(moment: Moment, hold: HoldState, figures: HoldFigures): Term {
  const demand: Term = { label: 'Ropes and slope together', figure: force(figures.demandN), reason: 'as vectors along the ground' };
  return {
    label: 'Slides by',
    figure: force(figures.slidesByN ?? 0),
    how: { operation: 'difference', of: [demand, holdTerm(moment, hold, figures)] },
  };
}

function standing(moment: Moment, hold: HoldState): readonly ReportFigure[] {
  const { planned, greatest } = hold;
  const { body } = hold.vehicle;
  const at = `holds[${body.id}]`;
  const figures: ReportFigure[] = [];
  if (planned)
    figures.push(
      measured(`${at}.plannedDemandN`, `${body.label}: ropes and slope together`, force(planned.demandN), 'as vectors along the ground'),
    );
  if (planned?.holdN !== undefined)
    figures.push(
      explained(`${at}.plannedHoldN`, `${body.label}: what holds it`, force(planned.holdN), () => holdTerm(moment, hold, planned)),
    );
  if (planned?.slidesByN !== undefined)
    figures.push(
      explained(`${at}.plannedSlidesByN`, `${body.label}: slides by`, force(planned.slidesByN), () => slideTerm(moment, hold, planned)),
    );
  if (greatest?.slidesByN !== undefined)
    figures.push(
      explained(`${at}.greatestSlidesByN`, `${body.label}: slides by, greatest`, force(greatest.slidesByN), () =>
        slideTerm(moment, hold, greatest),
      ),
    );
  return figures;
}

function tipping({ vehicle: { body }, ...hold }: HoldState, check: 'planned' | 'greatest'): readonly ReportFigure[] {
  const figures = hold[check];
  if (figures === undefined) return [];
  const weightN = body.massKg * STANDARD_GRAVITY;
  const restoring = (weightN * figures.trackM) / 2;
  const term: Term = {
    label: 'Side force × height ÷ what resists it',
    figure: ratio(figures.tipping),
    how: {
      operation: 'quotient',
      of: [
        { label: 'Side force × height, N·m', figure: ratio(figures.tipping * restoring) },
        {
          label: '÷ weight × half the track, N·m',
          figure: ratio(restoring),
          how: {
            operation: 'product',
            of: [
              { label: 'weight', figure: force(weightN) },
              { label: '× half the track', figure: length(figures.trackM / 2) },
            ],
          },
        },
      ],
    },
  };
  return [explained(`holds[${body.id}].${check}Tipping`, `${body.label}: tipping, ${check}`, ratio(figures.tipping), () => term)];
}

function begins({ greatestPullN }: Moment, { vehicle: { body }, slidesFrom, tipsFrom }: HoldState): readonly ReportFigure[] {
  const from = (field: string, label: string, share: number | undefined): readonly ReportFigure[] => {
    if (share === undefined || greatestPullN === undefined) return [];
    const figure = force(share * greatestPullN);
    const of: Term[] = [
      { label: 'Greatest line pull', figure: force(greatestPullN) },
      { label: '× share from which it begins', figure: ratio(share) },
    ];
    return [
      explained(`holds[${body.id}].${field}`, `${body.label}: ${label}`, figure, () => ({
        label,
        figure,
        how: { operation: 'product', of },
      })),
    ];
  };
  return [
    ...from('slidesFromN', 'line pull from which it slides', slidesFrom),
    ...from('tipsFromN', 'line pull from which it tips', tipsFrom),
  ];
}
