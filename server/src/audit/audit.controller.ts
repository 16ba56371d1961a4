import { Controller, Get, Param, ParseUUIDPipe, Query } from '@nestjs/common';
import { ApiOkResponse } from '@nestjs/swagger';
import { AuditPage, AuditQuery } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { AuditTrail } from './audit-trail.ts';

@Controller('audit')
export class AuditController {
  constructor(private readonly trail: AuditTrail) {}

  @Get()
  @Needs('audit.read')
  @ApiOkResponse({ type: AuditPage })
  listAudit(@CurrentActor() actor: Actor, @Query() query: AuditQuery): Promise<AuditPage> {
    return this.trail.page(actor, query);
  }

  /** What was done to one piece, kit, plan, person or vehicle. */
  @Get(':subjectId')
  @Needs('audit.of-one')
  @ApiOkResponse({ type: AuditPage })
  listAuditOf(
    @CurrentActor() actor: Actor,
    @Param('subjectId', ParseUUIDPipe) subjectId: string,
    @Query() query: AuditQuery,
  ): Promise<AuditPage> {
    return this.trail.page(actor, { ...query, subjectId });
  }
}
