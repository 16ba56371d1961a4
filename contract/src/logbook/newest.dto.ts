import { Type } from 'class-transformer';
import { IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';

/** A page of a list, the newest first. */
export class NewestQuery {
  /** The `next` of the page before. */
  @IsOptional() @IsString() @MaxLength(60) before?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(200) limit?: number;
}
