import type { PlaceReport, Rig } from '@wainrope/core';

/** Something that can be let go: the place of a piece, a winch for its brake, a line for the hands on it. */
export interface Breakable {
  readonly subjectId: string;
  readonly words: string;
}

const nameOf = ({ tag, name }: Pick<PlaceReport, 'tag' | 'name'>): string => [tag, name].filter(Boolean).join(' ');

/** Every piece in the order of the load path, after the brakes and the hands; anchors hold or not, what fails at them is their strap. */
export function breakables({ lines }: Rig, places: readonly PlaceReport[]): readonly Breakable[] {
  const drives = lines.flatMap(({ id, drive }): readonly Breakable[] => {
    if (drive.kind === 'hand') return [{ subjectId: id, words: 'The hands on the rope' }];
    if (drive.kind !== 'winch') return [];
    const winch = places.find(({ subject }) => subject.id === drive.use.id);
    return [{ subjectId: drive.use.id, words: `The brake of ${winch?.tag ?? winch?.name ?? 'the winch'}` }];
  });
  const ids = new Set(drives.map(({ subjectId }) => subjectId));
  const pieces = places.flatMap((place): readonly Breakable[] => {
    const { id, kind } = place.subject;
    if (kind !== 'use' || ids.has(id)) return [];
    ids.add(id);
    return [{ subjectId: id, words: nameOf(place) }];
  });
  return [...drives, ...pieces];
}

/** What is broken first: what is looked at, where that can be; else the weakest piece, else the first. */
export function firstToBreak(all: readonly Breakable[], lookedAt: PlaceReport | undefined): string | undefined {
  return (all.find(({ subjectId }) => subjectId === lookedAt?.subject.id) ?? all[0])?.subjectId;
}
