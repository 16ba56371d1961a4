import type { IncomingMessage } from 'node:http';
import { Controller, Get, Param, ParseUUIDPipe, Post, Query, Req, StreamableFile } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiCreatedResponse, ApiOkResponse, ApiProduces } from '@nestjs/swagger';
import { NewestQuery, SeriesCreate, SeriesList, SeriesView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../../actor/actor.ts';
import { Needs } from '../../actor/route-access.ts';
import { Gone } from '../../threads/gone.ts';
import { SeriesService } from './series.service.ts';

@Controller()
export class SeriesController {
  constructor(private readonly service: SeriesService) {}

  @Get('plans/:planId/series')
  @Needs('register.read')
  @ApiOkResponse({ type: SeriesList })
  listSeries(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Query() query: NewestQuery,
  ): Promise<SeriesList> {
    return this.service.list(actor, planId, query);
  }

  /** The body is the recorder's file itself; it is taken as a stream. */
  @Post('plans/:planId/series')
  @Needs('load.write')
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  @ApiCreatedResponse({ type: SeriesView })
  addSeries(
    @CurrentActor() actor: Actor,
    @Param('planId', ParseUUIDPipe) planId: string,
    @Query() input: SeriesCreate,
    @Req() request: IncomingMessage,
    @Gone() gone: AbortSignal,
  ): Promise<SeriesView> {
    return this.service.add(actor, planId, input, request, { task: input.task, gone });
  }

  @Get('series/:seriesId')
  @Needs('register.read')
  @ApiOkResponse({ type: SeriesView })
  getSeries(@CurrentActor() actor: Actor, @Param('seriesId', ParseUUIDPipe) seriesId: string): Promise<SeriesView> {
    return this.service.get(actor, seriesId);
  }

  @Get('series/:seriesId/file')
  @Needs('register.read')
  @ApiProduces('text/csv')
  @ApiOkResponse({ schema: { type: 'string' } })
  async getSeriesFile(@CurrentActor() actor: Actor, @Param('seriesId', ParseUUIDPipe) seriesId: string): Promise<StreamableFile> {
    const { name, content } = await this.service.file(actor, seriesId);
    return new StreamableFile(content, { type: 'text/csv', disposition: `attachment; filename*=UTF-8''${encodeURIComponent(name)}` });
  }
}
