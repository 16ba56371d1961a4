import { Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsOptional, IsString, IsUUID, Max, Min, ValidateNested } from 'class-validator';

/** What the trail speaks of. */
export const subjectKinds = [
  'gear',
  'inspection',
  /** What a pull put on a piece. */
  'load',
  /** What went wrong, or nearly. */
  'incident',
  'break-test',
  'defect',
  'kit',
  'outing',
  'plan',
  'person',
  'policy',
  'template',
  'vehicle',
  'hook-up',
  /** A round of inspections that is being worked through. */
  'round',
  'team',
  /** Signing in and out, and private links. */
  'account',
] as const;
export type SubjectKind = (typeof subjectKinds)[number];

export class AuditChange {
  @IsString() field!: string;
  @IsOptional() before?: unknown;
  @IsOptional() after?: unknown;
}

export class AuditEntryView {
  @IsInt() entryNo!: number;
  @IsString() at!: string;
  @IsString() by!: string;
  @IsString() action!: string;
  @IsIn(subjectKinds) subjectKind!: SubjectKind;
  @IsString() subjectId!: string;
  @IsString() subjectName!: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => AuditChange) changes!: readonly AuditChange[];
  @IsOptional() @IsString() note?: string;
  /** The earlier entry that this one corrects. */
  @IsOptional() @IsInt() corrects?: number;
}

export class AuditPage {
  @IsArray() @ValidateNested({ each: true }) @Type(() => AuditEntryView) items!: readonly AuditEntryView[];
  @IsOptional() @IsInt() next?: number;
}

/** Newest first; `before` goes on from an entry’s number. */
export class AuditQuery {
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) before?: number;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(500) limit?: number;
  @IsOptional() @IsIn(subjectKinds) kind?: SubjectKind;
  @IsOptional() @IsUUID() person?: string;
}
