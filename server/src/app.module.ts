import { Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { ActorGuard } from './actor/actor.guard.ts';
import { ActorResolver } from './actor/actor.resolver.ts';
import { Clock } from './clock/clock.ts';
import { TeamDatabase } from './database/team-database.ts';
import { GearController } from './gear/gear.controller.ts';
import { GearRepository } from './gear/gear.repository.ts';
import { GearService } from './gear/gear.service.ts';
import { RegisterImportService } from './gear/register-import.service.ts';
import { HealthController } from './health/health.controller.ts';
import { ProblemFilter } from './http/problem.filter.ts';
import { PlanController } from './plans/plan.controller.ts';
import { PlanRepository } from './plans/plan.repository.ts';
import { PlanService } from './plans/plan.service.ts';
import { TeamController } from './team/team.controller.ts';
import { TeamRepository } from './team/team.repository.ts';
import { TeamService } from './team/team.service.ts';

@Module({
  controllers: [HealthController, TeamController, GearController, PlanController],
  providers: [
    Clock,
    TeamDatabase,
    ActorResolver,
    TeamRepository,
    TeamService,
    GearRepository,
    GearService,
    RegisterImportService,
    PlanRepository,
    PlanService,
    { provide: APP_GUARD, useClass: ActorGuard },
    { provide: APP_FILTER, useClass: ProblemFilter },
  ],
})
export class AppModule {}
