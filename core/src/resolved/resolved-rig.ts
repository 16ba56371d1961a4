import type { EffortOutcome } from '../effort/estimate-pull.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { Standing } from '../hold/vehicle-hold.ts';
import type { Policy } from '../policy/policy.ts';
import type { PersonBody } from '../rig/bodies.ts';
import type { Case } from '../rig/case.ts';
import type { LoadWay } from '../rig/load-way.ts';
import type { LoadBody, Rig } from '../rig/rig.ts';
import type { Vec3 } from '../statics/vec3.ts';
import type { Equations } from './equations.ts';
import type {
  ChosenUse,
  PulledVehicle,
  ResolvedBody,
  ResolvedChain,
  ResolvedDamper,
  ResolvedDrive,
  ResolvedFit,
  ResolvedLanyard,
  ResolvedLine,
  ResolvedPoint,
  ResolvedTie,
  ResolvedUse,
  WinchDrive,
} from './parts.ts';
import type { Place } from './place.ts';
import type { LegPull } from './plan-pull.ts';

/** What is known of the load on one leg of its way. */
export interface ResolvedLeg {
  readonly pull: LegPull | undefined;
  readonly standing: Standing | undefined;
}

/** What comes from outside by its id: a finding's subject, a selection, an address. */
export interface Lookup {
  readonly use: (id: string) => ResolvedUse | undefined;
  readonly place: (id: string) => Place | undefined;
}

/** A document with all its references followed, once: what stays as it is whatever moves. */
export interface ResolvedRig {
  readonly subject: Case;
  readonly rig: Rig;
  readonly policy: Policy;
  readonly asOf: string;
  readonly bodies: readonly ResolvedBody[];
  readonly points: readonly ResolvedPoint[];
  /** In the document's order: lines with drives and ropes, chains, back-anchors. */
  readonly uses: readonly ResolvedUse[];
  readonly chosen: readonly ChosenUse[];
  readonly chains: readonly ResolvedChain[];
  readonly lines: readonly ResolvedLine[];
  readonly drives: readonly ResolvedDrive[];
  readonly winches: readonly WinchDrive[];
  readonly ties: readonly ResolvedTie[];
  readonly vehicles: readonly PulledVehicle[];
  readonly load: { readonly on: ResolvedBody; readonly body: LoadBody };
  /** Where every point stands before anything moves, metres, and the way the load is to go. */
  readonly start: readonly Vec3[];
  readonly travel: Vec3;
  /** The load's way, and for each of its legs the planned pull and, where the load is a vehicle, how it stands on it. */
  readonly way: LoadWay;
  readonly legs: readonly ResolvedLeg[];
  readonly people: readonly PersonBody[];
  readonly lanyards: readonly ResolvedLanyard[];
  readonly dampers: readonly ResolvedDamper[];
  readonly tools: readonly GearFacts[];
  readonly fits: readonly ResolvedFit[];
  /** In load-path order; `index` is its slot in a moment's figures. */
  readonly places: readonly Place[];
  readonly equations: Equations;
  readonly effort: EffortOutcome;
  /** The pull planned on: a person's choice, else the estimate's; undefined where there is none. Newtons. */
  readonly pullN: number | undefined;
  readonly byId: Lookup;
}

/** What places and fits are made from. */
export type RigParts = Pick<
  ResolvedRig,
  'subject' | 'rig' | 'policy' | 'asOf' | 'bodies' | 'points' | 'uses' | 'chosen' | 'chains' | 'lines' | 'drives' | 'ties' | 'equations'
>;
