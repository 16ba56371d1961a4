import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { may } from '@wainrope/contract';
import type { Request } from 'express';
import type { WithActor } from '../actor/actor.ts';
import { ACCESS, type Access } from '../actor/route-access.ts';
import { ProblemException } from '../http/problem.ts';
import { ActorResolver } from './actor.resolver.ts';

/** Refuses whoever may not; a route that says nothing about access is refused to all. */
@Injectable()
export class ActorGuard implements CanActivate {
  constructor(
    private readonly resolver: ActorResolver,
    private readonly reflector: Reflector,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const access = this.reflector.getAllAndOverride<Access | undefined>(ACCESS, [context.getHandler(), context.getClass()]);
    if (access?.kind === 'open') return true;
    if (access === undefined)
      throw new ProblemException({ status: 403, title: 'Not allowed', detail: 'No rule says who may use this address, so nobody may.' });
    const request = context.switchToHttp().getRequest<Request & WithActor>();
    const actor = await this.resolver.resolve(request);
    if (!may(actor.role, access.capability))
      throw new ProblemException({
        status: 403,
        title: 'Not allowed',
        detail: `You are signed in as ${ROLE_WORDS[actor.role]}, who may not do this. Ask your coordinator.`,
      });
    request.actor = actor;
    return true;
  }
}

const ROLE_WORDS = { coordinator: 'coordinator', 'gear-keeper': 'gear keeper', member: 'member', reader: 'reader' } as const;
