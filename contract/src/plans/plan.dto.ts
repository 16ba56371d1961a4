import type { Case, Finding, KeptReport, Rig, Sketch, ToldReport } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, IsUUID, Length, Max, Min, ValidateNested } from 'class-validator';

import { DocumentField } from '../documents/document-field.ts';

export const verdicts = ['clear', 'clear-judged', 'watch', 'stop'] as const;

/** Drawn; checked and to be used; used; put away. */
export const planStates = ['draft', 'ready', 'used', 'archived'] as const;
export type PlanState = (typeof planStates)[number];

/** A fix that a named person answers for leaving as it is. */
export class OverrideView {
  @IsString() findingId!: string;
  /** Answers from before findings had ids of their own cover all that a rule says of a subject. */
  @IsIn(['finding', 'rule-and-subject']) covers!: 'finding' | 'rule-and-subject';
  @IsString() finding!: string;
  @IsString() reason!: string;
  @IsString() by!: string;
  @IsString() at!: string;
}

class PlanContent {
  @IsString() @Length(1, 120, { message: 'The plan’s name must have 1 to 120 characters.' }) name!: string;
  /** Core’s rig document; pieces by their id in the register. */
  @DocumentField('Rig') rig!: Rig;
}

export class PlanCreate extends PlanContent {
  @IsUUID() planId!: string;
  /** The plan, or one of its variants, that this one is another way of doing. */
  @IsOptional() @IsUUID() variantOf?: string;
}

/** One way of doing a plan that has several. */
export class VariantView {
  @IsUUID() planId!: string;
  @IsString() name!: string;
  @IsInt() version!: number;
  /** As it was judged when it was saved. */
  @IsIn(verdicts) verdict!: (typeof verdicts)[number];
}

/** Takes one variant for the plan and puts the others away. */
export class VariantChoice {
  /** The version of the variant that is meant, and of the plan that it is taken into: others may stand by now. */
  @IsInt() @Min(1) version!: number;
  @IsInt() @Min(1) baseVersion!: number;
}

export class PlanSave extends PlanContent {
  /** The version the change was made from. */
  @IsInt() @Min(1) baseVersion!: number;
}

/** The judgement kept with a version, and what it was made from. */
export class SavedReport {
  @DocumentField('KeptReport') report!: KeptReport;
  @IsString() asOf!: string;
  @IsString() savedAt!: string;
  @IsString() savedBy!: string;
  @IsString() policyHash!: string;
  @IsString() coreVersion!: string;
}

export class FreshReport {
  @DocumentField('ToldReport') report!: ToldReport;
  /** Digest of the case that it is of, by core’s `contentDigest`: whoever makes the same case of what the register says need not judge it. */
  @IsString() caseDigest!: string;
  @IsString() asOf!: string;
  /** Why the saved judgement no longer stands; empty while it does. */
  @IsArray() @IsString({ each: true }) outOfDate!: readonly string[];
}

export class PlanView {
  @IsUUID() planId!: string;
  @IsString() name!: string;
  @IsInt() version!: number;
  @DocumentField('Rig') rig!: Rig;
  @IsIn(planStates) state!: PlanState;
  @IsOptional() @IsString() stateBy?: string;
  @IsOptional() @IsString() stateAt?: string;
  /** Of the version that stands. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => OverrideView) overrides!: readonly OverrideView[];
  @ValidateNested() @Type(() => SavedReport) saved!: SavedReport;
  @ValidateNested() @Type(() => FreshReport) fresh!: FreshReport;
  /** The plan that this is a variant of. */
  @IsOptional() @IsUUID() variantOf?: string;
  /** Until one is chosen: the plan as it stands and its variants, this one among them; missing where there is only one way. */
  @IsOptional() @IsArray() @ValidateNested({ each: true }) @Type(() => VariantView) variants?: readonly VariantView[];
}

export class PlanSummary {
  @IsUUID() planId!: string;
  @IsString() name!: string;
  @IsInt() version!: number;
  @IsIn(planStates) state!: PlanState;
  @IsString() savedAt!: string;
  @IsString() savedBy!: string;
  /** As it was judged when it was saved: it stands as long as nothing speaks against it. */
  @IsIn(verdicts) verdict!: (typeof verdicts)[number];
  @IsArray() @IsString({ each: true }) outOfDate!: readonly string[];
  @IsOptional() @IsString() weakest?: string;
  /** The gravest finding, from which the verdict follows; missing where there is none, or where an earlier version of core found it. */
  @IsOptional() @DocumentField('Finding') reason?: Finding;
  /** The day it was judged for. */
  @IsString() asOf!: string;
  /** Who and what is in it, by name; pieces of the register by tag. */
  @IsArray() @IsString({ each: true }) people!: readonly string[];
  @IsArray() @IsString({ each: true }) vehicles!: readonly string[];
  @IsArray() @IsString({ each: true }) tags!: readonly string[];
  /** Where it is on the earth, where that is said. */
  @IsOptional() @IsString() position?: string;
  /** The plan that this is a variant of, not yet chosen. */
  @IsOptional() @IsUUID() variantOf?: string;
  /** Missing where its rig is not understood any more. */
  @IsOptional() @DocumentField('Sketch') sketch?: Sketch;
}

export class PlanList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => PlanSummary) items!: readonly PlanSummary[];
  @IsOptional() @IsString() next?: string;
}

/** A rig file, out of a plan or brought in as a new one. */
export class RigFileView {
  @IsString() format!: string;
  @IsInt() version!: number;
  @DocumentField('Case') case!: Case;
}

/** Moves a plan from draft to ready, to used, away and back. */
export class PlanStateChange {
  @IsIn(planStates) state!: PlanState;
  /** The version that is meant: another one may stand by now. */
  @IsInt() @Min(1) version!: number;
}

export class OverrideCreate {
  @IsUUID() overrideId!: string;
  @IsInt() @Min(1) version!: number;
  @IsString() @Length(1, 200) findingId!: string;
  @IsString() @Length(3, 500, { message: 'Say in a few words why it may stay as it is.' }) reason!: string;
}

export class CommentCreate {
  @IsUUID() commentId!: string;
  @IsString() @Length(1, 2000, { message: 'Write something, at most 2000 characters.' }) words!: string;
}

export class CommentView {
  @IsUUID() commentId!: string;
  @IsInt() version!: number;
  @IsString() words!: string;
  @IsString() by!: string;
  @IsString() at!: string;
}

export class CommentList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => CommentView) items!: readonly CommentView[];
}

/** One version of a plan, and what it changed from the one before. */
export class PlanVersionView {
  @IsInt() version!: number;
  @IsString() name!: string;
  @IsString() savedAt!: string;
  @IsString() savedBy!: string;
  @IsIn(verdicts) verdict!: (typeof verdicts)[number];
  @IsArray() @IsString({ each: true }) changes!: readonly string[];
}

/** The newest so many versions; 30 where nothing is said. */
export class PlanVersionQuery {
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(500) limit?: number;
}

export class PlanVersionList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => PlanVersionView) items!: readonly PlanVersionView[];
  /** There are earlier ones. */
  @IsBoolean() isMore!: boolean;
}

/** The rig of an earlier version, to look at or go on from. */
export class PlanVersionRig {
  @IsInt() version!: number;
  @DocumentField('Rig') rig!: Rig;
}

/** A layout of the team's own: a rig to begin with, no piece chosen. */
export class LayoutCreate {
  @IsUUID() layoutId!: string;
  @IsString() @Length(1, 80, { message: 'Give the layout a name of 1 to 80 characters.' }) name!: string;
  @DocumentField('Rig') rig!: Rig;
}

export class LayoutView {
  @IsUUID() layoutId!: string;
  @IsString() name!: string;
  @DocumentField('Rig') rig!: Rig;
  @IsString() by!: string;
}

export class LayoutList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => LayoutView) items!: readonly LayoutView[];
}
