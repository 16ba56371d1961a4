import { Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, IsUUID, Length, Max, MaxLength, Min, ValidateNested } from 'class-validator';

class VehicleContent {
  @IsString() @Length(1, 80, { message: 'The vehicle’s name must have 1 to 80 characters.' }) name!: string;
  @IsString() @Length(1, 80, { message: 'The model must have 1 to 80 characters; the hook-up book is kept by model.' }) model!: string;
  /** Ready to drive, with its usual load. */
  @IsNumber()
  @Min(50, { message: 'The mass must be at least 50 kg.' })
  @Max(60_000, { message: 'The mass must be at most 60 000 kg.' })
  massKg!: number;
  @IsNumber()
  @Min(0.5, { message: 'The length must be at least 0.5 m.' })
  @Max(25, { message: 'The length must be at most 25 m.' })
  lengthM!: number;
  @IsNumber()
  @Min(0.3, { message: 'The width must be at least 0.3 m.' })
  @Max(4, { message: 'The width must be at most 4 m.' })
  widthM!: number;
}

export class VehicleCreate extends VehicleContent {
  @IsUUID() vehicleId!: string;
}

export class VehicleChange extends VehicleContent {
  @IsInt() @Min(1) rowVersion!: number;
}

export class VehicleDetail extends VehicleContent {
  @IsUUID() vehicleId!: string;
  @IsInt() rowVersion!: number;
  @IsArray() @IsUUID(undefined, { each: true }) photoIds!: readonly string[];
}

export class VehicleList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => VehicleDetail) items!: readonly VehicleDetail[];
}

/** What is known of a place on a vehicle: held, only as a last resort, never, or touched by a line that is led under it. */
export const hookUpKinds = ['used', 'last-resort', 'refused', 'touched'] as const;
export type HookUpKind = (typeof hookUpKinds)[number];

/** One entry of the hook-up book: a place on a model of vehicle, and what came of it. */
export class HookUpCreate {
  @IsUUID() entryId!: string;
  @IsString() @Length(1, 80, { message: 'Say which model of vehicle.' }) model!: string;
  @IsIn(hookUpKinds) kind!: HookUpKind;
  @IsString() @Length(3, 160, { message: 'Say where on the vehicle, so that somebody lying in the mud finds it.' }) place!: string;
  /** Ahead of the vehicle’s middle, left of its centre line, above the ground; metres. */
  @IsOptional() @IsNumber() @Min(-15) @Max(15) forwardM?: number;
  @IsOptional() @IsNumber() @Min(-3) @Max(3) leftM?: number;
  @IsOptional() @IsNumber() @Min(0) @Max(4) heightM?: number;
  /** The greatest load it has held, newtons. */
  @IsOptional() @IsNumber() @Min(1) @Max(1_000_000) loadN?: number;
  /** How round the part is that a line touches there, metres. */
  @IsOptional()
  @IsNumber()
  @Min(0.0005, { message: 'The radius must be at least 0.5 mm.' })
  @Max(2, { message: 'The radius must be at most 2 m.' })
  radiusM?: number;
  @IsOptional() @IsString() @MaxLength(1000) note?: string;
  /** The earlier entry that this one corrects. */
  @IsOptional() @IsUUID() corrects?: string;
}

export class HookUpView extends HookUpCreate {
  @IsString() by!: string;
  @IsString() on!: string;
  @IsArray() @IsUUID(undefined, { each: true }) photoIds!: readonly string[];
}

export class HookUpBook {
  @IsArray() @ValidateNested({ each: true }) @Type(() => HookUpView) items!: readonly HookUpView[];
}
