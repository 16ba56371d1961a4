import { Body, Controller, Get, Header, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiQuery } from '@nestjs/swagger';
import { PlanCreate, PlanList, PlanSave, PlanView, RigFileView } from '@wainrope/contract';
import { Needs } from '../actor/actor.guard.ts';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { PlanService } from './plan.service.ts';

@Controller('plans')
export class PlanController {
  constructor(private readonly service: PlanService) {}

  @Get()
  @Needs('plan.read')
  @ApiQuery({ name: 'after', required: false, type: String })
  @ApiOkResponse({ type: PlanList })
  listPlans(@CurrentActor() actor: Actor, @Query('after') after?: string): Promise<PlanList> {
    return this.service.list(actor, after);
  }

  @Get(':planId')
  @Needs('plan.read')
  @ApiOkResponse({ type: PlanView })
  getPlan(@CurrentActor() actor: Actor, @Param('planId', ParseUUIDPipe) planId: string): Promise<PlanView> {
    return this.service.get(actor, planId);
  }

  @Get(':planId/rig-file')
  @Needs('plan.read')
  @ApiOkResponse({ type: RigFileView })
  @Header('Content-Disposition', 'attachment; filename="plan.rig.json"')
  getRigFile(@CurrentActor() actor: Actor, @Param('planId', ParseUUIDPipe) planId: string): Promise<RigFileView> {
    return this.service.rigFile(actor, planId);
  }

  @Post()
  @Needs('plan.write')
  @ApiCreatedResponse({ type: PlanView })
  createPlan(@CurrentActor() actor: Actor, @Body() input: PlanCreate): Promise<PlanView> {
    return this.service.create(actor, input);
  }

  @Put(':planId')
  @Needs('plan.write')
  @ApiOkResponse({ type: PlanView })
  savePlan(@CurrentActor() actor: Actor, @Param('planId', ParseUUIDPipe) planId: string, @Body() input: PlanSave): Promise<PlanView> {
    return this.service.save(actor, planId, input);
  }
}
