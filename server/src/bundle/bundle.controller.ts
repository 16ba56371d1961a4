import { Controller, Get, Header, StreamableFile } from '@nestjs/common';
import { ApiOkResponse, ApiProduces } from '@nestjs/swagger';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { BundleService } from './bundle.service.ts';

@Controller('bundle')
export class BundleController {
  constructor(private readonly service: BundleService) {}

  /** The whole team in one file: everything but accounts, sessions and calendar links. */
  @Get()
  @Needs('bundle.read')
  @ApiProduces('application/json')
  @ApiOkResponse({ schema: { type: 'object' } })
  @Header('Content-Disposition', 'attachment; filename="wainrope.team.json"')
  async getBundle(@CurrentActor() actor: Actor): Promise<StreamableFile> {
    return new StreamableFile(await this.service.out(actor), { type: 'application/json; charset=utf-8' });
  }
}
