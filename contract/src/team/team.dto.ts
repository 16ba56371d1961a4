import { Type } from 'class-transformer';
import { IsArray, IsIn, IsNumber, IsObject, IsOptional, IsString, IsUUID, MaxLength, ValidateNested } from 'class-validator';

import { type PersonRole, personRoles } from '../access/capabilities.ts';

export class PersonView {
  @IsUUID() personId!: string;
  @IsString() name!: string;
  @IsIn(personRoles) role!: PersonRole;
}

export class KitView {
  @IsUUID() kitId!: string;
  @IsString() name!: string;
}

export class VehicleView {
  @IsUUID() vehicleId!: string;
  @IsString() name!: string;
  @IsString() model!: string;
  @IsNumber() massKg!: number;
  @IsNumber() lengthM!: number;
  @IsNumber() widthM!: number;
}

export class PolicyView {
  @IsUUID() policyVersionId!: string;
  @IsString() contentHash!: string;
  /** Core’s policy document. */
  @IsObject() content!: object;
}

/** What is said and done when somebody is hurt, for the card that is taken along. */
export class IfHurt {
  /** Whom to call and how, in the team’s own words: a number, a channel; empty where nobody has set it. */
  @IsString() @MaxLength(60, { message: 'Say whom to call in at most 60 characters: it stands on one line of the card.' }) call!: string;
}

/** Everything a page needs to begin: team, actor, kits, vehicles, policy, and the server’s day. */
export class TeamView {
  @IsUUID() teamId!: string;
  @IsString() name!: string;
  @IsIn(['.', ',']) decimalMark!: '.' | ',';
  @IsString() today!: string;
  @ValidateNested() @Type(() => PersonView) actor!: PersonView;
  @IsArray() @ValidateNested({ each: true }) @Type(() => KitView) kits!: readonly KitView[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => VehicleView) vehicles!: readonly VehicleView[];
  @ValidateNested() @Type(() => PolicyView) policy!: PolicyView;
  @ValidateNested() @Type(() => IfHurt) ifHurt!: IfHurt;
  /** Who is trained in first aid, by name; nobody who has left. */
  @IsArray() @IsString({ each: true }) firstAiders!: readonly string[];
  @IsOptional() @IsString() demo?: string;
}
