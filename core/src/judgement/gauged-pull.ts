import type { MeasuredPull } from '../logbook/own-figure.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { Rig } from '../rig/rig.ts';
import type { Report } from './report/report.ts';

/** A pull on a vehicle of which a gauge on the line showed the largest tension; newtons. */
export interface GaugedPull extends MeasuredPull {
  readonly surface: Rig['situation']['surface'];
  readonly depth: Rig['situation']['depth'];
  readonly machine: string;
  /** What was planned to be needed. */
  readonly plannedN: number;
}

/**
 * What a gauge says of the force on the load: its largest line tension times the advantage that the rig really has while it hauls.
 * Nothing where the load is no vehicle, several lines draw, or no pull was planned.
 */
export function gaugedPull(rig: Rig, report: Pick<Report, 'advantage' | 'pullN' | 'drives'>, linePeakN: number): GaugedPull | undefined {
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const { advantage, pullN, drives } = report;
  if (load?.kind !== 'vehicle' || advantage === undefined || drives.length !== 1 || !(pullN !== undefined && pullN > 0)) return undefined;
  return {
    surface: rig.situation.surface,
    depth: rig.situation.depth,
    machine: load.label,
    forceN: linePeakN * advantage.hauling,
    weightN: load.massKg * STANDARD_GRAVITY,
    plannedN: pullN,
  };
}
