import { Controller, Header, type MessageEvent, Sse } from '@nestjs/common';
import { ApiOkResponse, ApiProduces } from '@nestjs/swagger';
import { interval, map, merge, type Observable, takeUntil, timer } from 'rxjs';
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
  streamEvents(@CurrentActor() actor: Actor): Observable<MessageEvent> {
    const changes = this.events.of(actor.teamId).pipe(map((event): MessageEvent => ({ data: { ...event, teamId: undefined } })));
    const beat = interval(BEAT_MS).pipe(map((): MessageEvent => ({ data: { type: 'beat' } })));
    return merge(changes, beat).pipe(takeUntil(timer(STREAM_MS)));
  }
}
