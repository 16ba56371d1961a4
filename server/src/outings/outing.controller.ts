import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { OutingClose, OutingCreate, OutingList, OutingPieces, OutingView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { OutingService } from './outing.service.ts';

@Controller('outings')
export class OutingController {
  constructor(private readonly service: OutingService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: OutingList })
  listOutings(@CurrentActor() actor: Actor): Promise<OutingList> {
    return this.service.list(actor);
  }

  @Get(':outingId')
  @Needs('register.read')
  @ApiOkResponse({ type: OutingView })
  getOuting(@CurrentActor() actor: Actor, @Param('outingId', ParseUUIDPipe) outingId: string): Promise<OutingView> {
    return this.service.get(actor, outingId);
  }

  @Post()
  @Needs('whereabouts.write')
  @ApiCreatedResponse({ type: OutingView })
  checkOut(@CurrentActor() actor: Actor, @Body() input: OutingCreate): Promise<OutingView> {
    return this.service.begin(actor, input);
  }

  @Post(':outingId/pieces')
  @Needs('whereabouts.write')
  @HttpCode(200)
  @ApiOkResponse({ type: OutingView })
  addToOuting(
    @CurrentActor() actor: Actor,
    @Param('outingId', ParseUUIDPipe) outingId: string,
    @Body() input: OutingPieces,
  ): Promise<OutingView> {
    return this.service.addPieces(actor, outingId, input);
  }

  @Post(':outingId/count-back')
  @Needs('whereabouts.write')
  @HttpCode(200)
  @ApiOkResponse({ type: OutingView })
  countBack(
    @CurrentActor() actor: Actor,
    @Param('outingId', ParseUUIDPipe) outingId: string,
    @Body() input: OutingPieces,
  ): Promise<OutingView> {
    return this.service.countBack(actor, outingId, input);
  }

  @Post(':outingId/close')
  @Needs('whereabouts.write')
  @HttpCode(200)
  @ApiOkResponse({ type: OutingView })
  closeOuting(
    @CurrentActor() actor: Actor,
    @Param('outingId', ParseUUIDPipe) outingId: string,
    @Body() input: OutingClose,
  ): Promise<OutingView> {
    return this.service.close(actor, outingId, input);
  }
}
