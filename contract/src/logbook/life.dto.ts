import { spoolStates } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator';

/** What happens to a piece. `met`: mud, sand, salt, wet, sun, or that it was washed; `done`: spooled, cut back, spliced; `out`: with whom it was. */
export const lifeKinds = ['inspection', 'load', 'met', 'done', 'state', 'incident', 'out'] as const;
export type LifeKind = (typeof lifeKinds)[number];

/** One thing that happened to a piece. */
export class LifeEvent {
  /** Its own in the life of the piece, and where a page of it goes on. */
  @IsString() key!: string;
  @IsString() on!: string;
  @IsIn(lifeKinds) kind!: LifeKind;
  /** Which inspection, series of loads, incident or outing it is. */
  @IsOptional() @IsString() id?: string;
  /** The kind of an inspection or an incident, what it met, the state that it went into, who had it. */
  @IsString() what!: string;
  /** Its remark, reason or place. */
  @IsOptional() @IsString() words?: string;
  @IsOptional() @IsString() by?: string;
  /** An inspection's grade. */
  @IsOptional() @IsString() grade?: string;
  /** The load that happened, the limit as it was then, and what it came to. */
  @IsOptional() @IsNumber() happenedN?: number;
  @IsOptional() @IsNumber() wllN?: number;
  @IsOptional() @IsString() overload?: string;
  /** How a drum was spooled. */
  @IsOptional() @IsIn(spoolStates) spoolState?: (typeof spoolStates)[number];
  /** Until when somebody had it; missing while they have it. */
  @IsOptional() @IsString() until?: string;
  /** A later record takes its place. */
  @IsBoolean() isCorrected!: boolean;
}

export class LifeView {
  @IsArray() @ValidateNested({ each: true }) @Type(() => LifeEvent) items!: readonly LifeEvent[];
  /** Where the next page begins; missing on the last. */
  @IsOptional() @IsString() next?: string;
}

export class LifeQuery {
  @IsOptional() @IsString() @MaxLength(120) before?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(1000) limit?: number;
}
