import { Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe } from '@nestjs/common';
import { ApiNoContentResponse, ApiOkResponse } from '@nestjs/swagger';
import { TaskView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { Tasks } from './tasks.ts';

@Controller('tasks')
export class TaskController {
  constructor(private readonly tasks: Tasks) {}

  @Get(':taskId')
  @Needs('team.read')
  @ApiOkResponse({ type: TaskView })
  getTask(@CurrentActor() actor: Actor, @Param('taskId', ParseUUIDPipe) taskId: string): TaskView {
    return this.tasks.view(actor, taskId);
  }

  @Delete(':taskId')
  @Needs('team.read')
  @HttpCode(204)
  @ApiNoContentResponse()
  stopTask(@CurrentActor() actor: Actor, @Param('taskId', ParseUUIDPipe) taskId: string): void {
    this.tasks.stop(actor, taskId);
  }
}
