import { SetMetadata } from '@nestjs/common';
import type { Capability } from '@wainrope/contract';

export const ACCESS = 'access';

/** What a route asks of whoever calls it: a capability, or nothing at all. */
export type Access = { readonly kind: 'needs'; readonly capability: Capability } | { readonly kind: 'open' };

/** The capability that a route needs. */
export const Needs = (capability: Capability) => SetMetadata(ACCESS, { kind: 'needs', capability } satisfies Access);

/** A route that answers before anybody is known: health, sign-in, invitations. */
export const Open = () => SetMetadata(ACCESS, { kind: 'open' } satisfies Access);
