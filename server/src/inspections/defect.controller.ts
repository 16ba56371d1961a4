import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { DefectClose, DefectList } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { PieceCareService } from './piece-care.service.ts';

@Controller('defects')
export class DefectController {
  constructor(private readonly service: PieceCareService) {}

  /** Defects that nobody has closed yet, oldest first. */
  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: DefectList })
  listDefects(@CurrentActor() actor: Actor): Promise<DefectList> {
    return this.service.openDefects(actor);
  }

  @Post(':defectId/closing')
  @Needs('inspection.full')
  @HttpCode(200)
  @ApiOkResponse({ type: DefectList })
  closeDefect(
    @CurrentActor() actor: Actor,
    @Param('defectId', ParseUUIDPipe) defectId: string,
    @Body() input: DefectClose,
  ): Promise<DefectList> {
    return this.service.closeDefect(actor, defectId, input);
  }
}
