import type { Situation } from '../effort/situation.ts';
import type { Policy, Surface } from '../policy/policy.ts';
import type { Row } from '../policy/rows.ts';
import type { Stance } from './stance.ts';

/** What of the site a vehicle stands on, where nobody says that it stands on something else. */
export type SiteGround = Pick<Situation, 'surface' | 'wet'>;

/** Friction of braked wheels on the ground of a site, and of wheels that are pushed sideways. */
export function siteFriction({ surface, wet }: SiteGround, { hold }: Policy): Row {
  const onTable: { readonly [S in Surface]: Row } = {
    ...hold.surfaceFriction,
    grass: hold.friction[wet ? 'wet-grass' : 'dry-grass'],
    'shallow-mud': hold.friction.mud,
    bog: hold.friction.mud,
  };
  return onTable[surface];
}

/** Friction under a vehicle: of the ground that somebody says it stands on, else of the site's. */
export const frictionUnder = (stance: Stance | undefined, site: SiteGround, policy: Policy): Row =>
  stance?.ground === undefined ? siteFriction(site, policy) : policy.hold.friction[stance.ground];

/** Rolling resistance ÷ weight of a vehicle that drives, likewise. */
export const rollingUnder = (stance: Stance | undefined, site: SiteGround, policy: Policy): Row =>
  stance?.ground === undefined ? policy.effort.rollingResistance[site.surface] : policy.runUp.rolling[stance.ground];
