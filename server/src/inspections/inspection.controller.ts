import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { InspectionCreate, InspectionList, InspectionQuery, InspectionView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { InspectionService } from './inspection.service.ts';

@Controller('inspections')
export class InspectionController {
  constructor(private readonly service: InspectionService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: InspectionList })
  listInspections(@CurrentActor() actor: Actor, @Query() query: InspectionQuery): Promise<InspectionList> {
    return this.service.list(actor, query);
  }

  @Get(':inspectionId')
  @Needs('register.read')
  @ApiOkResponse({ type: InspectionView })
  getInspection(@CurrentActor() actor: Actor, @Param('inspectionId', ParseUUIDPipe) inspectionId: string): Promise<InspectionView> {
    return this.service.get(actor, inspectionId);
  }

  /** Checks before and after use are for members too; every other kind needs a keeper, which the service sees to. */
  @Post()
  @Needs('inspection.use-check')
  @ApiCreatedResponse({ type: InspectionView })
  addInspection(@CurrentActor() actor: Actor, @Body() input: InspectionCreate): Promise<InspectionView> {
    return this.service.add(actor, input);
  }
}
