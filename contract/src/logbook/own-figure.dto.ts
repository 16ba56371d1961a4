import { type Depth, depths, type Surface, surfaces } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, ValidateNested } from 'class-validator';

/** What a team's own measured pulls came to on one ground, depth and machine, as shares of the vehicle's weight. */
export class OwnFigureView {
  @IsIn(surfaces) surface!: Surface;
  @IsIn(depths) depth!: Depth;
  @IsString() machine!: string;
  @IsInt() pulls!: number;
  /** From three pulls on. */
  @IsOptional() @IsNumber() median?: number;
  @IsOptional() @IsNumber() low?: number;
  @IsOptional() @IsNumber() high?: number;
  @IsOptional() @IsNumber() largest?: number;
  /** What may be planned with in place of the method, from ten pulls on. */
  @IsOptional() @IsNumber() adoptable?: number;
  /** The median of what was measured over what was planned: 1 where estimates are right. */
  @IsNumber() ofPlanned!: number;
  @IsString() lastOn!: string;
}

export class OwnFigureList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => OwnFigureView) items!: readonly OwnFigureView[];
}
