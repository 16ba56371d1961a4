import { Body, Controller, Get, HttpCode, Post, Put } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { FirstSteps, FirstStepsChange, Reminders, SinceVisit, VisitSeen } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { BoardService } from './board.service.ts';

@Controller('visit')
export class BoardController {
  constructor(private readonly service: BoardService) {}

  @Get()
  @Needs('audit.of-one')
  @ApiOkResponse({ type: SinceVisit })
  getSinceVisit(@CurrentActor() actor: Actor): Promise<SinceVisit> {
    return this.service.since(actor);
  }

  @Get('reminders')
  @Needs('register.read')
  @ApiOkResponse({ type: Reminders })
  getReminders(@CurrentActor() actor: Actor): Promise<Reminders> {
    return this.service.reminders(actor);
  }

  @Get('first-steps')
  @Needs('gear.write')
  @ApiOkResponse({ type: FirstSteps })
  getFirstSteps(@CurrentActor() actor: Actor): Promise<FirstSteps> {
    return this.service.firstSteps(actor);
  }

  @Put('first-steps')
  @Needs('gear.write')
  @ApiOkResponse({ type: FirstSteps })
  putFirstStepsAway(@CurrentActor() actor: Actor, @Body() { putAway }: FirstStepsChange): Promise<FirstSteps> {
    return this.service.putFirstStepsAway(actor, putAway);
  }

  @Post()
  @Needs('audit.of-one')
  @HttpCode(200)
  @ApiOkResponse({ type: SinceVisit })
  markSeen(@CurrentActor() actor: Actor, @Body() { upTo }: VisitSeen): Promise<SinceVisit> {
    return this.service.seen(actor, upTo);
  }
}
