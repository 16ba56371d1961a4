import {
  type Body,
  DEGREE,
  type Edit,
  type Feature,
  freeIdIn,
  type PlanVehicle,
  type Rig,
  removeBody,
  type VehicleBody,
} from '@wainrope/core';

export const bodyKindWords: { readonly [K in Body['kind']]: string } = {
  vehicle: 'vehicle',
  tree: 'tree',
  rock: 'rock',
  structure: 'post, wall or other structure',
  'ground-anchor': 'ground anchor',
  pickets: 'picket line',
  deadman: 'buried log',
  load: 'loose load',
  person: 'person',
  animal: 'animal',
  crew: 'hauling crew',
};

export const bodyKinds = Object.keys(bodyKindWords) as readonly Body['kind'][];

export const featureWords: { readonly [K in Feature['kind']]: string } = {
  obstacle: 'obstacle the line must not cross',
  edge: 'edge or lip',
  water: 'water',
  track: 'track',
};

interface At {
  readonly xM: number;
  readonly yM: number;
}

/** A new body of a kind at a place, with the usual sizes until somebody says otherwise. */
export function newBody(rig: Rig, kind: Body['kind'], at: At): Body {
  const id = freeIdIn(rig, kind);
  const count = rig.bodies.filter((body) => body.kind === kind).length;
  const word = bodyKindWords[kind].split(',')[0] ?? kind;
  const label = `${word[0]?.toUpperCase()}${word.slice(1)}${count > 0 ? ` ${count + 1}` : ''}`;
  const base = { id, label, ...at };
  switch (kind) {
    case 'vehicle':
      return { ...base, kind, headingRad: 0, massKg: 2200, lengthM: 4.4, widthM: 1.8 };
    case 'tree':
      return { ...base, kind, trunkDiameterM: 0.4, wood: 'softwood', footing: 'moist', state: 'live', leanRad: 0 };
    case 'rock':
    case 'structure':
      return { ...base, kind, diameterM: 1 };
    case 'ground-anchor':
      return { ...base, kind, soil: 'loam' };
    case 'pickets':
      return { ...base, kind, pattern: '1-1-1', soil: 'loam', lines: 1 };
    case 'deadman':
      return { ...base, kind, lengthM: 1.5, faceHeightM: 0.3, depthM: 1 };
    case 'load':
      return { ...base, kind, headingRad: 0, massKg: 500, lengthM: 4, widthM: 0.4 };
    case 'person':
      return { ...base, kind, duty: count === 0 ? 'operator' : count === 1 ? 'signaller' : 'helper' };
    case 'animal':
      return { ...base, kind };
    case 'crew':
      return { ...base, kind, people: 6 };
    default: {
      const never: never = kind;
      return never;
    }
  }
}

/** Where a body is put when nobody points: beside the load, a little further off each time. */
export function freePlace(rig: Rig): At {
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const [x, y] = [load?.xM ?? 0, load?.yM ?? 0];
  for (let ring = 16; ring < 400; ring += 4) {
    for (const bearing of [75, 105, 45, 135, 255, 285]) {
      const at = {
        xM: Math.round((x + ring * Math.sin(bearing * DEGREE)) * 10) / 10,
        yM: Math.round((y + ring * Math.cos(bearing * DEGREE)) * 10) / 10,
      };
      if (rig.bodies.every((body) => Math.hypot(body.xM - at.xM, body.yM - at.yM) > 3.5)) return at;
    }
  }
  return { xM: x, yM: y + 8 };
}

/** Puts a body on the site; a vehicle is the first of the team's that is not there yet, where there is one. */
export function addEdits(rig: Rig, kind: Body['kind'], vehicles: readonly PlanVehicle[], at: At = freePlace(rig)): readonly Edit[] {
  const body = newBody(rig, kind, at);
  const there = new Set(rig.bodies.map((entry) => (entry.kind === 'vehicle' ? entry.vehicleId : undefined)));
  const own = vehicles.find(({ vehicleId }) => !there.has(vehicleId));
  const entry = body.kind === 'vehicle' && own ? asVehicle(body, own) : body;
  return [{ kind: 'put', list: 'bodies', entry }];
}

/** A vehicle on the site as one of the team's. */
export function asVehicle(body: VehicleBody, { vehicleId, name, massKg, lengthM, widthM }: PlanVehicle): VehicleBody {
  return { ...body, vehicleId, label: name, massKg, lengthM, widthM };
}

/** The body turned by an angle; nothing for one without a heading. */
export function turnedBody(body: Body, byRad: number): Body | undefined {
  return 'headingRad' in body
    ? { ...body, headingRad: Math.atan2(Math.sin(body.headingRad + byRad), Math.cos(body.headingRad + byRad)) }
    : undefined;
}

/** One more of the same, beside it, with nothing fastened to it. */
export function duplicateEdits(rig: Rig, body: Body): readonly Edit[] {
  const id = freeIdIn(rig, body.kind);
  const { xM, yM } = freePlace({ ...rig, load: { ...rig.load, bodyId: body.id } });
  const copy: Body = { ...body, id, label: `${body.label} copy`.slice(0, 80), xM, yM };
  if (copy.kind !== 'vehicle') return [{ kind: 'put', list: 'bodies', entry: copy }];
  const { vehicleId: _own, ...plain } = copy;
  return [{ kind: 'put', list: 'bodies', entry: plain }];
}

/** A feature of the ground through some points. */
export function featureEdits(rig: Rig, kind: Feature['kind'], points: readonly At[]): readonly Edit[] {
  const id = freeIdIn(rig, kind);
  const count = (rig.features ?? []).filter((feature) => feature.kind === kind).length;
  const words = { obstacle: 'the obstacle', edge: 'the edge', water: 'the water', track: 'the track' }[kind];
  return [{ kind: 'put', list: 'features', entry: { id, kind, label: count > 0 ? `${words} ${count + 1}` : words, points: [...points] } }];
}

const STEPS: { readonly [key: string]: readonly [number, number] } = {
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

interface Change {
  readonly edits: readonly Edit[];
  readonly merge?: string;
}

/** What a key does to a body: arrows move it (a tenth of a metre, with shift a metre), brackets turn it, d copies it, delete takes it off. */
export function keyEdits(
  rig: Rig,
  body: Body,
  { key, shiftKey }: { readonly key: string; readonly shiftKey: boolean },
): Change | undefined {
  const by = STEPS[key];
  const step = shiftKey ? 1 : 0.1;
  const rounded = (metres: number) => Math.round(metres * 100) / 100;
  if (by) {
    const [xM, yM] = [rounded(body.xM + by[0] * step), rounded(body.yM + by[1] * step)];
    return { edits: [{ kind: 'move-body', bodyId: body.id, xM, yM }], merge: `nudge-${body.id}` };
  }
  if (key === '[' || key === ']') {
    const turned = turnedBody(body, (key === ']' ? 5 : -5) * DEGREE);
    return turned && { edits: [{ kind: 'change-body', body: turned }], merge: `turn-${body.id}` };
  }
  if (key === 'Delete') return { edits: removeBody(rig, body.id) };
  return key === 'd' ? { edits: duplicateEdits(rig, body) } : undefined;
}
