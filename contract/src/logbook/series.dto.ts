import { forceUnitChoices } from '@wainrope/core';
import { Type } from 'class-transformer';
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
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
import { LoadView } from './load.dto.ts';

/** The largest file of a recorder that is taken, bytes. */
export const SERIES_MAX_BYTES = 64_000_000;
export const seriesTimeUnits = ['s', 'ms', 'min'] as const;

/** Where a gauge was and how its file is read; the file itself is the body of the request. */
export class SeriesCreate {
  @IsUUID() seriesId!: string;
  /** The version that was rigged. */
  @Type(() => Number) @IsInt() @Min(1) version!: number;
  /** The line that the gauge was on, and its strand: 0 at the drive. */
  @IsString() @Length(1, 120) lineId!: string;
  @Type(() => Number) @IsInt() @Min(0) @Max(100) strand!: number;
  @IsDayText() on!: string;
  @IsString() @Length(1, 200) fileName!: string;
  /** Pulls that the series holds. */
  @Type(() => Number) @IsInt() @Min(1) @Max(1000) pulls!: number;
  /** What the headings leave open. */
  @IsOptional() @IsString() @MaxLength(120) tension?: string;
  @IsOptional() @IsIn(forceUnitChoices) forceUnit?: (typeof forceUnitChoices)[number];
  @IsOptional() @IsIn(seriesTimeUnits) timeUnit?: (typeof seriesTimeUnits)[number];
  /** Somebody says that lone readings far from both neighbours are the recorder's own faults. */
  @IsOptional() @IsIn(['leave-out']) spikes?: 'leave-out';
  @IsOptional() @IsString() @MaxLength(500) note?: string;
  /** A name by which the sender asks how far it is, and stops it. */
  @IsOptional() @IsUUID() task?: string;
}

export class SeriesRefusedRow {
  @IsInt() line!: number;
  @IsString() why!: string;
}

/** What was read of the file. */
export class SeriesFound {
  @IsInt() rows!: number;
  @IsNumber() durationS!: number;
  @IsNumber() peakN!: number;
  @IsNumber() peakS!: number;
  @IsNumber() lowestN!: number;
  /** The first fifty of the rows that were not taken, and how many there are. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => SeriesRefusedRow) refused!: readonly SeriesRefusedRow[];
  @IsInt() refusedCount!: number;
  @IsInt() repeated!: number;
  @IsInt() gaps!: number;
  @IsNumber() longestGapS!: number;
  @IsInt() spikes!: number;
  @IsArray() @IsInt({ each: true }) spikeLines!: readonly number[];
}

/** Smallest and largest tension of the line over equal stretches of time; nothing in a stretch without a reading. */
export class SeriesOutline {
  @IsNumber() stepS!: number;
  @IsArray() lowN!: readonly (number | null)[];
  @IsArray() highN!: readonly (number | null)[];
}

export class SeriesListed {
  @IsUUID() seriesId!: string;
  @IsUUID() planId!: string;
  @IsInt() version!: number;
  @IsString() lineId!: string;
  @IsInt() strand!: number;
  @IsString() on!: string;
  @IsString() fileName!: string;
  @IsInt() bytes!: number;
  @IsBoolean() leftOutSpikes!: boolean;
  @ValidateNested() @Type(() => SeriesFound) found!: SeriesFound;
  @IsOptional() @IsString() note?: string;
  @IsString() by!: string;
  @IsString() at!: string;
}

export class SeriesView extends SeriesListed {
  @ValidateNested() @Type(() => SeriesOutline) outline!: SeriesOutline;
  /** What it put on each piece of the rig. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => LoadView) loads!: readonly LoadView[];
}

export class SeriesList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => SeriesListed) items!: readonly SeriesListed[];
  /** Where the next page begins; missing on the last. */
  @IsOptional() @IsString() next?: string;
}
