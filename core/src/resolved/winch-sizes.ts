import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import { isRope, isWire, joinedLengthM, stopMarkM } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import type { Rig } from '../rig/rig.ts';
import { type Drum, isOverfull, type LayerPull, reserveM } from '../winch/drum-layers.ts';

/** What is known of a winch whatever is on its drum; newtons, metres. */
export type WinchSizes =
  | {
      readonly kind: 'marked';
      /** First-layer pull: the smallest reading for what it can do, the largest for what it may get to. */
      readonly abilityN: number;
      readonly mostN: number;
      readonly stallFactor: number;
      /** The maker's pulls on further layers, from the lowest up, where they are on record. */
      readonly layerPulls: readonly LayerPull[];
      /** A pull that a load cell or limiter holds, and who says so. */
      readonly limiter: Rig['limiter'];
      readonly drum: DrumSizes | DrumMissing;
      /** Where the line on the drum is marked to stop, metres from its hook; undefined where no mark is on record. */
      readonly stopMarkM: number | undefined;
    }
  /** No winch chosen, or its pull is not marked. */
  | { readonly kind: 'no-winch' };

/** Sizes that are not on record; the line's length where it is. Metres. */
export interface DrumMissing {
  readonly kind: 'missing';
  readonly what: readonly string[];
  readonly ropeM: number | undefined;
  readonly joinedM: number;
  /** Whether the length of everything joined to it is on record. */
  readonly lengthsKnown: boolean;
}

export interface DrumSizes {
  readonly kind: 'sizes';
  readonly drum: Drum;
  readonly wrapsWanted: number;
  readonly usableM: number;
  readonly overfull: boolean | undefined;
  /** Ropes and straps joined to the line's end, which are never on the drum. */
  readonly joinedM: number;
}

/** Gathers a winch's marks and sizes with those of the rope on it. */
export function winchSizes(
  rig: Rig,
  winch: GearOf<'winch'> | undefined,
  ropes: readonly (GearFacts | undefined)[],
  policy: Policy,
): WinchSizes {
  const marked = winch && markedPulls(winch);
  if (winch === undefined || marked === undefined) return { kind: 'no-winch' };
  return {
    kind: 'marked',
    abilityN: marked.ability,
    mostN: marked.most,
    stallFactor: winch.attributes.stallFactor ?? policy.winch.stallFactor.value,
    layerPulls: layerPullsOf(winch),
    limiter: rig.limiter,
    drum: drumSizes(winch, ropes, policy),
    stopMarkM: isRope(ropes[0]) ? stopMarkM(ropes[0]) : undefined,
  };
}

function layerPullsOf({ attributes: { layer2PullN, layer3PullN, layer4PullN, layer5PullN } }: GearOf<'winch'>): readonly LayerPull[] {
  return [layer2PullN, layer3PullN, layer4PullN, layer5PullN].flatMap((pullN, order) =>
    pullN === undefined ? [] : [{ layer: order + 2, pullN }],
  );
}

/** First-layer pull of a winch from its marks: the lowest smallest reading for ability, the highest largest for the greatest check. */
function markedPulls({ marks }: GearFacts): { readonly ability: number; readonly most: number } | undefined {
  if (marks.length === 0) return undefined;
  const readings = marks.map(({ readings: all }) => all.map(({ forceN }) => forceN));
  return { ability: Math.min(...readings.map((all) => Math.min(...all))), most: Math.max(...readings.map((all) => Math.max(...all))) };
}

function drumSizes(
  winch: GearOf<'winch'>,
  ropes: readonly (GearFacts | undefined)[],
  policy: Policy,
): Extract<WinchSizes, { kind: 'marked' }>['drum'] {
  const [rope, ...joined] = ropes;
  const lengths = joined.map((piece) => piece && joinedLengthM(piece));
  const joinedM = lengths.reduce<number>((total, own) => total + (own ?? 0), 0);
  const { drumDiameterM, drumWidthM, flangeDiameterM, reserveWraps } = winch.attributes;
  const { ropeDiameterM, lengthM } = isRope(rope) ? rope.attributes : {};
  const markM = isRope(rope) ? stopMarkM(rope) : undefined;
  if (
    drumDiameterM === undefined ||
    drumWidthM === undefined ||
    ropeDiameterM === undefined ||
    lengthM === undefined ||
    lengths.includes(undefined)
  ) {
    const missing = [
      drumDiameterM === undefined && 'drum core diameter',
      drumWidthM === undefined && 'drum width',
      ropeDiameterM === undefined && 'rope diameter',
      lengthM === undefined && 'rope length',
      ...lengths.map((own, order) => own === undefined && `length of ${joined[order]?.tag ?? 'what is joined to the line'}`),
    ];
    return {
      kind: 'missing',
      what: missing.filter((entry) => entry !== false),
      ropeM: lengthM,
      joinedM,
      lengthsKnown: !lengths.includes(undefined),
    };
  }
  const drum: Drum = { coreDiameterM: drumDiameterM, widthM: drumWidthM, ropeDiameterM, ropeLengthM: lengthM };
  const usual = isWire(rope) ? policy.winch.reserveWrapsSteel : policy.winch.reserveWrapsSynthetic;
  // The maker's number stands; else the team's count, or a whole layer.
  const layer = Math.max(1, Math.floor(drumWidthM / ropeDiameterM + 1e-9));
  const wrapsWanted = reserveWraps ?? (policy.schools.wraps === 'full-layer' ? layer : usual.value);
  return {
    kind: 'sizes',
    drum,
    wrapsWanted,
    usableM: Math.min(lengthM - reserveM(drum, wrapsWanted), markM ?? Number.POSITIVE_INFINITY),
    overfull: flangeDiameterM === undefined ? undefined : isOverfull(drum, flangeDiameterM),
    joinedM,
  };
}
