import type { BenchAnswers } from '@wainrope/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsISO8601,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDayText } from '../day-field.ts';
import { DocumentField } from '../documents/document-field.ts';
import { type InspectionKind, inspectionKinds } from './inspection.dto.ts';

/** So many pieces a round has at most, and so many of them begun and not confirmed. */
export const ROUND_MOST_PIECES = 2000;
export const ROUND_MOST_DRAFTS = 100;

const roundKinds = inspectionKinds.filter((kind) => kind !== 'on-record');

/** An inspection of a round that was begun and is not confirmed. */
export class RoundDraft {
  @IsUUID() inspectionId!: string;
  @IsUUID() gearId!: string;
  @IsDayText() on!: string;
  /** Milliseconds by the device's clock: of two states of one draft the later stands. */
  @IsInt() @Min(0) @Max(Number.MAX_SAFE_INTEGER) changedAt!: number;
  @DocumentField('BenchAnswers') answers!: BenchAnswers;
}

/** A round as the device has it on which it is worked through. */
export class RoundKeep {
  @IsString() @Length(1, 120) title!: string;
  @IsIn(roundKinds) kind!: Exclude<InspectionKind, 'on-record'>;
  /** In the order in which they are worked through. */
  @IsArray() @ArrayMaxSize(ROUND_MOST_PIECES) @IsUUID(undefined, { each: true }) gearIds!: readonly string[];
  @IsISO8601({ strict: true }) @MaxLength(40) begunAt!: string;
  @IsUUID() deviceId!: string;
  @IsOptional() @IsUUID() corrects?: string;
  /** Pieces of it that were confirmed. */
  @IsArray() @ArrayMaxSize(ROUND_MOST_PIECES) @IsUUID(undefined, { each: true }) confirmed!: readonly string[];
  @IsArray() @ArrayMaxSize(ROUND_MOST_DRAFTS) @ValidateNested({ each: true }) @Type(() => RoundDraft) drafts!: readonly RoundDraft[];
}

export class RoundTake {
  @IsUUID() deviceId!: string;
}

export class RoundListed {
  @IsUUID() roundId!: string;
  @IsString() title!: string;
  @IsIn(roundKinds) kind!: Exclude<InspectionKind, 'on-record'>;
  @IsString() begunAt!: string;
  /** Whose it is, and on which device. */
  @IsUUID() personId!: string;
  @IsString() by!: string;
  @IsUUID() deviceId!: string;
  /** When that device was last heard of it. */
  @IsString() heardAt!: string;
  @IsInt() pieces!: number;
  @IsArray() @IsUUID(undefined, { each: true }) confirmed!: readonly string[];
}

export class RoundView extends RoundListed {
  @IsArray() @IsUUID(undefined, { each: true }) gearIds!: readonly string[];
  @IsOptional() @IsUUID() corrects?: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => RoundDraft) drafts!: readonly RoundDraft[];
}

export class RoundList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => RoundListed) items!: readonly RoundListed[];
}
