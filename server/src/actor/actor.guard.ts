import { type CanActivate, type ExecutionContext, Injectable, SetMetadata } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { type Capability, may } from '@wainrope/contract';
import type { Request } from 'express';
import { ProblemException } from '../http/problem.ts';
import { ActorResolver } from './actor.resolver.ts';
import type { WithActor } from './actor.ts';

export const ACCESS = 'access';

/** What a route asks of whoever calls it: a capability, or nothing at all. */
export type Access = { readonly kind: 'needs'; readonly capability: Capability } | { readonly kind: 'open' };

/** The capability that a route needs. */
export const Needs = (capability: Capability) => SetMetadata(ACCESS, { kind: 'needs', capability } satisfies Access);

/** A route that answers before anybody is known: health, sign-in, invitations. */
export const Open = () => SetMetadata(ACCESS, { kind: 'open' } satisfies Access);

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
      throw new ProblemException({ status: 403, title: 'Not allowed', detail: 'Nobody has decided who may use this address.' });
    const request = context.switchToHttp().getRequest<Request & WithActor>();
    const actor = await this.resolver.resolve(request);
    if (!may(actor.role, access.capability))
      throw new ProblemException({
        status: 403,
        title: 'Not allowed',
        detail: `You are signed in as ${ROLE_WORDS[actor.role]}; this needs somebody else. Ask your coordinator.`,
      });
    request.actor = actor;
    return true;
  }
}

const ROLE_WORDS = { coordinator: 'coordinator', 'gear-keeper': 'gear keeper', member: 'member', reader: 'reader' } as const;
