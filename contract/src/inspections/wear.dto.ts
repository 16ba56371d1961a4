import { limitKinds, measuredQuantities } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, IsUUID, ValidateNested } from 'class-validator';

/** One measured value, in the measure's own unit: metres, degrees, a count, a share. */
export class WearReading {
  @IsUUID() inspectionId!: string;
  @IsString() on!: string;
  @IsString() by!: string;
  @IsNumber() value!: number;
  /** Pulls that the piece had made by then, where they are on record. */
  @IsOptional() @IsInt() pulls?: number;
}

/** One measure of a piece over all its inspections. */
export class WearSeries {
  @IsString() measureId!: string;
  @IsString() label!: string;
  @IsIn(measuredQuantities) quantity!: (typeof measuredQuantities)[number];
  /** What ends the piece's use: a loss or a growth against new by more than a share, or more than a value of its own. */
  @IsIn(limitKinds) limitKind!: (typeof limitKinds)[number];
  @IsNumber() limitValue!: number;
  @IsString() source!: string;
  /** Whether the sheet in force still asks for it. */
  @IsBoolean() isAsked!: boolean;
  @IsOptional() @IsNumber() whenNew?: number;
  /** The value at which its use ends; missing where the value when new is needed and unknown. */
  @IsOptional() @IsNumber() limit?: number;
  /** Oldest first. */
  @IsArray() @ValidateNested({ each: true }) @Type(() => WearReading) readings!: readonly WearReading[];
  /** When it is forecast to meet its limit: by the early end of the band of its trend, and by the trend itself. */
  @IsOptional() @IsString() forecastOn?: string;
  @IsOptional() @IsString() expectedOn?: string;
}

export class WearView {
  @IsUUID() gearId!: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => WearSeries) series!: readonly WearSeries[];
}
