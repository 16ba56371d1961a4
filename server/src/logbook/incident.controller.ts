import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import {
  FollowUpCreate,
  IncidentCreate,
  IncidentList,
  IncidentQuery,
  IncidentView,
  OwnFigureList,
  SeasonQuery,
  SeasonView,
} from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { IncidentService } from './incident.service.ts';
import { SeasonService } from './season.service.ts';

@Controller()
export class IncidentController {
  constructor(
    private readonly service: IncidentService,
    private readonly seasons: SeasonService,
  ) {}

  @Get('incidents')
  @Needs('register.read')
  @ApiOkResponse({ type: IncidentList })
  listIncidents(@CurrentActor() actor: Actor, @Query() query: IncidentQuery): Promise<IncidentList> {
    return this.service.list(actor, query);
  }

  @Post('incidents')
  @Needs('incident.write')
  @ApiCreatedResponse({ type: IncidentView })
  addIncident(@CurrentActor() actor: Actor, @Body() input: IncidentCreate): Promise<IncidentView> {
    return this.service.add(actor, input);
  }

  @Get('incidents/:incidentId')
  @Needs('register.read')
  @ApiOkResponse({ type: IncidentView })
  getIncident(@CurrentActor() actor: Actor, @Param('incidentId', ParseUUIDPipe) incidentId: string): Promise<IncidentView> {
    return this.service.get(actor, incidentId);
  }

  @Post('incidents/:incidentId/follow-ups')
  @Needs('incident.write')
  @ApiCreatedResponse({ type: IncidentView })
  addFollowUp(
    @CurrentActor() actor: Actor,
    @Param('incidentId', ParseUUIDPipe) incidentId: string,
    @Body() input: FollowUpCreate,
  ): Promise<IncidentView> {
    return this.service.addFollowUp(actor, incidentId, input);
  }

  /** What measured pulls came to, beside what was planned for them. */
  @Get('own-figures')
  @Needs('register.read')
  @ApiOkResponse({ type: OwnFigureList })
  listOwnFigures(@CurrentActor() actor: Actor): Promise<OwnFigureList> {
    return this.seasons.ownFigures(actor);
  }

  @Get('season')
  @Needs('register.read')
  @ApiOkResponse({ type: SeasonView })
  getSeason(@CurrentActor() actor: Actor, @Query() query: SeasonQuery): Promise<SeasonView> {
    return this.seasons.of(actor, query);
  }
}
