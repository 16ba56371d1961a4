import type { Term } from '../../explanation/term.ts';
import { ropeLawOf } from '../../gear/traits.ts';
import { elongationAt } from '../../hazards/rope-energy.ts';
import type { Policy } from '../../policy/policy.ts';
import { energy, force, length, mass, momentum, ratio, speed } from '../../quantity/format.ts';
import { breakState, type Flight, nominalStrengthN, type Stretched, stretchesOf, tieStretches } from '../../release/what-leaves.ts';
import { chainWords } from '../../rig/line-words.ts';
import type { Judged } from '../ask/judged.ts';
import { explained, measured, type ReportFigure } from './report-figure.ts';

/** Energy, stretch and flights of every line. */
export function breakFigures(judged: Judged): readonly ReportFigure[] {
  const { rig, release } = judged;
  const { policy } = rig;
  return release.breaks.flatMap(({ lineId, energyJ, stretchM, flights, atM }) => {
    const parts = partsOf(judged, lineId);
    const at = `breaks[${lineId}]`;
    const figures: ReportFigure[] = [];
    if (energyJ !== undefined)
      figures.push(
        explained(`${at}.energyJ`, 'Energy in the line', energy(energyJ), () => ({
          label: 'Energy in the line',
          figure: energy(energyJ),
          how: { operation: 'sum', of: parts.map((part) => energyTerm(policy, part)) },
        })),
      );
    if (stretchM !== undefined)
      figures.push(
        explained(`${at}.stretchM`, 'Stretch of the line', length(stretchM), () => ({
          label: 'Stretch of the line',
          figure: length(stretchM),
          how: { operation: 'sum', of: parts.map((part) => stretchTerm(policy, part)) },
        })),
      );
    figures.push(measured(`${at}.atM`, 'Where on the way it stores most', length(atM), 'the moment with the greatest energy'));
    return [
      ...figures,
      ...flights.flatMap((flight) =>
        flightFigures(flight, { at: `${at}.flights[${flight.chainId}]`, place: chainWords(rig.subject.rig, flight.chainId) }, energyJ),
      ),
    ];
  });
}

/** What is stretched in a line or a back-anchor where it stores most. */
function partsOf(judged: Judged, lineId: string): readonly Stretched[] {
  const { rig, start, energies } = judged;
  const tie = rig.ties.find(({ id }) => id === lineId);
  if (tie !== undefined) return tieStretches(judged, tie) ?? [];
  const line = rig.lines.find((entry) => entry.line.id === lineId);
  const state = line && breakState(energies[line.index]?.moment ?? start, line);
  return line && state ? (stretchesOf(line, state) ?? []) : [];
}

function lawOf(policy: Policy, { piece, tensionN }: Stretched) {
  const kind = ropeLawOf(piece) ?? 'hmpe';
  const law = policy.stretch.laws[kind];
  const mbsN = nominalStrengthN(piece) ?? Number.NaN;
  return { law, mbsN, share: elongationAt(law, mbsN, tensionN) / law.elongation };
}

/** E = MBS·L·ε_b/(p + 1)·(ε/ε_b)^(p + 1), with ε/ε_b = (F/MBS)^(1/p). */
function energyTerm(policy: Policy, part: Stretched): Term {
  const { law, mbsN } = lawOf(policy, part);
  const reach: Term = {
    label: '× (tension ÷ strength) to the power (p + 1) ÷ p',
    figure: ratio((part.tensionN / mbsN) ** ((law.exponent + 1) / law.exponent)),
    how: {
      operation: 'power',
      of: [
        {
          label: 'tension ÷ nominal strength',
          figure: ratio(part.tensionN / mbsN),
          how: {
            operation: 'quotient',
            of: [
              { label: 'tension', figure: force(part.tensionN) },
              { label: '÷ nominal strength', figure: force(mbsN) },
            ],
          },
        },
        { label: 'to the power', figure: ratio((law.exponent + 1) / law.exponent) },
      ],
    },
  };
  const of: Term[] = [
    { label: 'Nominal strength', figure: force(mbsN), source: part.piece.tag },
    { label: '× length', figure: length(part.lengthM) },
    { label: '× elongation at break ÷ (p + 1)', figure: ratio(law.elongation / (law.exponent + 1)), source: law.source },
    reach,
  ];
  return {
    label: `${part.piece.tag}, one strand`,
    figure: energy(of.reduce((product, term) => product * term.figure.si, 1)),
    how: { operation: 'product', of },
  };
}

function stretchTerm(policy: Policy, part: Stretched): Term {
  const { law, share } = lawOf(policy, part);
  const of: Term[] = [
    { label: 'Length', figure: length(part.lengthM) },
    { label: '× elongation at break', figure: ratio(law.elongation), source: law.source },
    { label: '× share of it reached', figure: ratio(share) },
  ];
  return {
    label: `${part.piece.tag}, one strand`,
    figure: length(of.reduce((product, term) => product * term.figure.si, 1)),
    how: { operation: 'product', of },
  };
}

function flightFigures(
  { massKg, momentumNs, speedMPerS }: Flight,
  { at, place }: { readonly at: string; readonly place: string },
  energyJ: number | undefined,
): readonly ReportFigure[] {
  const figures: ReportFigure[] = [];
  if (massKg !== undefined)
    figures.push(measured(`${at}.massKg`, `Mass that may fly at ${place}`, mass(massKg), 'hardware there and a third of the rope'));
  if (momentumNs === undefined || speedMPerS === undefined || massKg === undefined || energyJ === undefined) return figures;
  const twice = (label: string, operation: 'product' | 'quotient', value: number): Term => ({
    label,
    figure: ratio(value),
    how: {
      operation,
      of: [
        { label: 'twice the energy', figure: energy(2 * energyJ) },
        { label: operation === 'product' ? '× mass' : '÷ mass', figure: mass(massKg) },
      ],
    },
  });
  return [
    ...figures,
    explained(`${at}.momentumNs`, `Momentum at ${place}, at most`, momentum(momentumNs), () => ({
      label: 'Momentum, at most',
      figure: momentum(momentumNs),
      how: { operation: 'root', of: [twice('2 × energy × mass', 'product', 2 * energyJ * massKg)] },
    })),
    explained(`${at}.speedMPerS`, `Speed at ${place}, at most`, speed(speedMPerS), () => ({
      label: 'Speed, at most',
      figure: speed(speedMPerS),
      how: { operation: 'root', of: [twice('2 × energy ÷ mass', 'quotient', (2 * energyJ) / massKg)] },
    })),
  ];
}
