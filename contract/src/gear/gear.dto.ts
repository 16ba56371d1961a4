import {
  type GearClass,
  type GearState,
  type Grade,
  gearClassNames,
  gearStates,
  grades,
  type MarkBasis,
  type MarkSource,
  markBases,
  markSources,
  type TonUnit,
  tonUnits,
} from '@wainrope/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsDayText, IsPartialDateText } from '../day-field.ts';

/** A rating as typed: the words on the tag, and what the person says about them. */
export class MarkInput {
  @IsString() @Length(1, 120, { message: 'The mark must have 1 to 120 characters.' }) asWritten!: string;
  /** Left out: what the words say, else unstated. */
  @IsOptional() @IsIn(markBases) basis?: MarkBasis;
  @IsIn(markSources) source!: MarkSource;
  /** Which ton a bare “ton” is, confirmed by a person. */
  @IsOptional() @IsIn(tonUnits) confirmedUnit?: TonUnit;
}

export class MarkReading {
  @IsString() unit!: string;
  @IsNumber() forceN!: number;
}

export class MarkView {
  @IsString() asWritten!: string;
  @IsIn(markBases) basis!: MarkBasis;
  @IsIn(markSources) source!: MarkSource;
  @IsBoolean() settingDecided!: boolean;
  @IsOptional() @IsIn(tonUnits) confirmedUnit?: TonUnit;
  @IsArray() @ValidateNested({ each: true }) @Type(() => MarkReading) readings!: readonly MarkReading[];
}

export class LastInspection {
  @IsString() on!: string;
  @IsIn(grades) grade!: Grade;
  @IsOptional() @IsString() nextDue?: string;
  @IsOptional() @IsString() by?: string;
  /** What brought the day forward, in words. */
  @IsOptional() @IsString() shortenedBy?: string;
}

/** What a person enters about a piece. Attributes follow the class’s field table, in SI units. */
export class GearInput {
  @IsString() @Matches(/^\S(.{0,38}\S)?$/, { message: 'The tag must have 1 to 40 characters and no space at its ends.' }) tag!: string;
  @IsIn(gearClassNames, { message: 'Choose a class.' }) kind!: GearClass;
  @IsString() @Length(1, 120, { message: 'The name must have 1 to 120 characters.' }) name!: string;
  @IsIn(gearStates) state!: GearState;
  @IsArray()
  @ArrayMaxSize(4, { message: 'At most 4 marks fit on one piece.' })
  @ValidateNested({ each: true })
  @Type(() => MarkInput)
  marks!: readonly MarkInput[];
  @IsObject() attributes!: object;
  @IsInt() @Min(0) @Max(1_000_000) overloadsSinceInspection!: number;
  @IsOptional() @IsString() @MaxLength(120) maker?: string;
  @IsOptional() @IsString() @MaxLength(120) model?: string;
  /** The maker's batch or lot, as it stands on the piece or its paper. */
  @IsOptional() @IsString() @MaxLength(80) batch?: string;
  @IsOptional() @IsString() @MaxLength(120) owner?: string;
  @IsOptional() @IsUUID() kitId?: string;
  @IsOptional() @IsUUID() vehicleId?: string;
  @IsOptional() @IsPartialDateText() madeOn?: string;
  @IsOptional() @IsPartialDateText() boughtOn?: string;
  @IsOptional() @IsPartialDateText() firstUsedOn?: string;
  @IsOptional() @IsDayText() renewedUntil?: string;
  @IsOptional() @IsString() @MaxLength(2000, { message: 'The note must have at most 2000 characters.' }) note?: string;
}

/** A new piece carries its id, so that sending it twice makes one piece. */
export class GearCreate extends GearInput {
  @IsUUID() gearId!: string;
}

/** A change names the version it was made from; a stale one is answered with a conflict. */
export class GearChange extends GearInput {
  @IsInt() @Min(1) rowVersion!: number;
}

/** Where a piece is while it is checked out. */
export class PieceAway {
  @IsUUID() outingId!: string;
  @IsString() holder!: string;
  @IsString() since!: string;
  @IsOptional() @IsString() dueBackOn?: string;
}

export class GearView extends GearInput {
  @IsUUID() gearId!: string;
  @IsInt() rowVersion!: number;
  /** Rises only when something that is judged has changed. */
  @IsInt() factsRevision!: number;
  @IsArray() @ValidateNested({ each: true }) @Type(() => MarkView) declare marks: MarkView[];
  @IsOptional() @ValidateNested() @Type(() => LastInspection) inspection?: LastInspection;
  /** A rope that counts its pulls: the day on which they will be used up, at the pace of its last year. */
  @IsOptional() @IsString() pullsUsedUpOn?: string;
  /** Checked out and not counted back. */
  @IsOptional() @ValidateNested() @Type(() => PieceAway) away?: PieceAway;
}

/** One page of the register, in tag order; `next` continues it. */
export class GearPage {
  @IsArray() @ValidateNested({ each: true }) @Type(() => GearView) items!: readonly GearView[];
  @IsOptional() @IsString() next?: string;
}

export class GearPageQuery {
  @IsOptional() @IsString() @MaxLength(40) after?: string;
  /** The last tag that belongs to the page, where pages are asked for side by side. */
  @IsOptional() @IsString() @MaxLength(40) upTo?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(1000) limit?: number;
}

/** Where the pages of the register begin behind a tag: each is what follows one of these up to the next, whatever is added meanwhile. */
export class GearPageStarts {
  @IsArray() @IsString({ each: true }) starts!: readonly string[];
}

export class GearPageStartsQuery {
  @IsString() @MaxLength(40) after!: string;
  @Type(() => Number) @IsInt() @Min(1) @Max(1000) limit!: number;
}
