import { Body, Controller, Get, Header, HttpCode, Param, ParseIntPipe, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiQuery } from '@nestjs/swagger';
import {
  CommentCreate,
  CommentList,
  OverrideCreate,
  PlanCreate,
  PlanList,
  PlanSave,
  PlanStateChange,
  PlanVersionList,
  PlanVersionQuery,
  PlanVersionRig,
  PlanView,
  RigFileView,
  TaskQuery,
  VariantChoice,
} from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { PlanService } from './plan.service.ts';
import { PlanLifeService } from './plan-life.service.ts';
import { VariantService } from './variant.service.ts';

@Controller('plans')
export class PlanController {
  constructor(
    private readonly service: PlanService,
    private readonly life: PlanLifeService,
    private readonly variants: VariantService,
  ) {}

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
  createPlan(@CurrentActor() actor: Actor, @Body() input: PlanCreate, @Query() asked: TaskQuery): Promise<PlanView> {
    return this.service.create(actor, input, asked);
  }

  @Put(':planId')
  @Needs('plan.write')
  @ApiOkResponse({ type: PlanView })
  savePlan(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Body() input: PlanSave,
    @Query() asked: TaskQuery,
  ): Promise<PlanView> {
    return this.service.save(actor, planId, input, asked);
  }

  @Post(':planId/state')
  @Needs('plan.write')
  @HttpCode(200)
  @ApiOkResponse({ type: PlanView })
  setPlanState(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Body() input: PlanStateChange,
    @Query() asked: TaskQuery,
  ): Promise<PlanView> {
    return this.life.setState(actor, planId, input, asked);
  }

  /** Takes a variant for its plan and puts the plan's other variants away; of the plan itself, keeps it as it is. */
  @Post(':planId/choose')
  @Needs('plan.write')
  @HttpCode(200)
  @ApiOkResponse({ type: PlanView })
  chooseVariant(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Body() input: VariantChoice,
    @Query() asked: TaskQuery,
  ): Promise<PlanView> {
    return this.variants.choose(actor, planId, input, asked);
  }

  /** Answers by name for leaving a fix as it is. */
  @Post(':planId/overrides')
  @Needs('plan.write')
  @ApiCreatedResponse({ type: PlanView })
  overrideFinding(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Body() input: OverrideCreate,
  ): Promise<PlanView> {
    return this.life.override(actor, planId, input);
  }

  @Get(':planId/comments')
  @Needs('plan.read')
  @ApiOkResponse({ type: CommentList })
  listComments(@CurrentActor() actor: Actor, @Param('planId', ParseUUIDPipe) planId: string): Promise<CommentList> {
    return this.life.comments(actor, planId);
  }

  @Post(':planId/comments')
  @Needs('plan.write')
  @ApiCreatedResponse({ type: CommentList })
  addComment(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Body() input: CommentCreate,
  ): Promise<CommentList> {
    return this.life.comment(actor, planId, input);
  }

  @Get(':planId/versions')
  @Needs('plan.read')
  @ApiOkResponse({ type: PlanVersionList })
  listVersions(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Query() query: PlanVersionQuery,
  ): Promise<PlanVersionList> {
    return this.life.versions(actor, planId, query);
  }

  @Get(':planId/versions/:version')
  @Needs('plan.read')
  @ApiOkResponse({ type: PlanVersionRig })
  getVersion(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Param('version', ParseIntPipe) version: number,
  ): Promise<PlanVersionRig> {
    return this.life.version(actor, planId, version);
  }
}
