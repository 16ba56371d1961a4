import { applyEdit, type Body, DEGREE, type Edit, type Feature, featureKinds, freeIdIn, type Rig } from '@wainrope/core';
import { newBody } from '../site/body-edits.ts';

/** Mean radius of the earth, metres: good to centimetres over a site. */
const EARTH_M = 6_371_008.8;

type Origin = NonNullable<Rig['origin']>;

interface MapPoint {
  readonly xM: number;
  readonly yM: number;
}

/** A place of the map on the earth, degrees: longitude first, as GeoJSON has it. */
export function toEarth({ latitudeDeg, longitudeDeg, bearingRad }: Origin, { xM, yM }: MapPoint): readonly [number, number] {
  const [sin, cos] = [Math.sin(bearingRad), Math.cos(bearingRad)];
  const [east, north] = [xM * cos + yM * sin, yM * cos - xM * sin];
  return [longitudeDeg + east / (EARTH_M * Math.cos(latitudeDeg * DEGREE) * DEGREE), latitudeDeg + north / (EARTH_M * DEGREE)];
}

/** A place on the earth on the map, metres, to the centimetre. */
export function fromEarth({ latitudeDeg, longitudeDeg, bearingRad }: Origin, [longitude, latitude]: readonly [number, number]): MapPoint {
  const [east, north] = [
    (longitude - longitudeDeg) * EARTH_M * Math.cos(latitudeDeg * DEGREE) * DEGREE,
    (latitude - latitudeDeg) * EARTH_M * DEGREE,
  ];
  const [sin, cos] = [Math.sin(bearingRad), Math.cos(bearingRad)];
  const round = (metres: number) => Math.round(metres * 100) / 100;
  return { xM: round(east * cos - north * sin), yM: round(north * cos + east * sin) };
}

/** Positions on the earth of what stands on the site and what is drawn on it, by the origin that somebody has said. */
export function siteGeoJson(rig: Rig, origin: Origin): object {
  return {
    type: 'FeatureCollection',
    wainrope: { format: 'wainrope.site', version: 1, origin },
    features: [
      ...rig.bodies.map(({ id, kind, label, xM, yM }) => ({
        type: 'Feature',
        id,
        properties: { kind, label },
        geometry: { type: 'Point', coordinates: toEarth(origin, { xM, yM }) },
      })),
      ...(rig.features ?? []).map(({ id, kind, label, points }) => ({
        type: 'Feature',
        id,
        properties: { kind, label },
        geometry: { type: 'LineString', coordinates: points.map((point) => toEarth(origin, point)) },
      })),
    ],
  };
}

type Coordinates = readonly [number, number];
interface GeoFeature {
  readonly id?: string | number;
  readonly properties?: { readonly kind?: string; readonly label?: string; readonly name?: string } | null;
  readonly geometry?: { readonly type: string; readonly coordinates: unknown } | null;
}

export type SiteRead = { readonly ok: true; readonly edits: readonly Edit[] } | { readonly ok: false; readonly message: string };

const KINDS: readonly Body['kind'][] = [
  'tree',
  'rock',
  'structure',
  'ground-anchor',
  'pickets',
  'deadman',
  'load',
  'person',
  'animal',
  'crew',
  'vehicle',
];
const FURTHEST_M = 1000;

/**
 * Positions from a file: points of known ids move, others become bodies of their kind (a tree where none is said), lines become
 * features. Where the plan has no origin, the file's own is taken, or its first point becomes the origin.
 */
export function readSite(rig: Rig, text: string): SiteRead {
  const file = parsed(text);
  if (!file) return { ok: false, message: 'This is not GeoJSON: a FeatureCollection with points and lines is expected.' };
  const problem = tooMuch(rig, file);
  if (problem) return { ok: false, message: problem };
  const located = file.features.filter(({ geometry }) => geometry && (isPoint(geometry) || isLine(geometry)));
  const first = located[0];
  if (!first) return { ok: false, message: 'The file holds no points and no lines.' };
  const origin = rig.origin ?? file.origin ?? { bearingRad: 0, ...originOf(first) };
  const edits: Edit[] = rig.origin ? [] : [{ kind: 'set-origin', origin }];
  let now = rig;
  for (const [index, feature] of located.entries()) {
    const points = coordinatesOf(feature).map((at) => fromEarth(origin, at));
    const far = points.find(({ xM, yM }) => Math.max(Math.abs(xM), Math.abs(yM)) > FURTHEST_M);
    if (far)
      return {
        ok: false,
        message: `Feature ${index + 1} lies ${Math.round(Math.hypot(far.xM, far.yM))} m from the origin; a site reaches ${FURTHEST_M} m. Was it drawn for another place?`,
      };
    const edit = editFor(now, feature, points);
    edits.push(edit);
    now = applyEdit(now, edit).rig;
  }
  return { ok: true, edits };
}

/** What a plan holds at most; a file beyond it is refused whole, never cut. */
const MOST = { bodies: 100, features: 60, corners: 60 };

function tooMuch(rig: Rig, { features, origin }: Parsed): string | undefined {
  if (origin && (Math.abs(origin.latitudeDeg) > 89 || Math.abs(origin.longitudeDeg) > 180 || Math.abs(origin.bearingRad) > 7))
    return `The file's origin, ${origin.latitudeDeg}° ${origin.longitudeDeg}°, is not a place on the earth where a site can be.`;
  const lines = features.filter(({ geometry }) => geometry && isLine(geometry));
  const points = features.filter(({ geometry, id }) => geometry && isPoint(geometry) && !rig.bodies.some((body) => body.id === id));
  const longest = Math.max(0, ...lines.map((line) => coordinatesOf(line).length));
  const [bodies, drawn] = [rig.bodies.length + points.length, (rig.features?.length ?? 0) + lines.length];
  if (longest > MOST.corners) return `A line of the file has ${longest} corners; at most ${MOST.corners} are taken. Simplify it first.`;
  if (bodies > MOST.bodies) return `With this file ${bodies} bodies would stand on the site; at most ${MOST.bodies} may. Leave some out.`;
  return drawn > MOST.features
    ? `With this file ${drawn} lines would be drawn on the site; at most ${MOST.features} may. Leave some out.`
    : undefined;
}

function editFor(rig: Rig, { id, properties, geometry }: GeoFeature, points: readonly MapPoint[]): Edit {
  const label = (properties?.label ?? properties?.name ?? '').slice(0, 80);
  if (geometry?.type === 'LineString') {
    const kind = featureKinds.find((entry) => entry === properties?.kind) ?? 'track';
    const entry: Feature = { id: freeIdIn(rig, kind), kind, label: label || kind, points: [...points] };
    return { kind: 'put', list: 'features', entry };
  }
  const at = points[0] ?? { xM: 0, yM: 0 };
  if (rig.bodies.some((body) => body.id === id)) return { kind: 'move-body', bodyId: String(id), ...at };
  const body = newBody(rig, KINDS.find((entry) => entry === properties?.kind) ?? 'tree', at);
  return { kind: 'put', list: 'bodies', entry: label ? { ...body, label } : body };
}

interface Parsed {
  readonly features: readonly GeoFeature[];
  readonly origin?: Origin;
}

function parsed(text: string): Parsed | undefined {
  try {
    const value = JSON.parse(text);
    if (value?.type !== 'FeatureCollection' || !Array.isArray(value.features)) return undefined;
    const { origin } = value.wainrope ?? {};
    const known = [origin?.latitudeDeg, origin?.longitudeDeg, origin?.bearingRad].every(
      (entry) => typeof entry === 'number' && Number.isFinite(entry),
    );
    return { features: value.features, ...(known && { origin }) };
  } catch {
    return undefined;
  }
}

const isPosition = (value: unknown): value is Coordinates =>
  Array.isArray(value) && value.length >= 2 && value.slice(0, 2).every((entry) => typeof entry === 'number' && Number.isFinite(entry));
const isPoint = ({ type, coordinates }: NonNullable<GeoFeature['geometry']>) => type === 'Point' && isPosition(coordinates);
const isLine = ({ type, coordinates }: NonNullable<GeoFeature['geometry']>) =>
  type === 'LineString' && Array.isArray(coordinates) && coordinates.length >= 2 && coordinates.every(isPosition);

function coordinatesOf({ geometry }: GeoFeature): readonly Coordinates[] {
  if (!geometry) return [];
  return (geometry.type === 'Point' ? [geometry.coordinates] : geometry.coordinates) as readonly Coordinates[];
}

function originOf(feature: GeoFeature): Pick<Origin, 'latitudeDeg' | 'longitudeDeg'> {
  const [longitudeDeg = 0, latitudeDeg = 0] = coordinatesOf(feature)[0] ?? [];
  return { latitudeDeg, longitudeDeg };
}
