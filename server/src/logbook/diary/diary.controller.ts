import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { DiaryCreate, DiaryView, NewestQuery } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../../actor/actor.ts';
import { Needs } from '../../actor/route-access.ts';
import { DiaryService } from './diary.service.ts';

@Controller('gear/:gearId/diary')
export class DiaryController {
  constructor(private readonly service: DiaryService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: DiaryView })
  listDiary(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string, @Query() query: NewestQuery): Promise<DiaryView> {
    return this.service.list(actor, gearId, query);
  }

  @Post()
  @Needs('diary.write')
  @ApiCreatedResponse({ type: DiaryView })
  addDiaryEntry(
    @CurrentActor() actor: Actor,
    @Param('gearId', ParseUUIDPipe) gearId: string,
    @Body() input: DiaryCreate,
  ): Promise<DiaryView> {
    return this.service.add(actor, gearId, input);
  }
}
