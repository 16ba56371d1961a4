import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { PersonRole } from '@wainrope/contract';

/** Who makes a request: resolved once, carried everywhere. */
export interface Actor {
  readonly teamId: string;
  readonly personId: string;
  readonly name: string;
  readonly role: PersonRole;
}

export interface WithActor {
  actor?: Actor;
}

/** The actor of the request, put there by the guard. */
export const CurrentActor = createParamDecorator((_data: unknown, context: ExecutionContext): Actor => {
  const { actor } = context.switchToHttp().getRequest<WithActor>();
  if (actor === undefined) throw new Error('Broken invariant: a route without an actor');
  return actor;
});
