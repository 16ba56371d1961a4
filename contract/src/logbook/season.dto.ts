import { Type } from 'class-transformer';
import { IsArray, IsInt, IsNumber, IsOptional, IsString, IsUUID, ValidateNested } from 'class-validator';
import { IsDayText } from '../day-field.ts';
import { IncidentView } from './incident.dto.ts';

export class SeasonQuery {
  @IsDayText() from!: string;
  @IsDayText() to!: string;
}

/** A load that stands out. */
export class SeasonLoad {
  @IsUUID() gearId!: string;
  @IsString() tag!: string;
  @IsString() name!: string;
  @IsString() on!: string;
  @IsNumber() happenedN!: number;
  @IsOptional() @IsNumber() wllN?: number;
  @IsOptional() @IsNumber() share?: number;
  @IsString() overload!: string;
  @IsOptional() @IsString() place?: string;
}

/** What a team did and what its gear went through between two days, those included. */
export class SeasonView {
  @IsString() from!: string;
  @IsString() to!: string;
  @IsInt() pulls!: number;
  @IsInt() piecesLoaded!: number;
  @IsInt() inspections!: number;
  @IsInt() failed!: number;
  @IsInt() takenOut!: number;
  @IsInt() retired!: number;
  @IsInt() outings!: number;
  /** Over the limit, the newest first. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => SeasonLoad) overloads!: readonly SeasonLoad[];
  /** The largest shares of a limit. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => SeasonLoad) hardest!: readonly SeasonLoad[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => IncidentView) incidents!: readonly IncidentView[];
}
