import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { BreakTestCreate, BreakTestList, BreakTestView, NewestQuery } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { BreakTestService } from './break-test.service.ts';

@Controller()
export class BreakTestController {
  constructor(private readonly service: BreakTestService) {}

  @Get('gear/:gearId/break-tests')
  @Needs('register.read')
  @ApiOkResponse({ type: BreakTestList })
  listBreakTests(
    @CurrentActor() actor: Actor,
    @Param('gearId', ParseUUIDPipe) gearId: string,
    @Query() query: NewestQuery,
  ): Promise<BreakTestList> {
    return this.service.list(actor, gearId, query);
  }

  @Post('break-tests')
  @Needs('break-test.write')
  @ApiCreatedResponse({ type: BreakTestView })
  addBreakTest(@CurrentActor() actor: Actor, @Body() input: BreakTestCreate): Promise<BreakTestView> {
    return this.service.add(actor, input);
  }
}
