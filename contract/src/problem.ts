import { Type } from 'class-transformer';
import { IsArray, IsInt, IsOptional, IsString, ValidateNested } from 'class-validator';

/** What is wrong with one field, by its path. */
export class ProblemFault {
  @IsString() readonly path!: string;
  @IsString() readonly message!: string;
}

/** An error answer, `application/problem+json`, with a field path for each fault. */
export class Problem {
  @IsString() readonly type!: string;
  @IsString() readonly title!: string;
  @IsInt() readonly status!: number;
  @IsString() readonly detail!: string;
  @IsOptional() @IsArray() @ValidateNested({ each: true }) @Type(() => ProblemFault) readonly faults?: readonly ProblemFault[];
  /** In a conflict: what stands now. */
  @IsOptional() readonly current?: unknown;
  @IsOptional() @IsString() readonly requestId?: string;
}
