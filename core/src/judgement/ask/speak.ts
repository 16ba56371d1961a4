import type { GearClass } from '../../gear/classes/gear-classes.ts';
import type { GearFacts, GearOf } from '../../gear/gear-facts.ts';
import { isClass } from '../../gear/traits.ts';
import type { ChosenUse, ResolvedBody, ResolvedDrive, ResolvedLine, ResolvedUse, WinchDrive } from '../../resolved/parts.ts';
import { ownerPiece, type Place } from '../../resolved/place.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import type { Body } from '../../rig/rig.ts';
import type { About, Data, Fix, Reply, Subject } from './told.ts';

export const rigSubject: Subject = { kind: 'rig', id: 'rig' };
export const wholeRig = (): readonly Subject[] => [rigSubject];
export const itself = (subject: Subject): About => ({ subject });

export const aboutUse = ({ use }: ResolvedUse): About => ({ subject: { kind: 'use', id: use.id } });
export const aboutBody = ({ id }: Body): About => ({ subject: { kind: 'body', id } });
export const aboutDrive = ({ use }: WinchDrive): About => aboutUse(use);

/** A strand between two stops of a line. */
export const aboutSpan = ({ line, span }: { readonly line: ResolvedLine; readonly span: number }): About => ({
  subject: { kind: 'strand', id: `${line.line.id}.${span}` },
});

/** The subject that a place belongs to. */
export const ownerSubject = ({ owner }: Place): Subject =>
  owner.kind === 'use' ? { kind: 'use', id: owner.use.use.id } : { kind: 'body', id: owner.bodyId };

/** A place of a piece or anchor; two places of one piece are two findings. */
export const aboutPlace = (place: Place): About => {
  const subject = ownerSubject(place);
  return { subject, place: place.id.slice(subject.id.length + 1) };
};

/** The owner's name as people say it. */
export function ownerName(place: Place): string {
  const { owner } = place;
  if (owner.kind === 'body') return owner.label;
  const piece = ownerPiece(place);
  return piece ? pieceName(piece) : (owner.point ?? 'the piece not yet chosen');
}

export const pieceName = ({ tag, name }: GearFacts): string => `${tag} ${name}`;

/** Where on a piece, in brackets; nothing where it is the whole piece. */
export const bracketed = (where: string): string => (where ? ` (${where})` : '');

/** Every use whose piece is of one class. */
export type UseOf<K extends GearClass> = ResolvedUse & { readonly piece: GearOf<K> };
export const usesOfClass = <K extends GearClass>({ chosen }: ResolvedRig, kind: K): readonly UseOf<K>[] =>
  chosen.filter((use): use is UseOf<K> => isClass(use.piece, kind));

export const chosenUses = ({ chosen }: ResolvedRig): readonly ChosenUse[] => chosen;
export const allPlaces = ({ places }: ResolvedRig): readonly Place[] => places;
export const winchDrives = ({ winches }: ResolvedRig): readonly WinchDrive[] => winches;

/** Somebody's or something's vehicle, where a body is one. */
export const vehicleOf = (on: ResolvedBody | undefined) => (on?.body.kind === 'vehicle' ? on.body : undefined);

export const chooseAnother = ({ use }: ResolvedUse, label = 'Choose another piece'): readonly Fix[] => [
  { kind: 'choose-piece', label, useId: use.id },
];
export const openPiece = (piece: GearFacts, label: string): readonly Fix[] => [{ kind: 'open-piece', label, gearId: piece.id }];

/** The fix for a piece that is too weak: choose another for its place. */
export const stronger = ({ owner }: Place): readonly Fix[] =>
  owner.kind === 'use' ? chooseAnother(owner.use, 'Choose a stronger piece') : [];

export const found = <D extends Data>(data: D, fixes?: readonly Fix[]): Reply<D> => ({ kind: 'found', data, ...(fixes && { fixes }) });
export const undecided = <D extends Data>(data: D, fixes?: readonly Fix[]): Reply<D> => ({
  kind: 'undecided',
  data,
  ...(fixes && { fixes }),
});

/** A fact that only somebody at the rig can confirm: yes clears it, no finds it, silence leaves it undecided. */
export function ticked<D extends Data>({ rig }: ResolvedRig, questionId: string, data: D): Reply<D> | undefined {
  const answer = rig.answers[questionId];
  if (answer === 'yes') return undefined;
  if (answer === undefined) return { kind: 'undecided', data, questionId };
  return found(data, [{ kind: 'edits', label: 'Done now', edits: [{ kind: 'answer', questionId, answer: 'yes' }] }]);
}

/** The name of a drive as people say it. */
export function driveName(drive: ResolvedDrive): string {
  if (drive.kind === 'winch') return drive.use.piece ? pieceName(drive.use.piece) : 'the winch';
  return drive.kind === 'hand' ? 'the people at the rope' : 'the towing vehicle';
}
