import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { CounterCorrection, ExposureCreate, PieceCare, QuarantineRequest, RetireRequest } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { PieceCareService } from './piece-care.service.ts';

@Controller('gear/:gearId')
export class PieceCareController {
  constructor(private readonly service: PieceCareService) {}

  @Get('care')
  @Needs('register.read')
  @ApiOkResponse({ type: PieceCare })
  getCare(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string): Promise<PieceCare> {
    return this.service.care(actor, gearId);
  }

  @Post('quarantine')
  @Needs('inspection.use-check')
  @HttpCode(200)
  @ApiOkResponse({ type: PieceCare })
  quarantine(
    @CurrentActor() actor: Actor,
    @Param('gearId', ParseUUIDPipe) gearId: string,
    @Body() input: QuarantineRequest,
  ): Promise<PieceCare> {
    return this.service.quarantine(actor, gearId, input);
  }

  @Post('retire')
  @Needs('gear.state')
  @HttpCode(200)
  @ApiOkResponse({ type: PieceCare })
  retire(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string, @Body() input: RetireRequest): Promise<PieceCare> {
    return this.service.retire(actor, gearId, input);
  }

  @Post('counters')
  @Needs('gear.counters')
  @HttpCode(200)
  @ApiOkResponse({ type: PieceCare })
  correctCounter(
    @CurrentActor() actor: Actor,
    @Param('gearId', ParseUUIDPipe) gearId: string,
    @Body() input: CounterCorrection,
  ): Promise<PieceCare> {
    return this.service.correctCounter(actor, gearId, input);
  }

  @Post('exposures')
  @Needs('exposure.write')
  @HttpCode(200)
  @ApiOkResponse({ type: PieceCare })
  addExposure(
    @CurrentActor() actor: Actor,
    @Param('gearId', ParseUUIDPipe) gearId: string,
    @Body() input: ExposureCreate,
  ): Promise<PieceCare> {
    return this.service.expose(actor, gearId, input);
  }
}
