import type { GearClass } from '../gear/gear-classes.ts';
import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import type { Assessment, ChosenUse, Place } from '../moment/assessment.ts';
import type { DriveReport } from '../moment/drives.ts';
import type { DrumReport } from '../moment/drum-state.ts';
import type { RichText } from '../quantity/format.ts';
import { gearOf } from '../resolved/rig-network.ts';
import type { Edit } from '../rig/edits.ts';
import type { Body, PieceUse } from '../rig/rig.ts';
import { bodyOfPoint } from '../rig/site-geometry.ts';

export const severities = ['stop', 'fix', 'caution', 'note'] as const;
export type Severity = (typeof severities)[number];

/** What a finding is about, by stable id. */
export interface Subject {
  readonly kind: 'use' | 'body' | 'point' | 'strand' | 'rig';
  readonly id: string;
}

/** What a person can do about it with one button. */
export type Fix =
  | { readonly kind: 'edits'; readonly label: string; readonly edits: readonly Edit[] }
  /** Choose another piece for this place; the picker knows the register. */
  | { readonly kind: 'choose-piece'; readonly label: string; readonly useId: string }
  | { readonly kind: 'add-damper'; readonly label: string; readonly lineId: string; readonly strand: number }
  /** Fill in what is missing on the piece's own page. */
  | { readonly kind: 'open-piece'; readonly label: string; readonly gearId: string };

/** A rule's answer about one subject. */
export type Answer =
  | {
      readonly kind: 'found';
      readonly subject: Subject;
      readonly title: RichText;
      readonly detail: RichText;
      readonly fixes?: readonly Fix[];
    }
  | { readonly kind: 'not-found'; readonly subject: Subject }
  | {
      readonly kind: 'undecided';
      readonly subject: Subject;
      /** What somebody has to say or look up, as one sentence. */
      readonly question: RichText;
      /** Set when a yes or no settles it; stored in the rig's answers under this id. */
      readonly questionId?: string;
      readonly fixes?: readonly Fix[];
    };

export interface Rule {
  readonly code: string;
  readonly severity: Severity;
  /** Whether a team may lower its severity by policy. */
  readonly softenable: boolean;
  /** One plain sentence of why. */
  readonly why: string;
  /** The facts it reads. */
  readonly needs: string;
  /** What it asks when it cannot decide; missing where it always can. */
  readonly asks?: string;
  readonly check: (assessment: Assessment) => readonly Answer[];
}

export const rigSubject: Subject = { kind: 'rig', id: 'rig' };
export const useSubject = (use: PieceUse): Subject => ({ kind: 'use', id: use.id });
export const notFound = (subject: Subject): Answer => ({ kind: 'not-found', subject });

/** The subject that a place belongs to. */
export function ownerSubject({ owner }: Place): Subject {
  return owner.kind === 'use' ? useSubject(owner.use) : { kind: 'body', id: owner.bodyId };
}

/** The owner's name as people say it. */
export function ownerName({ owner }: Place): string {
  if (owner.kind === 'body') return owner.label;
  return owner.piece ? pieceName(owner.piece) : (owner.point ?? 'the piece not yet chosen');
}

export function pieceName(piece: GearFacts): string {
  return `${piece.tag} ${piece.name}`;
}

/** Every use that has a piece, in the rig's order. */
export const chosenUses = ({ uses }: Assessment): readonly ChosenUse[] => uses;

/** Every use whose piece is of one class. */
export function usesOfClass<K extends GearClass>(
  assessment: Assessment,
  kind: K,
): readonly { readonly use: PieceUse; readonly piece: GearOf<K> }[] {
  return chosenUses(assessment).filter(({ piece }) => piece.kind === kind) as unknown as readonly { use: PieceUse; piece: GearOf<K> }[];
}

/** Neighbours of a use in its chain, body side first. */
export function neighbours(
  { rig, gear }: Assessment,
  use: PieceUse,
): { readonly inner: ChosenUse | undefined; readonly outer: ChosenUse | undefined } {
  const chain = [...rig.chains, ...(rig.backAnchors ?? [])].find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  const index = chain?.pieces.findIndex(({ id }) => id === use.id) ?? -1;
  const at = (place: number): ChosenUse | undefined => {
    const other = chain?.pieces[place];
    const piece = other && gearOf(other, gear);
    return other && piece ? { use: other, piece } : undefined;
  };
  return { inner: at(index - 1), outer: at(index + 1) };
}

/** A winch that drives a line, with what is planned for it. */
export interface WinchDrive {
  readonly subject: Subject;
  readonly drive: DriveReport;
  readonly drum: DrumReport;
  readonly winch: GearOf<'winch'> | undefined;
  /** The vehicle it sits on. */
  readonly body: Body | undefined;
  readonly pointId: string;
  readonly plannedN: number | undefined;
}

/** Every winch that drives a line; the subject is its use. */
export function winchDrives({ rig, drives, plannedPullN }: Assessment): readonly WinchDrive[] {
  return drives.flatMap((entry) => {
    const { drive } = entry.walk.line;
    if (drive.kind !== 'winch') return [];
    return [
      {
        subject: useSubject(drive.use),
        drive: entry,
        drum: entry.drum,
        winch: entry.winch?.kind === 'winch' ? entry.winch : undefined,
        body: bodyOfPoint(rig, drive.pointId),
        pointId: drive.pointId,
        plannedN: plannedPullN === undefined ? undefined : plannedPullN * entry.share,
      },
    ];
  });
}

/** One answer for every winch that drives a line: a fault where the test names one. */
export function answerWinches(assessment: Assessment, test: (winch: WinchDrive) => Fault | undefined): readonly Answer[] {
  return winchDrives(assessment).map((winch) => {
    const fault = test(winch);
    return fault ? { kind: 'found', subject: winch.subject, ...fault } : notFound(winch.subject);
  });
}

/** Whether a use belongs to what ties a winching vehicle back. */
export function isBackAnchor({ rig }: Assessment, use: PieceUse): boolean {
  return (rig.backAnchors ?? []).some(({ pieces }) => pieces.some(({ id }) => id === use.id));
}

export interface TickedQuestion {
  readonly code: string;
  readonly subject: Subject;
  readonly question: RichText;
  readonly ifNo: { readonly title: RichText; readonly detail: RichText };
}

/** A fact that only somebody at the rig can confirm: yes clears it, no finds it, silence leaves it undecided. */
export function ticked({ rig }: Assessment, { code, subject, question, ifNo }: TickedQuestion): Answer {
  const questionId = `${code}.${subject.id}`;
  const answer = rig.answers[questionId];
  if (answer === 'yes') return notFound(subject);
  if (answer === 'no')
    return {
      kind: 'found',
      subject,
      ...ifNo,
      fixes: [{ kind: 'edits', label: 'Done now', edits: [{ kind: 'answer', questionId, answer: 'yes' }] }],
    };
  return { kind: 'undecided', subject, question, questionId };
}

export interface Fault {
  readonly title: RichText;
  readonly detail: RichText;
  readonly fixes?: readonly Fix[];
}

/** One answer per use: a fault where the test names one. */
export function answerUses<P extends GearFacts>(
  uses: readonly { readonly use: PieceUse; readonly piece: P }[],
  test: (chosen: { readonly use: PieceUse; readonly piece: P }) => Fault | undefined,
): readonly Answer[] {
  return uses.map((chosen) => {
    const fault = test(chosen);
    return fault ? { kind: 'found', subject: useSubject(chosen.use), ...fault } : notFound(useSubject(chosen.use));
  });
}

export const chooseAnother = (use: PieceUse, label = 'Choose another piece'): Fix => ({ kind: 'choose-piece', label, useId: use.id });
export const openPiece = (piece: GearFacts, label: string): Fix => ({ kind: 'open-piece', label, gearId: piece.id });
