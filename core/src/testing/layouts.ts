import { layouts as scenes } from '../layouts/layouts.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Case } from '../rig/case.ts';
import { gearIdsOf } from '../rig/references.ts';
import { kitGear } from './kit-gear.ts';

export interface LayoutCase {
  readonly file: string;
  readonly layout: string;
  readonly build: () => Case;
}

/** Every layout of the work as a case: its slots name the pieces of the test kit, which is bagged by the same letters. */
export const layouts: readonly LayoutCase[] = scenes.map(({ id, label, build }) => ({
  file: id,
  layout: label,
  build: () => {
    const { name, rig } = build();
    const used = new Set(gearIdsOf(rig));
    return { kind: 'rig', name, asOf: '2026-06-01', rig, gear: kitGear.filter(({ id: gearId }) => used.has(gearId)), policy: teamStandard };
  },
}));
