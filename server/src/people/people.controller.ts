import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse } from '@nestjs/swagger';
import { InvitationLink, PeopleList, PersonChange, PersonCreate, PersonListed, PersonPage, PracticeCreate } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { PeopleService } from './people.service.ts';

@Controller('people')
export class PeopleController {
  constructor(private readonly service: PeopleService) {}

  @Get()
  @Needs('team.read')
  @ApiOkResponse({ type: PeopleList })
  listPeople(@CurrentActor() actor: Actor): Promise<PeopleList> {
    return this.service.list(actor);
  }

  @Get(':personId')
  @Needs('team.read')
  @ApiOkResponse({ type: PersonPage })
  getPerson(@CurrentActor() actor: Actor, @Param('personId', ParseUUIDPipe) personId: string): Promise<PersonPage> {
    return this.service.page(actor, personId);
  }

  @Post()
  @Needs('people.write')
  @ApiCreatedResponse({ type: PersonListed })
  addPerson(@CurrentActor() actor: Actor, @Body() input: PersonCreate): Promise<PersonListed> {
    return this.service.add(actor, input);
  }

  @Put(':personId')
  @Needs('people.write')
  @ApiOkResponse({ type: PersonListed })
  changePerson(
    @CurrentActor() actor: Actor,
    @Param('personId', ParseUUIDPipe) personId: string,
    @Body() input: PersonChange,
  ): Promise<PersonListed> {
    return this.service.change(actor, personId, input);
  }

  /** Makes a one-time link; earlier links of this person open nothing any more. */
  @Post(':personId/invitation')
  @Needs('people.write')
  @ApiCreatedResponse({ type: InvitationLink })
  invitePerson(@CurrentActor() actor: Actor, @Param('personId', ParseUUIDPipe) personId: string): Promise<InvitationLink> {
    return this.service.invite(actor, personId);
  }

  /** Notes a layout that a person has practised. Sent twice with one id, it is noted once. */
  @Post(':personId/practice')
  @Needs('practice.write')
  @HttpCode(200)
  @ApiOkResponse({ type: PersonPage })
  addPractice(
    @CurrentActor() actor: Actor,
    @Param('personId', ParseUUIDPipe) personId: string,
    @Body() input: PracticeCreate,
  ): Promise<PersonPage> {
    return this.service.addPractice(actor, personId, input);
  }
}
