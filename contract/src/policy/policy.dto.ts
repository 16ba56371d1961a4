import { type Depth, depths, type Policy, type Severity, type Surface, surfaces, type Verdict } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsOptional, IsString, IsUUID, Length, ValidateNested } from 'class-validator';
import { DocumentField } from '../documents/document-field.ts';
import { verdicts } from '../plans/plan.dto.ts';

export class PolicyVersionView {
  @IsUUID() policyVersionId!: string;
  @IsString() contentHash!: string;
  @IsString() name!: string;
  @IsString() reason!: string;
  @IsString() by!: string;
  @IsString() at!: string;
  @IsBoolean() inForce!: boolean;
}

/** A rule as the settings show it: how grave it is of itself, and whether a team may soften that. */
export class RuleView {
  @IsString() code!: string;
  @IsIn(['stop', 'fix', 'caution', 'note']) severity!: Severity;
  @IsBoolean() softenable!: boolean;
  @IsString() why!: string;
}

/** The team’s tables in force, and every version before them, newest first. */
export class PolicyHistory {
  @IsString() contentHash!: string;
  /** Core’s policy document. */
  @DocumentField('Policy') content!: Policy;
  @IsArray() @ValidateNested({ each: true }) @Type(() => PolicyVersionView) versions!: readonly PolicyVersionView[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => RuleView) rules!: readonly RuleView[];
}

export class PolicyPreviewRequest {
  @DocumentField('Policy') content!: Policy;
}

export class PolicyChange {
  @IsString() path!: string;
  @IsOptional() from?: unknown;
  @IsOptional() to?: unknown;
}

export class PlanUnderPolicy {
  @IsUUID() planId!: string;
  @IsString() name!: string;
  @IsIn(verdicts) before!: Verdict;
  @IsIn(verdicts) after!: Verdict;
}

/** What a change of policy would do, before it is made. */
export class PolicyPreview {
  @IsArray() @ValidateNested({ each: true }) @Type(() => PolicyChange) changes!: readonly PolicyChange[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => PlanUnderPolicy) plans!: readonly PlanUnderPolicy[];
}

export class PolicySave {
  /** The version the change was made from. */
  @IsString() baseHash!: string;
  @DocumentField('Policy') content!: Policy;
  @IsString() @Length(3, 300, { message: 'Say in a line why the team decides this.' }) reason!: string;
}

/** Which of the team's own figures is meant. */
export class FigureOf {
  @IsIn(surfaces) surface!: Surface;
  @IsIn(depths) depth!: Depth;
  @IsString() @Length(1, 200) machine!: string;
}

/** Planning by a figure of the team's own from now on, in place of the method. */
export class FigureAdopt extends FigureOf {
  /** The version the change was made from. */
  @IsString() baseHash!: string;
  @IsString() @Length(3, 300, { message: 'Say in a line why the team decides this.' }) reason!: string;
}
