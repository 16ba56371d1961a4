import { type GearClass, gearClassNames, type Terrain, terrains } from '@wainrope/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
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

export class WantedView {
  @IsIn(gearClassNames, { message: 'Choose a class.' }) kind!: GearClass;
  @IsInt() @Min(1, { message: 'At least 1 is wanted.' }) @Max(100) count!: number;
  /** Newtons. */
  @IsOptional() @IsNumber() @Min(1) @Max(10_000_000) leastWllN?: number;
}

class KitContent {
  @IsString() @Length(1, 80, { message: 'The kit’s name must have 1 to 80 characters.' }) name!: string;
  @IsOptional() @IsIn(terrains) terrain?: Terrain;
  /** The vehicle it travels on. */
  @IsOptional() @IsUUID() vehicleId?: string;
  @IsOptional() @IsString() @MaxLength(500) note?: string;
  @IsArray()
  @ArrayMaxSize(60, { message: 'At most 60 lines fit on a packing list.' })
  @ValidateNested({ each: true })
  @Type(() => WantedView)
  wanted!: readonly WantedView[];
}

export class KitCreate extends KitContent {
  @IsUUID() kitId!: string;
}

export class KitChange extends KitContent {
  @IsInt() @Min(1) rowVersion!: number;
}

export class KitDetail extends KitContent {
  @IsUUID() kitId!: string;
  @IsInt() rowVersion!: number;
}

export class KitList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => KitDetail) items!: readonly KitDetail[];
}

/** Pieces put into a kit or taken out of it. */
export class KitContents {
  @IsArray() @ArrayMaxSize(500) @IsUUID(undefined, { each: true }) add!: readonly string[];
  @IsArray() @ArrayMaxSize(500) @IsUUID(undefined, { each: true }) remove!: readonly string[];
}

export const holderKinds = ['person', 'vehicle', 'outside'] as const;
export type HolderKind = (typeof holderKinds)[number];

/** Pieces that go out together: to a person, on a vehicle, or lent outside the team. */
export class OutingCreate {
  @IsUUID() outingId!: string;
  @IsString() @Length(1, 120, { message: 'Say what they go out for.' }) name!: string;
  @IsIn(holderKinds) holderKind!: HolderKind;
  /** The person or vehicle; for a loan outside, left out. */
  @IsOptional() @IsUUID() holderId?: string;
  /** Who borrows it, for a loan outside. */
  @IsOptional() @IsString() @Length(1, 120, { message: 'Say who is borrowing it.' }) holderName?: string;
  @IsOptional() @IsDayText() dueBackOn?: string;
  @IsArray() @ArrayMaxSize(500) @IsUUID(undefined, { each: true }) gearIds!: readonly string[];
}

export class OutingPiece {
  @IsUUID() gearId!: string;
  @IsString() tag!: string;
  @IsString() name!: string;
  @IsString() outAt!: string;
  @IsString() outBy!: string;
  @IsOptional() @IsString() backAt?: string;
  @IsOptional() @IsString() backBy?: string;
}

export class OutingView {
  @IsUUID() outingId!: string;
  @IsString() name!: string;
  @IsIn(holderKinds) holderKind!: HolderKind;
  @IsOptional() @IsUUID() holderId?: string;
  @IsString() holder!: string;
  @IsString() outAt!: string;
  @IsString() outBy!: string;
  @IsOptional() @IsString() dueBackOn?: string;
  @IsOptional() @IsString() closedAt?: string;
  @IsOptional() @IsString() closedBy?: string;
  /** What became of the pieces that did not come back. */
  @IsOptional() @IsString() missingNote?: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => OutingPiece) pieces!: readonly OutingPiece[];
}

export class OutingList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => OutingView) items!: readonly OutingView[];
}

export class OutingPieces {
  @IsArray() @ArrayMaxSize(500) @IsUUID(undefined, { each: true }) gearIds!: readonly string[];
}

export class OutingClose {
  /** Needed where pieces are missing. */
  @IsOptional() @IsString() @MaxLength(1000) missingNote?: string;
}
