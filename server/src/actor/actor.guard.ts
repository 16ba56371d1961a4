import { type CanActivate, type ExecutionContext, Injectable, SetMetadata } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ActorResolver } from './actor.resolver.ts';
import type { WithActor } from './actor.ts';

const WITHOUT_ACTOR = 'without-actor';

/** Marks a route that answers before anybody is known: health. */
export const WithoutActor = () => SetMetadata(WITHOUT_ACTOR, true);

@Injectable()
export class ActorGuard implements CanActivate {
  constructor(
    private readonly resolver: ActorResolver,
    private readonly reflector: Reflector,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    if (this.reflector.getAllAndOverride<boolean>(WITHOUT_ACTOR, [context.getHandler(), context.getClass()])) return true;
    context.switchToHttp().getRequest<WithActor>().actor = await this.resolver.resolve();
    return true;
  }
}
