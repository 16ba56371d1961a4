import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
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

/** What happened, the gravest first; a near miss is what might have. */
export const incidentKinds = ['hurt', 'parted', 'struck', 'slid', 'other', 'near-miss'] as const;
export type IncidentKind = (typeof incidentKinds)[number];

/** A piece that was in it; taken out of use at once, where it was in use. */
export class IncidentPiece {
  @IsUUID() gearId!: string;
  @IsBoolean() takenOut!: boolean;
}

export class IncidentCreate {
  @IsUUID() incidentId!: string;
  @IsDayText() on!: string;
  @IsIn(incidentKinds, { message: 'Choose what it was.' }) kind!: IncidentKind;
  @IsString() @Length(3, 4000, { message: 'Say in 3 to 4000 characters what happened.' }) words!: string;
  @IsOptional() @IsString() @MaxLength(200) place?: string;
  /** Who was told: people of the team, the owner, an authority. */
  @IsOptional() @IsString() @MaxLength(500) told?: string;
  @IsOptional() @IsUUID() planId?: string;
  @IsArray()
  @ArrayMaxSize(60, { message: 'At most 60 pieces can be named.' })
  @ArrayUnique(({ gearId }: IncidentPiece) => gearId, { message: 'Each piece is named once.' })
  @ValidateNested({ each: true })
  @Type(() => IncidentPiece)
  pieces!: readonly IncidentPiece[];
  /** What is changed because of it, where that is known already. */
  @IsOptional() @IsString() @MaxLength(2000) changed?: string;
  /** The earlier record that this one puts right. */
  @IsOptional() @IsUUID() corrects?: string;
}

export class FollowUpCreate {
  @IsUUID() followUpId!: string;
  @IsString() @Length(3, 2000, { message: 'Say in 3 to 2000 characters what is changed because of it.' }) words!: string;
}

export class FollowUpView {
  @IsUUID() followUpId!: string;
  @IsString() words!: string;
  @IsString() by!: string;
  @IsString() at!: string;
}

export class IncidentPieceView extends IncidentPiece {
  @IsString() tag!: string;
  @IsString() name!: string;
}

export class IncidentView {
  @IsUUID() incidentId!: string;
  @IsString() on!: string;
  @IsIn(incidentKinds) kind!: IncidentKind;
  @IsString() words!: string;
  @IsOptional() @IsString() place?: string;
  @IsOptional() @IsString() told?: string;
  @IsOptional() @IsUUID() planId?: string;
  @IsOptional() @IsString() planName?: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => IncidentPieceView) pieces!: readonly IncidentPieceView[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => FollowUpView) followUps!: readonly FollowUpView[];
  @IsArray() @IsUUID(undefined, { each: true }) photoIds!: readonly string[];
  @IsString() by!: string;
  @IsString() at!: string;
  @IsOptional() @IsUUID() corrects?: string;
  /** The record that puts this one right: it no longer counts. */
  @IsOptional() @IsUUID() correctedBy?: string;
}

export class IncidentList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => IncidentView) items!: readonly IncidentView[];
  @IsOptional() @IsString() next?: string;
}

export class IncidentQuery {
  @IsOptional() @IsUUID() gearId?: string;
  /** The `next` of the page before. */
  @IsOptional() @IsString() @MaxLength(60) before?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(200) limit?: number;
}
