import { Controller, Get, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { LifeQuery, LifeView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { LifeService } from './life.service.ts';

/** A piece's whole life. */
@Controller('gear/:gearId/life')
export class LifeController {
  constructor(private readonly service: LifeService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: LifeView })
  getLife(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string, @Query() query: LifeQuery): Promise<LifeView> {
    return this.service.of(actor, gearId, query);
  }
}
