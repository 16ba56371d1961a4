import { Body, Controller, Get, HttpCode, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { FigureAdopt, FigureOf, PolicyHistory, PolicyPreview, PolicyPreviewRequest, PolicySave, TaskQuery } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { Gone } from '../threads/gone.ts';
import { PolicyService } from './policy.service.ts';

@Controller('policy')
export class PolicyController {
  constructor(private readonly service: PolicyService) {}

  @Get()
  @Needs('team.read')
  @ApiOkResponse({ type: PolicyHistory })
  getPolicy(@CurrentActor() actor: Actor): Promise<PolicyHistory> {
    return this.service.history(actor);
  }

  @Post('preview')
  @Needs('policy.write')
  @HttpCode(200)
  @ApiOkResponse({ type: PolicyPreview })
  previewPolicy(
    @CurrentActor() actor: Actor,
    @Body() { content }: PolicyPreviewRequest,
    @Query() { task }: TaskQuery,
    @Gone() gone: AbortSignal,
  ): Promise<PolicyPreview> {
    return this.service.preview(actor, content, { task, gone });
  }

  /** What planning by a figure of the team's own would change. */
  @Post('own-figures/preview')
  @Needs('figure.adopt')
  @HttpCode(200)
  @ApiOkResponse({ type: PolicyPreview })
  previewFigure(
    @CurrentActor() actor: Actor,
    @Body() key: FigureOf,
    @Query() { task }: TaskQuery,
    @Gone() gone: AbortSignal,
  ): Promise<PolicyPreview> {
    return this.service.previewFigure(actor, key, { task, gone });
  }

  @Post('own-figures')
  @Needs('figure.adopt')
  @ApiCreatedResponse({ type: PolicyHistory })
  adoptFigure(@CurrentActor() actor: Actor, @Body() input: FigureAdopt): Promise<PolicyHistory> {
    return this.service.adopt(actor, input);
  }

  @Post()
  @Needs('policy.write')
  @ApiCreatedResponse({ type: PolicyHistory })
  savePolicy(@CurrentActor() actor: Actor, @Body() input: PolicySave): Promise<PolicyHistory> {
    return this.service.save(actor, input);
  }
}
