import { Type } from 'class-transformer';
import { IsInt, IsOptional, Max, Min } from 'class-validator';

/** What a stream of changes begins with. */
export class EventsQuery {
  /** Changes of the last so many milliseconds are told first, each kind once, for a page that read something before its stream stood. */
  @IsOptional() @Type(() => Number) @IsInt() @Min(1) @Max(60_000) agoMs?: number;
}
