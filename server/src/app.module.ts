import { Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { AccessController } from './access/access.controller.ts';
import { AccessRepository } from './access/access.repository.ts';
import { AccessService } from './access/access.service.ts';
import { ActorGuard } from './access/actor.guard.ts';
import { ActorResolver } from './access/actor.resolver.ts';
import { AuditController } from './audit/audit.controller.ts';
import { AuditRepository } from './audit/audit.repository.ts';
import { AuditTrail } from './audit/audit-trail.ts';
import { BoardController } from './board/board.controller.ts';
import { BoardService } from './board/board.service.ts';
import { FirstStepsRepository } from './board/first-steps.repository.ts';
import { BundleController } from './bundle/bundle.controller.ts';
import { BundleRepository } from './bundle/bundle.repository.ts';
import { BundleService } from './bundle/bundle.service.ts';
import { CalendarController } from './calendar/calendar.controller.ts';
import { CalendarRepository } from './calendar/calendar.repository.ts';
import { CalendarService } from './calendar/calendar.service.ts';
import { Clock } from './clock/clock.ts';
import { TeamDatabase } from './database/team-database.ts';
import { EventsController } from './events/events.controller.ts';
import { LiveEvents } from './events/live-events.ts';
import { GearController } from './gear/gear.controller.ts';
import { GearRepository } from './gear/gear.repository.ts';
import { GearService } from './gear/gear.service.ts';
import { FileWordRepository } from './gear/import/file-word.repository.ts';
import { RegisterFiguresRepository } from './gear/import/register-figures.repository.ts';
import { RegisterImportRepository } from './gear/import/register-import.repository.ts';
import { RegisterImportService } from './gear/import/register-import.service.ts';
import { HealthController } from './health/health.controller.ts';
import { Metrics } from './health/metrics.ts';
import { ProblemFilter } from './http/problem.filter.ts';
import { DefectController } from './inspections/defect.controller.ts';
import { InspectionController } from './inspections/inspection.controller.ts';
import { InspectionRepository } from './inspections/inspection.repository.ts';
import { InspectionService } from './inspections/inspection.service.ts';
import { PhotoController } from './inspections/photo.controller.ts';
import { PieceCareController } from './inspections/piece-care.controller.ts';
import { PieceCareService } from './inspections/piece-care.service.ts';
import { RoundController } from './inspections/round.controller.ts';
import { RoundRepository } from './inspections/round.repository.ts';
import { RoundService } from './inspections/round.service.ts';
import { Judging } from './judging/judging.ts';
import { StandingRepository } from './judging/standing.repository.ts';
import { Standings } from './judging/standings.ts';
import { KitController } from './kits/kit.controller.ts';
import { KitRepository } from './kits/kit.repository.ts';
import { KitService } from './kits/kit.service.ts';
import { AfterPull } from './logbook/after-pull.ts';
import { BreakTestController } from './logbook/break-test.controller.ts';
import { BreakTestRepository } from './logbook/break-test.repository.ts';
import { BreakTestService } from './logbook/break-test.service.ts';
import { DiaryController } from './logbook/diary/diary.controller.ts';
import { DiaryRepository } from './logbook/diary/diary.repository.ts';
import { DiaryService } from './logbook/diary/diary.service.ts';
import { IncidentController } from './logbook/incident.controller.ts';
import { IncidentRepository } from './logbook/incident.repository.ts';
import { IncidentService } from './logbook/incident.service.ts';
import { LifeController } from './logbook/life.controller.ts';
import { LifeRepository } from './logbook/life.repository.ts';
import { LifeService } from './logbook/life.service.ts';
import { LoadController } from './logbook/load.controller.ts';
import { LoadRepository } from './logbook/load.repository.ts';
import { LoadService } from './logbook/load.service.ts';
import { LoadKeeper } from './logbook/load-keeper.ts';
import { OwnFigureRepository } from './logbook/own-figure.repository.ts';
import { SeasonRepository } from './logbook/season.repository.ts';
import { SeasonService } from './logbook/season.service.ts';
import { SeriesController } from './logbook/series/series.controller.ts';
import { SeriesRepository } from './logbook/series/series.repository.ts';
import { SeriesService } from './logbook/series/series.service.ts';
import { OutingController } from './outings/outing.controller.ts';
import { OutingRepository } from './outings/outing.repository.ts';
import { OutingService } from './outings/outing.service.ts';
import { PeopleController } from './people/people.controller.ts';
import { PeopleRepository } from './people/people.repository.ts';
import { PeopleService } from './people/people.service.ts';
import { LayoutController } from './plans/layout.controller.ts';
import { LayoutRepository } from './plans/layout.repository.ts';
import { LayoutService } from './plans/layout.service.ts';
import { PlanController } from './plans/plan.controller.ts';
import { PlanRepository } from './plans/plan.repository.ts';
import { PlanService } from './plans/plan.service.ts';
import { PlanLifeService } from './plans/plan-life.service.ts';
import { PlansUnder } from './plans/plans-under.ts';
import { VariantService } from './plans/variant.service.ts';
import { PolicyController } from './policy/policy.controller.ts';
import { PolicyService } from './policy/policy.service.ts';
import { Forecasts } from './sheets/forecasts.ts';
import { SheetController } from './sheets/sheet.controller.ts';
import { SheetRepository } from './sheets/sheet.repository.ts';
import { SheetService } from './sheets/sheet.service.ts';
import { WearController } from './sheets/wear.controller.ts';
import { WearRepository } from './sheets/wear.repository.ts';
import { WearService } from './sheets/wear.service.ts';
import { TeamController } from './team/team.controller.ts';
import { TeamRepository } from './team/team.repository.ts';
import { TeamService } from './team/team.service.ts';
import { TaskController } from './threads/task.controller.ts';
import { Tasks } from './threads/tasks.ts';
import { WorkerPool } from './threads/worker-pool.ts';
import { VehicleController } from './vehicles/vehicle.controller.ts';
import { VehicleRepository } from './vehicles/vehicle.repository.ts';
import { VehicleService } from './vehicles/vehicle.service.ts';

@Module({
  controllers: [
    HealthController,
    AccessController,
    EventsController,
    TeamController,
    PeopleController,
    AuditController,
    GearController,
    PieceCareController,
    KitController,
    OutingController,
    BoardController,
    BundleController,
    CalendarController,
    InspectionController,
    DefectController,
    PhotoController,
    LoadController,
    SeriesController,
    IncidentController,
    LifeController,
    BreakTestController,
    DiaryController,
    RoundController,
    SheetController,
    WearController,
    PlanController,
    LayoutController,
    PolicyController,
    VehicleController,
    TaskController,
  ],
  providers: [
    Metrics,
    Clock,
    TeamDatabase,
    ActorResolver,
    AccessRepository,
    AccessService,
    AuditRepository,
    AuditTrail,
    LiveEvents,
    TeamRepository,
    TeamService,
    PeopleRepository,
    PeopleService,
    GearRepository,
    GearService,
    FileWordRepository,
    RegisterFiguresRepository,
    RegisterImportRepository,
    RegisterImportService,
    InspectionRepository,
    InspectionService,
    PieceCareService,
    SheetRepository,
    WearRepository,
    WearService,
    Forecasts,
    LoadRepository,
    LoadService,
    AfterPull,
    LoadKeeper,
    SeriesRepository,
    SeriesService,
    IncidentRepository,
    LifeRepository,
    LifeService,
    BreakTestRepository,
    DiaryRepository,
    DiaryService,
    BreakTestService,
    IncidentService,
    SeasonRepository,
    OwnFigureRepository,
    SeasonService,
    RoundRepository,
    RoundService,
    SheetService,
    KitRepository,
    KitService,
    OutingRepository,
    OutingService,
    BoardService,
    FirstStepsRepository,
    BundleRepository,
    BundleService,
    CalendarRepository,
    CalendarService,
    WorkerPool,
    Tasks,
    Judging,
    StandingRepository,
    Standings,
    PlanRepository,
    PlanService,
    PlanLifeService,
    PlansUnder,
    VariantService,
    LayoutRepository,
    LayoutService,
    PolicyService,
    VehicleRepository,
    VehicleService,
    { provide: APP_GUARD, useClass: ActorGuard },
    { provide: APP_FILTER, useClass: ProblemFilter },
  ],
})
export class AppModule {}
