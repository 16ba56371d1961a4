import { drumLoad, drumOf } from '../moment/drives.ts';
import { bodyForce, pathLengthM } from '../moment/forces.ts';
import { breakingRatioAt, linePullLimit, stopRatio, strainAt, utilisationAt } from '../moment/margins.ts';
import type { Moment } from '../moment/moment.ts';
import type { At } from '../moment/poses.ts';
import { LIMIT_TOLERANCE } from '../quantity/tolerance.ts';
import type { Place } from '../resolved/place.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Act, Curves, WorstOfPlace } from './act.ts';
import type { Margins, Track } from './margins.ts';

/** What is kept of an act as it goes: the worst of everything with its moment, and the curves. */
export interface Ledger {
  /** Takes a moment into account. */
  readonly take: (moment: Moment) => void;
  /** Whether a margin that was never below 0 before is so in a moment. */
  readonly crosses: (moment: Moment) => boolean;
  readonly kept: () => Pick<Act, 'tracks' | 'places' | 'weakest' | 'limit' | 'curves' | 'stations'>;
}

type OpenCurves = { readonly [K in keyof Curves]: Curves[K] extends readonly number[] ? number[] : number[][] };

export function ledgerOf(rig: ResolvedRig, margins: readonly Margins[]): Ledger {
  const total = margins.reduce((sum, { count }) => sum + count, 0);
  const least = new Float64Array(total).fill(Number.POSITIVE_INFINITY);
  const fromM = new Float64Array(total).fill(Number.NaN);
  const moments: (Moment | undefined)[] = [];
  const unknown: (Moment | undefined)[] = [];
  const read = readingOf(margins);
  const worst = worstOf(rig);
  const curves = freshCurves(rig);
  const stations: At[] = [];
  const keep = (slot: number, value: number | undefined, moment: Moment) => {
    if (value === undefined) unknown[slot] ??= moment;
    else if (value < (least[slot] ?? 0)) {
      least[slot] = value;
      moments[slot] = moment;
      if (value < 0 && Number.isNaN(fromM[slot])) fromM[slot] = moment.travelM;
    }
  };
  const trackOf = (slot: number): Track => ({
    least: least[slot] ?? Number.POSITIVE_INFINITY,
    moment: moments[slot],
    fromM: Number.isNaN(fromM[slot]) ? undefined : fromM[slot],
    unknown: unknown[slot],
  });
  return {
    take: (moment) => {
      const values = read(moment);
      for (let slot = 0; slot < total; slot++) keep(slot, values[slot], moment);
      worst.take(moment);
      addTo(curves, moment, worst);
      stations.push(moment.at);
    },
    crosses: (moment) => {
      const values = read(moment);
      for (let slot = 0; slot < total; slot++) if ((values[slot] ?? 0) < 0 && Number.isNaN(fromM[slot])) return true;
      return false;
    },
    kept: () => {
      let first = 0;
      const starts = margins.map(({ count }) => {
        const start = first;
        first += count;
        return start;
      });
      const tracks = (set: number): readonly Track[] =>
        Array.from({ length: margins[set]?.count ?? 0 }, (_, index) => trackOf((starts[set] ?? 0) + index));
      return { tracks, ...worst.kept(), curves, stations };
    },
  };
}

/** Reads every margin of a moment, margin after margin; asked twice of one moment it reads once. */
function readingOf(margins: readonly Margins[]): (moment: Moment) => readonly (number | undefined)[] {
  const values: (number | undefined)[] = [];
  let last: Moment | undefined;
  return (moment) => {
    if (moment === last) return values;
    let slot = 0;
    for (const { count, at } of margins) for (let index = 0; index < count; index++) values[slot++] = at(moment, index);
    last = moment;
    return values;
  };
}

interface Worst {
  readonly take: (moment: Moment) => void;
  /** Largest utilisation and stop ratio ÷ breaking ratio of the moment taken last, drums left out; and the largest utilisation with them. */
  readonly now: { utilisation: number; breaking: number; share: number };
  readonly kept: () => Pick<Act, 'places' | 'weakest' | 'limit'>;
}

/** The worst of every place, of all places, and of the line-pull limit. */
function worstOf(rig: ResolvedRig): Worst {
  const places = rig.places.map((): { planned: Moment | undefined; greatest: Moment | undefined } => ({
    planned: undefined,
    greatest: undefined,
  }));
  const most = new Float64Array(2 * rig.places.length);
  const now = { utilisation: 0, breaking: 0, share: 0 };
  let weakest: Act['weakest'];
  let strain = 0;
  let limit: Act['limit'];
  const takePlace = (moment: Moment, place: Place): number => {
    const { index } = place;
    const [planned, greatest] = [utilisationAt(moment, place), stopRatio(rig, place) / breakingRatioAt(moment, place)];
    const own = places[index];
    if (own !== undefined && planned > (most[2 * index] ?? 0)) {
      most[2 * index] = planned;
      own.planned = moment;
    }
    if (own !== undefined && greatest > (most[2 * index + 1] ?? 0)) {
      most[2 * index + 1] = greatest;
      own.greatest = moment;
    }
    now.share = Math.max(now.share, planned || 0);
    if (place.kind !== 'drum') {
      now.utilisation = Math.max(now.utilisation, planned || 0);
      now.breaking = Math.max(now.breaking, greatest || 0);
    }
    return strainAt(moment, place);
  };
  const takeWeakest = (moment: Moment) => {
    let [here, hereStrain] = [undefined as Place | undefined, 0];
    for (const place of rig.places) {
      if (moment.places.present[place.index] !== 1) continue;
      const own = takePlace(moment, place);
      if (own > 0 && (here === undefined || own > hereStrain * (1 + LIMIT_TOLERANCE))) [here, hereStrain] = [place, own];
    }
    if (here === undefined || (weakest !== undefined && !(hereStrain > strain * (1 + LIMIT_TOLERANCE)))) return;
    weakest = { place: here, moment };
    strain = hereStrain;
  };
  const take = (moment: Moment) => {
    now.utilisation = 0;
    now.breaking = 0;
    now.share = 0;
    takeWeakest(moment);
    const least = linePullLimit(moment);
    if (least !== undefined && (limit === undefined || least.pullN < limit.pullN * (1 - LIMIT_TOLERANCE))) limit = { ...least, moment };
  };
  return { take, now, kept: () => ({ places: places.map((own): WorstOfPlace => own), weakest, limit }) };
}

function freshCurves({ drives, lines }: ResolvedRig): OpenCurves {
  const each = (list: readonly unknown[]): number[][] => list.map(() => []);
  return {
    travelM: [],
    pullN: [],
    linePullN: [],
    greatestPullN: [],
    utilisation: [],
    breaking: [],
    highestShare: [],
    sidewaysN: [],
    downwardN: [],
    lineOutM: each(drives),
    layers: each(drives),
    pathM: each(lines),
    loadShares: each(drives),
  };
}

function addTo(curves: OpenCurves, moment: Moment, { now }: Worst): void {
  const { rig, drives, shown, states } = moment;
  curves.travelM.push(moment.travelM);
  curves.pullN.push(moment.pullN ?? Number.NaN);
  curves.linePullN.push(moment.plannedPullN ?? Number.NaN);
  curves.greatestPullN.push(states.greatest.length > 0 ? (moment.greatestPullN ?? Number.NaN) : Number.NaN);
  curves.utilisation.push(now.utilisation);
  curves.breaking.push(now.breaking);
  curves.highestShare.push(now.share);
  const [sideways, downward] = acrossN(moment);
  curves.sidewaysN.push(sideways);
  curves.downwardN.push(downward);
  drives.forEach(({ drive }, index) => {
    const drum = drumOf(moment, drive);
    curves.lineOutM[index]?.push(drum.kind === 'no-winch' ? Number.NaN : (drum.lineOutM ?? Number.NaN));
    curves.layers[index]?.push(drum.kind === 'known' ? drum.layer : Number.NaN);
    curves.loadShares[index]?.push(drumLoad(moment, drive));
  });
  rig.lines.forEach((line, index) => {
    curves.pathM[index]?.push(shown === undefined ? Number.NaN : pathLengthM(line, shown.balance.forces));
  });
}

/** The planned force on the load square to its way: level, to the left, and downwards. Newtons; NaN where nothing is planned. */
function acrossN({ rig, states, travel }: Moment): readonly [number, number] {
  const [shown] = states.planned;
  const level = Math.hypot(travel.x, travel.y);
  if (shown === undefined || !(level > 0)) return [Number.NaN, Number.NaN];
  const { x, y, z } = bodyForce(rig.load.on, shown.balance.forces);
  const along = x * travel.x + y * travel.y + z * travel.z;
  const left = (y * travel.x - x * travel.y) / level;
  // Square to the way and to what is level across it: what is left of the force's rise, over the level share of the way.
  const up = (z - along * travel.z) / level;
  return [shown.scale * left, -shown.scale * up];
}
