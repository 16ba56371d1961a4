import { force, type RichText, rich } from '../../quantity/format.ts';
import type { PlaceReport, Report } from './report.ts';

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four'];

/** One sentence for somebody new to it: how many strands pull on a piece and what they add up to. */
export function strandSentence(report: Report, place: PlaceReport): RichText | undefined {
  const tensions = place.strands.map((index) => report.strands[index]?.plannedN).filter((entry) => entry !== undefined);
  const name = place.tag ?? place.name;
  const first = tensions[0];
  if (first === undefined || place.plannedN === undefined) return undefined;
  if (tensions.length < 2 || place.kind === 'bend') {
    const each = place.kind === 'legs' ? rich`, ${force(place.plannedN)} in each of its legs` : rich``;
    return rich`One strand pulls on ${name} with ${force(place.kind === 'legs' ? first : place.plannedN)}${each}.`;
  }
  const pulley = report.places.find(
    ({ strands, kind }) => kind === 'body' && strands.length === place.strands.length && strands[0] === place.strands[0],
  );
  const total = pulley?.plannedN ?? place.plannedN;
  const sum = tensions.flatMap((tension, index) => (index === 0 ? rich`${force(tension)}` : rich` and ${force(tension)}`));
  const head = rich`${NUMBERS[tensions.length] ?? String(tensions.length)} strands pull on ${name}: ${sum} add up to ${force(total)}`;
  return place.kind === 'legs' ? rich`${head}, ${force(place.plannedN)} in each of its legs.` : rich`${head}.`;
}
