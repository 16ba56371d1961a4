import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { IfHurt, TeamView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { TeamService } from './team.service.ts';

@Controller('team')
export class TeamController {
  constructor(private readonly service: TeamService) {}

  @Get()
  @Needs('team.read')
  @ApiOkResponse({ type: TeamView })
  getTeam(@CurrentActor() actor: Actor): Promise<TeamView> {
    return this.service.view(actor);
  }

  /** Sets whom the team calls when somebody is hurt; an empty one is taken for not set. */
  @Put('if-hurt')
  @Needs('people.write')
  @ApiOkResponse({ type: TeamView })
  setIfHurt(@CurrentActor() actor: Actor, @Body() input: IfHurt): Promise<TeamView> {
    return this.service.setIfHurt(actor, input);
  }
}
