import type { ActionId } from '../effort/cheaper-actions.ts';
import type { MarkBasis } from '../gear/mark.ts';
import type { Severity } from '../judgement/ask/told.ts';
import type { Finding } from '../judgement/report/finding.ts';
import type { Report } from '../judgement/report/report.ts';
import type { RichText } from '../quantity/format.ts';
import type { PersonBody } from '../rig/bodies.ts';
import type { Edit } from '../rig/edits.ts';
import type { Route } from '../rigging/route-line.ts';

/** What a rig makes of each newton put into its first drive. */
export interface AdvantageAt {
  /** Force along the load's travel per newton of the drive. */
  readonly atLoad: number;
  /** Force on each anchor per newton of the drive. */
  readonly atAnchors: readonly { readonly id: string; readonly label: string; readonly share: number }[];
}

export const anchorWays = ['single', 'double', 'redirect'] as const;
export type AnchorWay = (typeof anchorWays)[number];

/** One anchor used one way, judged with the pieces that the rig has; forces in newtons, lengths in metres. */
export interface AnchorOption {
  readonly bodyId: string;
  readonly label: string;
  readonly way: AnchorWay;
  readonly route: Route;
  readonly isNow: boolean;
  readonly verdict: Report['verdict'];
  readonly lineOutM: number | undefined;
  readonly lineLeftM: number | undefined;
  readonly layer: number | undefined;
  /** What the winch can do on that layer, and what that is at the load. */
  readonly linePullN: number | undefined;
  readonly pullAtLoadN: number | undefined;
  readonly neededN: number | undefined;
  readonly anchorWorkingN: number | undefined;
  readonly anchorPlannedN: number | undefined;
  /** What speaks against it, worst first, in the words of the findings. */
  readonly against: readonly Finding[];
}

/** What an action makes unnecessary: after it a rig of less trouble holds the pull. */
export interface SparedRig {
  readonly actionId: ActionId;
  readonly way: AnchorWay;
  /** The anchor, or the vehicle that winches where the line goes straight to the load. */
  readonly label: string;
  /** What is needed now; missing where no rig of the site holds the pull as it is. `more`: a triple line or a compound. */
  readonly instead?: AnchorWay | 'more';
}

/** One thing that an unclear mark may mean, and what the rig would be with it. Forces in newtons. */
export interface TagReading {
  readonly asWritten: string;
  readonly unit: string;
  readonly basis: MarkBasis;
  readonly forceN: number;
  /** Limits at the place of the piece that is loaded most on the whole way, taken at this meaning. */
  readonly wllN: number | undefined;
  readonly utilisation: number | undefined;
  readonly verdict: Report['verdict'];
}

/** What would come of putting one piece in one place of a rig. */
export interface Trial {
  readonly gearId: string;
  /** Severity of the worst thing found about this piece there; nothing where nothing was found. */
  readonly worst: Severity | undefined;
  /** What was found about it there, worst first. */
  readonly findings: readonly Finding[];
  /** The highest share of a working limit that it carries there on the whole way; nothing without a load or a limit. */
  readonly utilisation: number | undefined;
  /** Whether it goes together with its neighbours; nothing where a size is not on record. */
  readonly fits: boolean | undefined;
  readonly verdict: Report['verdict'];
}

/** A piece in a bag; its weight is missing where neither it nor what it follows from is on record. */
export interface BagInHand {
  readonly gearId: string;
  readonly tag: string;
  readonly name: string;
  readonly massKg: number | undefined;
}

/** Who carries what; without a name one of the crew. */
export interface Carrier {
  readonly name: string;
  readonly pieces: readonly BagInHand[];
  readonly massKg: number;
}

/** What has to be carried to a rig, and the verdict with it. */
export interface Bag {
  readonly pieces: readonly BagInHand[];
  /** Of those whose weight is known, kg. */
  readonly massKg: number;
  readonly unweighed: readonly string[];
  readonly carriers: readonly Carrier[];
  readonly verdict: Report['verdict'];
}

export interface LightestBag {
  readonly now: Bag;
  /** Missing where the register has none that does. */
  readonly lightest?: Bag;
  /** What makes the rig one with that bag. */
  readonly edits?: readonly Edit[];
  /** Places for which the register has nothing at all. */
  readonly without: readonly string[];
  /** Rigs that were judged, and whether that was enough: else something lighter may have been missed. */
  readonly trials: number;
  readonly isWhole: boolean;
}

/** Where somebody is to stand, and why there; without a place where nowhere is safe. */
export interface Stand {
  readonly id: string;
  readonly label: string;
  readonly duty: PersonBody['duty'];
  /** Nobody of that duty was on the plan before. */
  readonly isNew: boolean;
  readonly xM: number | undefined;
  readonly yM: number | undefined;
  readonly inVehicleId?: string;
  readonly why: RichText;
}
