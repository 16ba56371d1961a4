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
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDayText } from '../day-field.ts';

/** How a load is known: typed by a person; computed from a plan that was used; measured, from a series. */
export const loadSources = ['typed', 'plan', 'series'] as const;
/** `unknown`: the piece had no limit to hold it against. */
export const overloadWords = ['none', 'inspect', 'quarantine', 'unknown'] as const;

/** The largest load that is taken, N: beyond any rig of people and vehicles. */
export const LOAD_MOST_N = 2_000_000;
const most = { message: 'At most 2,000 kN can be entered.' };

/** One piece's load in one pull, or in several alike. */
export class LoadCreate {
  @IsUUID() recordId!: string;
  @IsUUID() gearId!: string;
  @IsDayText() on!: string;
  /** What was planned for this piece. */
  @IsNumber() @Min(0) @Max(LOAD_MOST_N, most) plannedN!: number;
  /** With the winch at its greatest; counts as having happened only where it stalled. */
  @IsOptional() @IsNumber() @Min(0) @Max(LOAD_MOST_N, most) greatestN?: number;
  /** Read off a gauge. */
  @IsOptional() @IsNumber() @Min(0) @Max(LOAD_MOST_N, most) peakN?: number;
  @IsOptional() @IsBoolean() stalled?: boolean;
  @IsInt() @Min(1) @Max(1000) pulls!: number;
  /** Where it was in which rig, in the team's own words. */
  @IsOptional() @IsString() @MaxLength(200) place?: string;
  @IsOptional() @IsString() @MaxLength(500) note?: string;
  /** The earlier record that this one corrects; then the note says why. */
  @IsOptional() @IsUUID() corrects?: string;
}

export class LoadView {
  @IsUUID() recordId!: string;
  @IsUUID() gearId!: string;
  @IsString() on!: string;
  @IsNumber() plannedN!: number;
  @IsOptional() @IsNumber() greatestN?: number;
  @IsOptional() @IsNumber() peakN?: number;
  @IsBoolean() stalled!: boolean;
  @IsInt() pulls!: number;
  /** The load that counts as having happened, and the limit and its share on that day. */
  @IsNumber() happenedN!: number;
  @IsOptional() @IsNumber() wllN?: number;
  @IsOptional() @IsNumber() share?: number;
  @IsIn(overloadWords) overload!: (typeof overloadWords)[number];
  @IsIn(loadSources) known!: (typeof loadSources)[number];
  @IsOptional() @IsString() place?: string;
  @IsOptional() @IsUUID() planId?: string;
  @IsOptional() @IsString() planName?: string;
  @IsOptional() @IsString() note?: string;
  @IsString() by!: string;
  @IsString() at!: string;
  /** What a gauge recorded, where it is known from that. */
  @IsOptional() @IsUUID() seriesId?: string;
  @IsOptional() @IsUUID() corrects?: string;
  /** The record that corrects this one: it no longer counts. */
  @IsOptional() @IsUUID() correctedBy?: string;
}

/** Cycles of load from one share of the marked breaking strength to the next, two hundredths wide. */
export class CyclesOfShare {
  /** From so many hundredths of the breaking strength. */
  @IsInt() fromPercent!: number;
  /** Halves among them. */
  @IsNumber() cycles!: number;
}

/** What a piece has been through, by all records that none corrects. */
export class LoadSummary {
  @IsInt() records!: number;
  @IsInt() pulls!: number;
  /** The largest share of its limit, as that was then. */
  @IsOptional() @IsNumber() largestShare?: number;
  @IsArray() @ValidateNested({ each: true }) @Type(() => CyclesOfShare) cycles!: readonly CyclesOfShare[];
  /** Cycles weighed by their size: compares pieces of one kind, and says nothing of how long one will last. */
  @IsNumber() usageIndex!: number;
  /** When the last pull was logged. */
  @IsOptional() @IsString() lastAt?: string;
}

export class LoadList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => LoadView) items!: readonly LoadView[];
  /** With the first page. */
  @IsOptional() @ValidateNested() @Type(() => LoadSummary) summary?: LoadSummary;
  /** Where the next page begins; missing on the last. */
  @IsOptional() @IsString() next?: string;
}

export class LoadQuery {
  @IsOptional() @IsString() @MaxLength(40) before?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(500) limit?: number;
}

/** A pull by a plan that was used, for every piece of it at once. */
export class PullCreate {
  @IsUUID() pullId!: string;
  /** The version that was rigged. */
  @IsInt() @Min(1) version!: number;
  @IsDayText() on!: string;
  @IsInt() @Min(1) @Max(1000) pulls!: number;
  /** Somebody says that the winch stalled: then the greatest loads did happen. */
  @IsOptional() @IsBoolean() stalled?: boolean;
  /** The largest tension of the line, read off a gauge; every piece's peak follows by its share. */
  @IsOptional() @IsNumber() @Min(0) @Max(LOAD_MOST_N, most) linePeakN?: number;
  @IsOptional() @IsString() @MaxLength(500) note?: string;
}

export class PullView {
  @IsUUID() pullId!: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => LoadView) loads!: readonly LoadView[];
  /** Pieces of the rig that carry nothing that is known, by tag or name. */
  @IsArray() @IsString({ each: true }) without!: readonly string[];
}
