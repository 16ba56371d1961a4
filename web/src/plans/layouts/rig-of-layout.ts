import {
  applied,
  bodiesOfLayout,
  clearLines,
  type Depth,
  fillEdits,
  layOnSite,
  type PlanVehicle,
  type Rig,
  type Surface,
  type VehicleBody,
  vehicleAt,
} from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';
import type { OfferedLayout } from './LayoutGallery.tsx';

/** A place of a layout that a vehicle of the register takes. */
export interface VehiclePlace {
  readonly bodyId: string;
  readonly label: string;
  readonly winches: boolean;
}

/** The vehicles that a layout asks for, the one that is to move first. */
export function vehiclePlaces(layout: Pick<OfferedLayout, 'build'>): readonly VehiclePlace[] {
  const { rig } = layout.build();
  const winching = new Set(
    rig.lines.flatMap(({ drive }) => (drive.kind === 'winch' ? [rig.points.find(({ id }) => id === drive.pointId)?.bodyId] : [])),
  );
  const wanted = bodiesOfLayout(layout).filter(({ kind }) => kind === 'vehicle');
  return wanted.map(({ id, isLoad }) => {
    const winches = winching.has(id);
    const others = winches ? 'Winching vehicle' : 'Vehicle that helps';
    const own = wanted.length === 1 && winches ? 'Vehicle and its winch' : 'Vehicle to be moved';
    return { bodyId: id, winches, label: isLoad ? own : others };
  });
}

/** A vehicle that is not the team's: what it is like is said on the plan. */
export const strangerOf = (massKg: number): PlanVehicle => ({
  vehicleId: '',
  name: 'Stuck vehicle',
  massKg,
  lengthM: 4.4,
  widthM: 1.8,
});
export const isStranger = ({ vehicleId }: PlanVehicle): boolean => vehicleId === '';

function bodyOf(vehicle: PlanVehicle, place: Parameters<typeof vehicleAt>[1]): VehicleBody {
  const body = vehicleAt(vehicle, place);
  if (!isStranger(vehicle)) return body;
  const { vehicleId: _none, ...plain } = body;
  return plain;
}

export interface SiteAnswers {
  /** The vehicle for each place, by the scene's body. */
  readonly vehicles: { readonly [bodyId: string]: PlanVehicle | undefined };
  readonly depth: Depth;
  readonly surface: Surface;
}

/** A layout with the register's vehicles and the best piece in every place. */
export function rigOfLayout(
  layout: Pick<OfferedLayout, 'build'>,
  answers: SiteAnswers,
  bag: { readonly pieces: readonly RegisterPiece[]; readonly today: string },
): Rig {
  const { rig: scene } = layout.build();
  const placed = scene.bodies.flatMap((body) => {
    const vehicle = answers.vehicles[body.id];
    if (body.kind !== 'vehicle' || !vehicle) return [];
    return [{ ...bodyOf(vehicle, body), ...(body.stance && { stance: body.stance }) }];
  });
  const asked = scene.purpose === undefined && scene.load.task === undefined;
  const situation = asked ? situationFor(scene.situation, answers) : scene.situation;
  const site: Rig = { ...scene, bodies: placed, points: [], chains: [], lines: [], situation };
  const rig = layOnSite(layout, site, Object.fromEntries(placed.map(({ id }) => [id, id])));
  return applied(rig, fillEdits(rig, bag));
}

/** Only the place: one vehicle that is to move, nothing laid. */
export function emptySite(
  layout: Pick<OfferedLayout, 'build'>,
  vehicle: PlanVehicle,
  answers: Pick<SiteAnswers, 'depth' | 'surface'>,
): Rig {
  const { rig: scene } = layout.build();
  const [bare] = clearLines(scene);
  const rest = bare?.kind === 'replace-rig' ? bare.rig : scene;
  const body = bodyOf(vehicle, { id: 'vehicle', xM: 0, yM: 0, headingRad: (80 * Math.PI) / 180 });
  return {
    ...rest,
    ground: { slopeRad: 0, uphillRad: 0 },
    bodies: [body],
    load: { bodyId: body.id, travel: 'ahead' },
    situation: situationFor(scene.situation, answers),
  };
}

function situationFor(base: Rig['situation'], { depth, surface }: Pick<SiteAnswers, 'depth' | 'surface'>): Rig['situation'] {
  return { ...base, depth, surface, soil: surface === 'bog' ? 'clay-or-bog' : 'loam', wet: true };
}
