import type { GearFacts } from '../gear/gear-facts.ts';
import type { Mark, MarkBasis } from '../gear/mark.ts';
import { isUnclear } from '../gear/mark.ts';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import type { TagReading } from './answers.ts';

const MAY_MEAN: readonly MarkBasis[] = ['wll', 'mbs'];

/** Every meaning of a piece's unclear marks, each judged as if it were the right one; the others of its marks stay. */
export function tagReadings(subject: Case, gearId: string): readonly TagReading[] {
  const piece = subject.gear.find(({ id }) => id === gearId);
  if (!piece) return [];
  return piece.marks.flatMap((mark, index) =>
    isUnclear(mark)
      ? mark.readings.flatMap((reading) =>
          (mark.basis === 'unstated' ? MAY_MEAN : [mark.basis]).map((basis) => readingOf(subject, piece, { index, mark, reading, basis })),
        )
      : [],
  );
}

interface Meaning {
  readonly index: number;
  readonly mark: Mark;
  readonly reading: Mark['readings'][number];
  readonly basis: MarkBasis;
}

function readingOf(subject: Case, piece: GearFacts, { index, mark, reading, basis }: Meaning): TagReading {
  const marks = piece.marks.map((entry, place) => (place === index ? { ...mark, basis, readings: [reading] } : entry));
  const meant = { ...piece, marks } as GearFacts;
  const report = judge({ ...subject, gear: subject.gear.map((entry) => (entry === piece ? meant : entry)) });
  const here = report.places.filter((place) => place.gearId === piece.id);
  const worst = here.flatMap((place) => place.worst ?? []).sort((a, b) => (b.utilisation ?? 0) - (a.utilisation ?? 0))[0];
  return {
    asWritten: mark.asWritten,
    unit: reading.unit,
    basis,
    forceN: reading.forceN,
    wllN: worst?.wllN,
    utilisation: worst?.utilisation,
    verdict: report.verdict,
  };
}
