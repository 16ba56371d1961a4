import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, MaxLength, Min, ValidateNested } from 'class-validator';
import { type AskedAbout, askedAbout } from './register-row.ts';

/** Largest register file, bytes as base64 text: about 6 MB of file. */
export const IMPORT_MAX_BASE64 = 8_000_000;
export const IMPORT_MAX_ROWS = 20_000;

/** In what letters a file may be written; `auto` looks for itself. */
export const fileEncodings = ['UTF-8', 'UTF-16', 'windows-1252', 'windows-1250', 'macintosh', 'cp850', 'cp437'] as const;
export type FileEncoding = (typeof fileEncodings)[number];

export const dayOrders = ['day-first', 'month-first'] as const;

/** What a column of the file was taken for; `column` missing: left out. */
export class ColumnChoice {
  @IsString() heading!: string;
  @IsOptional() @IsString() column?: string;
  @IsOptional() @IsString() @MaxLength(20) unit?: string;
}

/** What a word of the file means: a class, a state or a grade by its key; for a grade nothing, where no inspection is to count. */
export class WordMeaning {
  @IsIn(['class', 'state', 'grade']) about!: 'class' | 'state' | 'grade';
  @IsString() @MaxLength(200) word!: string;
  @IsString() @MaxLength(40) meaning!: string;
}

/** A cell as a person mended it. */
export class CellMend {
  /** Line in the file on which the row begins. */
  @IsInt() @Min(1) row!: number;
  @IsString() @MaxLength(60) column!: string;
  @IsString() @MaxLength(2000) text!: string;
}

export class ImportRequest {
  @IsString() @MaxLength(200) fileName!: string;
  @IsString() @MaxLength(IMPORT_MAX_BASE64, { message: 'The file is larger than 6 MB; split it.' }) contentBase64!: string;
  /** A person's correction of what the columns are. */
  @IsOptional() @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => ColumnChoice) columns?: readonly ColumnChoice[];
  /** A person's word for the letters of the file. */
  @IsOptional() @IsIn(fileEncodings) encoding?: FileEncoding;
  /** A person's word for dates such as 05/06/2026. */
  @IsOptional() @IsIn(dayOrders) dayOrder?: (typeof dayOrders)[number];
  /** What words mean that are in no table; remembered by the team once the file is brought in. */
  @IsOptional() @IsArray() @ArrayMaxSize(500) @ValidateNested({ each: true }) @Type(() => WordMeaning) meanings?: readonly WordMeaning[];
  @IsOptional() @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => CellMend) mends?: readonly CellMend[];
}

export class ImportCommit extends ImportRequest {
  /** The rows to bring in, by number in the file. */
  @IsArray() @ArrayMaxSize(IMPORT_MAX_ROWS) @IsInt({ each: true }) rows!: readonly number[];
}

export class ImportFault {
  @IsString() column!: string;
  @IsString() message!: string;
  /** What stands in the cell; missing where it is empty. */
  @IsOptional() @IsString() text?: string;
}

/** `asked`: it waits for the answer to a question. `aside`: a total or a line that stands for no piece. */
export const importOutcomes = ['new', 'changed', 'unchanged', 'asked', 'faulty', 'empty', 'aside'] as const;

export class ImportRowView {
  /** Line in the file on which the row begins; the first line of the file is line 1. */
  @IsInt() @Min(1) row!: number;
  @IsIn(importOutcomes) outcome!: (typeof importOutcomes)[number];
  /** The tag of the piece, or of the first where the row stands for several. */
  @IsOptional() @IsString() tag?: string;
  /** The tag does not stand in the file; it is made when the row is brought in. */
  @IsOptional() @IsBoolean() tagIsMade?: boolean;
  @IsOptional() @IsString() name?: string;
  @IsOptional() @IsString() kind?: string;
  /** The class was guessed by the words of the row. */
  @IsOptional() @IsBoolean() kindIsGuessed?: boolean;
  /** How many pieces the row stands for, where it is more than one. */
  @IsOptional() @IsInt() pieces?: number;
  /** What would change, field by field in words. */
  @IsArray() @IsString({ each: true }) changes!: readonly string[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => ImportFault) faults!: readonly ImportFault[];
  /** Marks as understood, with what is unclear about them, and whatever was read otherwise than it is written. */
  @IsArray() @IsString({ each: true }) understood!: readonly string[];
}

/** A question about a word of the file, which one answer settles for all its rows. */
export class ImportQuestion {
  @IsIn(askedAbout) about!: AskedAbout;
  /** The word; for a unit the column of the register that lacks one. */
  @IsString() word!: string;
  /** Answers that come first. */
  @IsArray() @IsString({ each: true }) choices!: readonly string[];
  /** Rows can be brought in without an answer. */
  @IsBoolean() optional!: boolean;
  @IsInt() rows!: number;
  /** Names of some of its rows. */
  @IsArray() @IsString({ each: true }) examples!: readonly string[];
}

export class ImportPreview {
  @IsString() encoding!: string;
  @IsString() separator!: string;
  /** Line on which the headings stand. */
  @IsInt() headingLine!: number;
  @IsArray() @ValidateNested({ each: true }) @Type(() => ColumnChoice) columns!: readonly ColumnChoice[];
  /** Which comes first in a date such as 05/06/2026: as somebody said, or as other dates of the file show. */
  @IsOptional() @IsIn(dayOrders) dayOrder?: (typeof dayOrders)[number];
  @IsArray() @ValidateNested({ each: true }) @Type(() => ImportQuestion) questions!: readonly ImportQuestion[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => ImportRowView) rows!: readonly ImportRowView[];
}

export class ImportResult {
  @IsInt() created!: number;
  @IsInt() changed!: number;
  @IsInt() unchanged!: number;
  @IsInt() inspections!: number;
}
