import { eyeLocks, seenTerminations, spoolStates } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsIn, IsNumber, IsOptional, IsString, IsUUID, Max, MaxLength, Min, ValidateNested } from 'class-validator';
import { IsDayText } from '../day-field.ts';

/**
 * What is done to a drum or a line. `spooled`, `ran`, `covered`, `uncovered`: of a winch; `cut-back`, `spliced`, `stretched`: of a line.
 */
export const diaryKinds = ['spooled', 'ran', 'covered', 'uncovered', 'cut-back', 'spliced', 'stretched'] as const;
export type DiaryKind = (typeof diaryKinds)[number];

export class DiaryCreate {
  @IsUUID() entryId!: string;
  @IsDayText() on!: string;
  @IsIn(diaryKinds, { message: 'Choose what was done.' }) kind!: DiaryKind;
  /** How it lies since it was spooled. */
  @IsOptional() @IsIn(spoolStates) spoolState?: (typeof spoolStates)[number];
  /** The tension it was spooled or stretched under. */
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) tensionN?: number;
  /** Metres cut off, or that the line ran over the drum. */
  @IsOptional() @IsNumber() @Min(0.01) @Max(10_000) metres?: number;
  /** Where it was cut: at the hook its marks come nearer with it. */
  @IsOptional() @IsIn(['hook', 'drum']) cutAt?: 'hook' | 'drum';
  /** How the new end is made up, and how its eye is locked. */
  @IsOptional() @IsIn(seenTerminations) endTermination?: (typeof seenTerminations)[number];
  @IsOptional() @IsIn(eyeLocks) eyeLock?: (typeof eyeLocks)[number];
  @IsOptional() @IsString() @MaxLength(500) note?: string;
}

export class DiaryEntry extends DiaryCreate {
  @IsString() by!: string;
  @IsString() at!: string;
}

export class DiaryView {
  @IsArray() @ValidateNested({ each: true }) @Type(() => DiaryEntry) items!: readonly DiaryEntry[];
  /** Where the next page begins; missing on the last. */
  @IsOptional() @IsString() next?: string;
  /** Metres that the line has run since the drum was last spooled under tension; missing where it never was on record. */
  @IsOptional() @IsNumber() ranSinceM?: number;
  @IsOptional() @IsString() spooledOn?: string;
}
