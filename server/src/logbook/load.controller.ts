import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { LoadCreate, LoadList, LoadQuery, LoadView, PullCreate, PullView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { LoadService } from './load.service.ts';

@Controller()
export class LoadController {
  constructor(private readonly service: LoadService) {}

  @Get('gear/:gearId/loads')
  @Needs('register.read')
  @ApiOkResponse({ type: LoadList })
  listLoads(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string, @Query() query: LoadQuery): Promise<LoadList> {
    return this.service.list(actor, gearId, query);
  }

  @Post('loads')
  @Needs('load.write')
  @ApiCreatedResponse({ type: LoadView })
  addLoad(@CurrentActor() actor: Actor, @Body() input: LoadCreate): Promise<LoadView> {
    return this.service.add(actor, input);
  }

  @Post('plans/:planId/pulls')
  @Needs('load.write')
  @ApiCreatedResponse({ type: PullView })
  logPull(@CurrentActor() actor: Actor, @Param('planId', ParseUUIDPipe) planId: string, @Body() input: PullCreate): Promise<PullView> {
    return this.service.logPull(actor, planId, input);
  }
}
