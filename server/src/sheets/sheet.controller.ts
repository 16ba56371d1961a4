import { Body, Controller, Get, Param, ParseEnumPipe, Put } from '@nestjs/common';
import { ApiOkResponse, ApiParam } from '@nestjs/swagger';
import { SheetList, SheetSave, SheetView } from '@wainrope/contract';
import { type GearClass, gearClassNames } from '@wainrope/core';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { notFound } from '../http/problem.ts';
import { SheetService } from './sheet.service.ts';

const asClass = new ParseEnumPipe(Object.fromEntries(gearClassNames.map((kind) => [kind, kind])), {
  exceptionFactory: () => notFound('class of gear', 'given'),
});

@Controller('inspection-sheets')
export class SheetController {
  constructor(private readonly service: SheetService) {}

  @Get()
  @Needs('register.read')
  @ApiOkResponse({ type: SheetList })
  listSheets(@CurrentActor() actor: Actor): Promise<SheetList> {
    return this.service.list(actor);
  }

  @Put(':gearClass')
  @Needs('template.write')
  @ApiParam({ name: 'gearClass', enum: gearClassNames })
  @ApiOkResponse({ type: SheetView })
  saveSheet(@CurrentActor() actor: Actor, @Param('gearClass', asClass) gearClass: string, @Body() input: SheetSave): Promise<SheetView> {
    return this.service.save(actor, gearClass as GearClass, input);
  }
}
