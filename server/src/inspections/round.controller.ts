import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiNoContentResponse, ApiOkResponse } from '@nestjs/swagger';
import { RoundKeep, RoundList, RoundTake, RoundView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { RoundService } from './round.service.ts';

@Controller('rounds')
export class RoundController {
  constructor(private readonly service: RoundService) {}

  @Get()
  @Needs('inspection.use-check')
  @ApiOkResponse({ type: RoundList })
  listRounds(@CurrentActor() actor: Actor): Promise<RoundList> {
    return this.service.list(actor);
  }

  @Put(':roundId')
  @Needs('inspection.use-check')
  @ApiOkResponse({ type: RoundView })
  keepRound(@CurrentActor() actor: Actor, @Param('roundId', ParseUUIDPipe) roundId: string, @Body() input: RoundKeep): Promise<RoundView> {
    return this.service.keep(actor, roundId, input);
  }

  @Post(':roundId/holder')
  @HttpCode(200)
  @Needs('inspection.use-check')
  @ApiOkResponse({ type: RoundView })
  takeRoundOver(
    @CurrentActor() actor: Actor,
    @Param('roundId', ParseUUIDPipe) roundId: string,
    @Body() { deviceId }: RoundTake,
  ): Promise<RoundView> {
    return this.service.takeOver(actor, roundId, deviceId);
  }

  @Delete(':roundId')
  @HttpCode(204)
  @Needs('inspection.use-check')
  @ApiNoContentResponse()
  putRoundAway(
    @CurrentActor() actor: Actor,
    @Param('roundId', ParseUUIDPipe) roundId: string,
    @Query() { deviceId }: RoundTake,
  ): Promise<void> {
    return this.service.putAway(actor, roundId, deviceId);
  }
}
