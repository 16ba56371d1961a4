import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsInt, IsOptional, IsString, Max, Min, ValidateNested } from 'class-validator';
import { AuditEntryView } from '../audit/audit.dto.ts';

/** What others have done since a person last said that they had seen it. */
export class SinceVisit {
  @IsOptional() @IsString() since?: string;
  /** The newest entry of the trail when this was answered; sent back to say that it was seen. */
  @IsInt() newest!: number;
  @IsInt() count!: number;
  /** It was so long ago that there is more, which was not counted. */
  @IsBoolean() isMore!: boolean;
  @IsArray() @ValidateNested({ each: true }) @Type(() => AuditEntryView) entries!: readonly AuditEntryView[];
}

/** What waits for somebody: shown beside the names of the pages where it is done. */
export class Reminders {
  /** Pieces whose inspection is overdue, never made, or wanted after an overload. */
  @IsInt() overdue!: number;
  /** Outings that should have been back. */
  @IsInt() lateBack!: number;
}

export class VisitSeen {
  @IsInt() @Min(0) @Max(Number.MAX_SAFE_INTEGER) upTo!: number;
}

/** Whether the signed-in person has a private calendar address; the address itself is shown once. */
export class CalendarLink {
  @IsBoolean() active!: boolean;
  @IsOptional() @IsString() path?: string;
  @IsOptional() @IsString() madeAt?: string;
}

/** How far a new team is: what a first plan can be trusted with. */
export class FirstSteps {
  /** Somebody beside the founder. */
  @IsBoolean() people!: boolean;
  @IsBoolean() gear!: boolean;
  /** A kit with pieces in it. */
  @IsBoolean() kit!: boolean;
  @IsBoolean() vehicle!: boolean;
  @IsBoolean() plan!: boolean;
  /** The team has put the list away. */
  @IsBoolean() putAway!: boolean;
}

export class FirstStepsChange {
  @IsBoolean() putAway!: boolean;
}
