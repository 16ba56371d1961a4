import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsOptional, IsString, MaxLength, Min, ValidateNested } from 'class-validator';

/** Largest register file, bytes as base64 text: about 6 MB of file. */
export const IMPORT_MAX_BASE64 = 8_000_000;
export const IMPORT_MAX_ROWS = 20_000;

/** What a column of the file was taken for; `column` missing: left out. */
export class ColumnChoice {
  @IsString() heading!: string;
  @IsOptional() @IsString() column?: string;
  @IsOptional() @IsString() unit?: string;
}

export class ImportRequest {
  @IsString() @MaxLength(200) fileName!: string;
  @IsString() @MaxLength(IMPORT_MAX_BASE64, { message: 'The file is larger than 6 MB; split it.' }) contentBase64!: string;
  /** A person's correction of what the columns are. */
  @IsOptional() @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => ColumnChoice) columns?: readonly ColumnChoice[];
}

export class ImportCommit extends ImportRequest {
  /** The rows to bring in, by number in the file. */
  @IsArray() @ArrayMaxSize(IMPORT_MAX_ROWS) @IsInt({ each: true }) rows!: readonly number[];
}

export class ImportFault {
  @IsString() column!: string;
  @IsString() message!: string;
}

export const importOutcomes = ['new', 'changed', 'unchanged', 'faulty', 'empty'] as const;

export class ImportRowView {
  /** Line in the file on which the row begins; the heading is line 1. */
  @IsInt() @Min(1) row!: number;
  @IsIn(importOutcomes) outcome!: (typeof importOutcomes)[number];
  @IsOptional() @IsString() tag?: string;
  @IsOptional() @IsString() name?: string;
  @IsOptional() @IsString() kind?: string;
  /** What would change, field by field in words. */
  @IsArray() @IsString({ each: true }) changes!: readonly string[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => ImportFault) faults!: readonly ImportFault[];
  /** Marks as understood, with what is unclear about them. */
  @IsArray() @IsString({ each: true }) understood!: readonly string[];
}

export class ImportPreview {
  @IsString() encoding!: string;
  @IsString() separator!: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => ColumnChoice) columns!: readonly ColumnChoice[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => ImportRowView) rows!: readonly ImportRowView[];
}

export class ImportResult {
  @IsInt() created!: number;
  @IsInt() changed!: number;
  @IsInt() unchanged!: number;
  @IsInt() inspections!: number;
}
