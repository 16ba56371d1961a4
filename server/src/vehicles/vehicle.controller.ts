import { Body, Controller, Get, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { HookUpBook, HookUpCreate, VehicleChange, VehicleCreate, VehicleDetail, VehicleList } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { VehicleService } from './vehicle.service.ts';

@Controller()
export class VehicleController {
  constructor(private readonly service: VehicleService) {}

  @Get('vehicles')
  @Needs('register.read')
  @ApiOkResponse({ type: VehicleList })
  listVehicles(@CurrentActor() actor: Actor): Promise<VehicleList> {
    return this.service.list(actor);
  }

  @Post('vehicles')
  @Needs('vehicle.write')
  @ApiCreatedResponse({ type: VehicleDetail })
  addVehicle(@CurrentActor() actor: Actor, @Body() input: VehicleCreate): Promise<VehicleDetail> {
    return this.service.add(actor, input);
  }

  @Put('vehicles/:vehicleId')
  @Needs('vehicle.write')
  @ApiOkResponse({ type: VehicleDetail })
  changeVehicle(
    @CurrentActor() actor: Actor,
    @Param('vehicleId', ParseUUIDPipe) vehicleId: string,
    @Body() input: VehicleChange,
  ): Promise<VehicleDetail> {
    return this.service.change(actor, vehicleId, input);
  }

  @Get('hook-ups')
  @Needs('register.read')
  @ApiOkResponse({ type: HookUpBook })
  getHookUpBook(@CurrentActor() actor: Actor): Promise<HookUpBook> {
    return this.service.book(actor);
  }

  @Post('hook-ups')
  @Needs('hook-up.write')
  @ApiCreatedResponse({ type: HookUpBook })
  writeHookUp(@CurrentActor() actor: Actor, @Body() input: HookUpCreate): Promise<HookUpBook> {
    return this.service.write(actor, input);
  }
}
