import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { TeamView } from '@wainrope/contract';
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
}
