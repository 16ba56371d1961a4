import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { WearView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { WearService } from './wear.service.ts';

@Controller('gear/:gearId/wear')
export class WearController {
  constructor(private readonly service: WearService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: WearView })
  getWear(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string): Promise<WearView> {
    return this.service.of(actor, gearId);
  }
}
