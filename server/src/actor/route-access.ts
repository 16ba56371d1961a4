import { applyDecorators, SetMetadata } from '@nestjs/common';
import { ApiCookieAuth, ApiExtension } from '@nestjs/swagger';
import type { Capability } from '@wainrope/contract';

export const ACCESS = 'access';

/** What a route asks of whoever calls it: a capability, or nothing at all. */
export type Access = { readonly kind: 'needs'; readonly capability: Capability } | { readonly kind: 'open' };

/** The cookie that holds the random name of a sign-in session. */
export const SESSION_COOKIE = 'wainrope';

/** How the API document calls the cookie by which a signed-in person is known. */
export const SESSION_SCHEME = 'session';

/** The capability that a route needs; the API document says so. */
export const Needs = (capability: Capability) =>
  applyDecorators(
    SetMetadata(ACCESS, { kind: 'needs', capability } satisfies Access),
    ApiCookieAuth(SESSION_SCHEME),
    ApiExtension('x-needs', capability),
  );

/** A route that answers before anybody is known: health, sign-in, invitations. */
export const Open = () => SetMetadata(ACCESS, { kind: 'open' } satisfies Access);
