import type { GearFacts } from '../../gear/gear-facts.ts';
import type { ChosenUse } from '../../resolved/parts.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import { aboutUse, chooseAnother } from './speak.ts';
import type { About, Fix } from './told.ts';

/** A piece that a rig names, in the load path or beside it: a damper, a lanyard, a tool used on the spot. */
export interface NamedPiece {
  readonly piece: GearFacts;
  readonly about: About;
  /** Its place in the load path, where it has one. */
  readonly use: ChosenUse | undefined;
}

export function namedPieces({ chosen, dampers, lanyards, tools }: ResolvedRig): readonly NamedPiece[] {
  const besides = (piece: GearFacts | undefined, about: About): readonly NamedPiece[] => (piece ? [{ piece, about, use: undefined }] : []);
  return [
    ...chosen.map((use): NamedPiece => ({ piece: use.piece, about: aboutUse(use), use })),
    ...dampers.flatMap(({ piece, lineId, strand }) =>
      besides(piece, { subject: { kind: 'strand', id: `${lineId}.${strand}` }, place: 'damper' }),
    ),
    ...lanyards.flatMap(({ piece, use, lanyard }) => besides(piece, { ...aboutUse(use), place: lanyard.id })),
    ...tools.flatMap((piece) => besides(piece, { subject: { kind: 'rig', id: 'rig' }, place: piece.id })),
  ];
}

export const aboutNamed = ({ about }: NamedPiece): About => about;

/** Another piece for its place, where it has one in the load path. */
export const anotherFor = ({ use }: NamedPiece): readonly Fix[] => (use ? chooseAnother(use) : []);
