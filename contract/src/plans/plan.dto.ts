import { Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsObject, IsOptional, IsString, IsUUID, Length, Min, ValidateNested } from 'class-validator';

export const verdicts = ['clear', 'clear-judged', 'watch', 'stop'] as const;

class PlanContent {
  @IsString() @Length(1, 120, { message: 'The plan’s name must have 1 to 120 characters.' }) name!: string;
  /** Core’s rig document; pieces by their id in the register. */
  @IsObject() rig!: object;
}

export class PlanCreate extends PlanContent {
  @IsUUID() planId!: string;
}

export class PlanSave extends PlanContent {
  /** The version the change was made from. */
  @IsInt() @Min(1) baseVersion!: number;
}

/** The judgement kept with a version, and what it was made from. */
export class SavedReport {
  @IsObject() report!: object;
  @IsString() asOf!: string;
  @IsString() savedAt!: string;
  @IsString() savedBy!: string;
  @IsString() policyHash!: string;
  @IsString() coreVersion!: string;
}

export class FreshReport {
  @IsObject() report!: object;
  @IsString() asOf!: string;
  /** Why the saved judgement no longer stands; empty while it does. */
  @IsArray() @IsString({ each: true }) outOfDate!: string[];
}

export class PlanView {
  @IsUUID() planId!: string;
  @IsString() name!: string;
  @IsInt() version!: number;
  @IsObject() rig!: object;
  @ValidateNested() @Type(() => SavedReport) saved!: SavedReport;
  @ValidateNested() @Type(() => FreshReport) fresh!: FreshReport;
}

export class PlanSummary {
  @IsUUID() planId!: string;
  @IsString() name!: string;
  @IsInt() version!: number;
  @IsString() savedAt!: string;
  @IsString() savedBy!: string;
  @IsIn(verdicts) savedVerdict!: (typeof verdicts)[number];
  @IsIn(verdicts) verdict!: (typeof verdicts)[number];
  @IsArray() @IsString({ each: true }) outOfDate!: string[];
  @IsOptional() @IsString() weakest?: string;
}

export class PlanList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => PlanSummary) items!: PlanSummary[];
  @IsOptional() @IsString() next?: string;
}

/** A rig file, out of a plan or brought in as a new one. */
export class RigFileView {
  @IsString() format!: string;
  @IsInt() version!: number;
  @IsObject() case!: object;
}
