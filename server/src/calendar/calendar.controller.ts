import { Controller, Delete, Get, Header, Param, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiProduces } from '@nestjs/swagger';
import { CalendarLink } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs, Open } from '../actor/route-access.ts';
import { CalendarService } from './calendar.service.ts';

@Controller()
export class CalendarController {
  constructor(private readonly service: CalendarService) {}

  @Get('calendar-link')
  @Needs('own.account')
  @ApiOkResponse({ type: CalendarLink })
  getCalendarLink(@CurrentActor() actor: Actor): Promise<CalendarLink> {
    return this.service.view(actor);
  }

  /** Makes a private address; an earlier one ends. */
  @Post('calendar-link')
  @Needs('own.account')
  @ApiCreatedResponse({ type: CalendarLink })
  makeCalendarLink(@CurrentActor() actor: Actor): Promise<CalendarLink> {
    return this.service.make(actor);
  }

  @Delete('calendar-link')
  @Needs('own.account')
  @ApiOkResponse({ type: CalendarLink })
  revokeCalendarLink(@CurrentActor() actor: Actor): Promise<CalendarLink> {
    return this.service.revoke(actor);
  }

  /** Due dates for whoever holds the private address; calendar programs cannot sign in. */
  @Get('calendar/:token')
  @Open()
  @Header('Content-Type', 'text/calendar; charset=utf-8')
  @ApiProduces('text/calendar')
  getCalendar(@Param('token') token: string): Promise<string> {
    return this.service.feed(token);
  }
}
