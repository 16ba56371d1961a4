import { Body, Controller, Delete, Get, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { LayoutCreate, LayoutList } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { LayoutService } from './layout.service.ts';

@Controller('layouts')
export class LayoutController {
  constructor(private readonly service: LayoutService) {}

  @Get()
  @Needs('plan.read')
  @ApiOkResponse({ type: LayoutList })
  listLayouts(@CurrentActor() actor: Actor): Promise<LayoutList> {
    return this.service.list(actor);
  }

  @Post()
  @Needs('plan.write')
  @ApiCreatedResponse({ type: LayoutList })
  keepLayout(@CurrentActor() actor: Actor, @Body() input: LayoutCreate): Promise<LayoutList> {
    return this.service.keep(actor, input);
  }

  @Delete(':layoutId')
  @Needs('plan.write')
  @ApiOkResponse({ type: LayoutList })
  putLayoutAway(@CurrentActor() actor: Actor, @Param('layoutId', ParseUUIDPipe) layoutId: string): Promise<LayoutList> {
    return this.service.putAway(actor, layoutId);
  }
}
