import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { KitChange, KitContents, KitCreate, KitDetail, KitList } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { KitService } from './kit.service.ts';

@Controller('kits')
export class KitController {
  constructor(private readonly service: KitService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: KitList })
  listKits(@CurrentActor() actor: Actor): Promise<KitList> {
    return this.service.list(actor);
  }

  @Post()
  @Needs('kit.write')
  @ApiCreatedResponse({ type: KitDetail })
  addKit(@CurrentActor() actor: Actor, @Body() input: KitCreate): Promise<KitDetail> {
    return this.service.add(actor, input);
  }

  @Put(':kitId')
  @Needs('kit.write')
  @ApiOkResponse({ type: KitDetail })
  changeKit(@CurrentActor() actor: Actor, @Param('kitId', ParseUUIDPipe) kitId: string, @Body() input: KitChange): Promise<KitDetail> {
    return this.service.change(actor, kitId, input);
  }

  @Post(':kitId/contents')
  @Needs('whereabouts.write')
  @HttpCode(200)
  @ApiOkResponse({ type: KitDetail })
  moveContents(@CurrentActor() actor: Actor, @Param('kitId', ParseUUIDPipe) kitId: string, @Body() input: KitContents): Promise<KitDetail> {
    return this.service.contents(actor, kitId, input);
  }
}
