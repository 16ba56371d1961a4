import { type GearClass, gearClassNames } from '@wainrope/core';
import { Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, IsUUID, Length, Max, MaxLength, Min, ValidateNested } from 'class-validator';
import { IsDayText } from '../day-field.ts';
import { LOAD_MOST_N } from './load.dto.ts';

/** A bought piece that was pulled until it broke. It speaks for its batch, and is never a mark of another piece. */
export class BreakTestCreate {
  @IsUUID() testId!: string;
  @IsDayText() on!: string;
  @IsIn(gearClassNames, { message: 'Choose a class.' }) kind!: GearClass;
  @IsString() @Length(1, 120, { message: 'Name the maker.' }) maker!: string;
  @IsOptional() @IsString() @MaxLength(120) model?: string;
  @IsString() @Length(1, 80, { message: 'Give the batch or lot.' }) batch!: string;
  @IsNumber()
  @Min(1, { message: 'Give the load at which it failed.' })
  @Max(LOAD_MOST_N, { message: 'At most 2,000 kN can be entered.' })
  loadN!: number;
  @IsString() @Length(2, 200, { message: 'Say what failed first.' }) failedFirst!: string;
  @IsOptional() @IsString() @MaxLength(1000) note?: string;
}

export class BreakTestView extends BreakTestCreate {
  @IsString() by!: string;
  @IsString() at!: string;
}

/** Tests of the batch that a piece is of. */
export class BreakTestList {
  @IsArray() @ValidateNested({ each: true }) @Type(() => BreakTestView) items!: readonly BreakTestView[];
  /** Where the next page begins; missing on the last. */
  @IsOptional() @IsString() next?: string;
  /** Pieces of that batch in the register. */
  @IsInt() pieces!: number;
}
