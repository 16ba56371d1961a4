import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, IsUUID, Length, MaxLength, ValidateNested } from 'class-validator';
import { IsDayText } from '../day-field.ts';
import { InspectionListed } from '../inspections/inspection.dto.ts';
import { type PersonRole, personRoles } from './capabilities.ts';

class PersonContent {
  @IsString() @Length(1, 80, { message: 'The name must have 1 to 80 characters.' }) name!: string;
  @IsIn(personRoles, { message: 'Choose a role.' }) role!: PersonRole;
  /** Trained in first aid; where it is not said, it stays as it is, at first not trained. */
  @IsOptional() @IsBoolean() firstAider?: boolean;
}

export class PersonCreate extends PersonContent {
  @IsUUID() personId!: string;
}

export class PersonChange extends PersonContent {
  /** Has left: keeps its name in the records and can no longer sign in. */
  @IsBoolean() left!: boolean;
}

export class PersonListed extends PersonContent {
  @IsUUID() personId!: string;
  @IsBoolean() left!: boolean;
  @IsOptional() @IsString() login?: string;
}

export class PeopleList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => PersonListed) items!: readonly PersonListed[];
}

/** A layout that somebody has practised, when, and who saw it. */
export class PracticeCreate {
  @IsUUID() practiceId!: string;
  @IsString() @Length(1, 80, { message: 'Say which layout was practised.' }) layout!: string;
  @IsDayText() on!: string;
  /** Who saw it: a person of the team other than the one who practised. */
  @IsUUID() seenBy!: string;
  @IsOptional() @IsString() @MaxLength(500) note?: string;
}

export class PracticeView {
  @IsUUID() practiceId!: string;
  @IsString() layout!: string;
  @IsString() on!: string;
  @IsString() seenBy!: string;
  @IsOptional() @IsString() note?: string;
}

export class HeldPiece {
  @IsUUID() gearId!: string;
  @IsString() tag!: string;
  @IsString() name!: string;
  @IsString() since!: string;
}

/** A member’s page. */
export class PersonPage {
  @ValidateNested() @Type(() => PersonListed) person!: PersonListed;
  @IsArray() @ValidateNested({ each: true }) @Type(() => PracticeView) practised!: readonly PracticeView[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => HeldPiece) holds!: readonly HeldPiece[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => InspectionListed) inspected!: readonly InspectionListed[];
  @IsInt() inspections!: number;
}
