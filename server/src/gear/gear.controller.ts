import { Body, Controller, Get, Header, HttpCode, Param, ParseUUIDPipe, Post, Put, Query, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiProduces } from '@nestjs/swagger';
import {
  GearChange,
  GearCreate,
  GearPage,
  GearPageQuery,
  GearPageStarts,
  GearPageStartsQuery,
  GearView,
  ImportCommit,
  ImportPreview,
  ImportRequest,
  ImportResult,
  TaskQuery,
} from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { Gone } from '../threads/gone.ts';
import { GearService } from './gear.service.ts';
import { RegisterImportService } from './import/register-import.service.ts';

@Controller('gear')
export class GearController {
  constructor(
    private readonly service: GearService,
    private readonly files: RegisterImportService,
  ) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: GearPage })
  listGear(@CurrentActor() actor: Actor, @Query() query: GearPageQuery): Promise<GearPage> {
    return this.service.page(actor, query);
  }

  @Get('pages')
  @Needs('register.read')
  @ApiOkResponse({ type: GearPageStarts })
  listGearPages(@CurrentActor() actor: Actor, @Query() query: GearPageStartsQuery): Promise<GearPageStarts> {
    return this.service.starts(actor, query);
  }

  @Get('export.csv')
  @Needs('register.read')
  @ApiProduces('text/csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="register.csv"')
  exportGear(@CurrentActor() actor: Actor): Promise<string> {
    return this.files.exportCsv(actor);
  }

  @Get(':gearId')
  @Needs('register.read')
  @ApiOkResponse({ type: GearView })
  getGear(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string): Promise<GearView> {
    return this.service.get(actor, gearId);
  }

  @Post()
  @Needs('gear.write')
  @ApiCreatedResponse({ type: GearView })
  createGear(@CurrentActor() actor: Actor, @Body() input: GearCreate): Promise<GearView> {
    return this.service.create(actor, input);
  }

  @Put(':gearId')
  @Needs('gear.write')
  @ApiOkResponse({ type: GearView })
  changeGear(@CurrentActor() actor: Actor, @Param('gearId', ParseUUIDPipe) gearId: string, @Body() input: GearChange): Promise<GearView> {
    return this.service.change(actor, gearId, input);
  }

  @Post('import/preview')
  @Needs('gear.write')
  @HttpCode(200)
  @ApiOkResponse({ type: ImportPreview })
  async previewImport(
    @CurrentActor() actor: Actor,
    @Body() input: ImportRequest,
    @Query() { task }: TaskQuery,
    @Gone() gone: AbortSignal,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.files.preview(actor, input, { task, gone }), { type: 'application/json; charset=utf-8' });
  }

  @Post('import')
  @Needs('gear.write')
  @HttpCode(200)
  @ApiOkResponse({ type: ImportResult })
  importGear(@CurrentActor() actor: Actor, @Body() input: ImportCommit, @Query() asked: TaskQuery): Promise<ImportResult> {
    return this.files.commit(actor, input, asked);
  }
}
