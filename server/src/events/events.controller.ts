import { Controller, Header, type MessageEvent, Query, Req, Sse } from '@nestjs/common';
import { ApiOkResponse, ApiProduces } from '@nestjs/swagger';
import { EventsQuery, may } from '@wainrope/contract';
import type { Request } from 'express';
import { interval, map, merge, type Observable, takeUntil, takeWhile, timer } from 'rxjs';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { LiveEvents } from './live-events.ts';

/** Keeps proxies from closing a quiet stream. */
const BEAT_MS = 20_000;
/** A stream ends now and then; the page comes back at once and is asked anew who it is. */
const STREAM_MS = 600_000;

@Controller('events')
export class EventsController {
  constructor(private readonly events: LiveEvents) {}

  /** Changes of the team’s records as they happen, as server-sent events. */
  @Sse()
  @Needs('team.read')
  @Header('X-Accel-Buffering', 'no')
  @ApiProduces('text/event-stream')
  @ApiOkResponse({ type: String })
  streamEvents(
    @CurrentActor() actor: Actor,
    @Query() { agoMs }: EventsQuery,
    @Req() { session, sessionID: sid }: Request,
  ): Observable<MessageEvent> {
    // Who did it is the trail's to tell, to whoever may read that.
    const isTold = may(actor.role, 'audit.of-one');
    const changes = this.events
      .of(actor.teamId, agoMs)
      .pipe(map((event) => ({ ...event, teamId: undefined, ...(!isTold && { by: undefined }) })));
    const accountId = session.signedIn?.accountId ?? '';
    const beat = interval(BEAT_MS).pipe(map(() => ({ type: 'beat' as const })));
    return merge(changes, beat).pipe(
      takeUntil(merge(timer(STREAM_MS), this.events.endOf({ sid, accountId }))),
      // What was not heard may have been the end of this very session: the page comes back at once and is asked anew who it is.
      takeWhile(({ type }) => type !== 'reset', true),
      map((data): MessageEvent => ({ data })),
    );
  }
}
