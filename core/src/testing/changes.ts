import type { GearFacts } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import type { Case } from '../rig/case.ts';
import type { Body, Chain, Line, PieceUse, Rig, RigPoint } from '../rig/rig.ts';
import { mark } from './example-case.ts';
import { kitGear } from './kit-gear.ts';
import { layouts } from './layouts.ts';

/** A change to a case, for tests that hold one rig against another. */
export type Change = (subject: Case) => Case;

export const layoutCase = (file: string): Case => {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return found.build();
};

export const changed =
  (...changes: readonly Change[]): Change =>
  (subject) =>
    changes.reduce((result, change) => change(result), subject);

export const rig =
  (change: (rig: Rig) => Partial<Rig>): Change =>
  (subject) => ({ ...subject, rig: { ...subject.rig, ...change(subject.rig) } });

export const body = (id: string, change: object): Change =>
  rig(({ bodies }) => ({ bodies: bodies.map((entry) => (entry.id === id ? ({ ...entry, ...change } as Body) : entry)) }));
export const withBody = (extra: Body): Change => rig(({ bodies }) => ({ bodies: [...bodies, extra] }));
export const point = (id: string, place: object): Change =>
  rig(({ points }) => ({
    points: points.map((entry) => (entry.id === id ? ({ ...entry, place: { ...entry.place, ...place } } as RigPoint) : entry)),
  }));
export const load = (change: Partial<Rig['load']>): Change => rig(({ load: before }) => ({ load: { ...before, ...change } }));
export const situation = (change: Partial<Rig['situation']>): Change =>
  rig(({ situation: before }) => ({ situation: { ...before, ...change } }));
export const ground = (slopeDeg: number, uphillDeg: number): Change =>
  rig(() => ({ ground: { slopeRad: (slopeDeg * Math.PI) / 180, uphillRad: (uphillDeg * Math.PI) / 180 } }));

const mapUses = ({ chains, lines, backAnchors }: Rig, map: (use: PieceUse) => PieceUse): Partial<Rig> => ({
  chains: chains.map((chain): Chain => ({ ...chain, pieces: chain.pieces.map(map) })),
  lines: lines.map(
    (line): Line => ({
      ...line,
      drive: line.drive.kind === 'winch' ? { ...line.drive, use: map(line.drive.use) } : line.drive,
      ropes: line.ropes.map(map),
    }),
  ),
  ...(backAnchors && { backAnchors: backAnchors.map((tie) => ({ ...tie, pieces: tie.pieces.map(map) })) }),
});
export const use = (id: string, change: Partial<PieceUse>): Change =>
  rig((before) => mapUses(before, (entry) => (entry.id === id ? { ...entry, ...change } : entry)));

/** Pieces put into the case's gear; those of the test kit by their id. */
export const gear =
  (...pieces: readonly (GearFacts | string)[]): Change =>
  (subject) => {
    const fresh = pieces.map((entry) => (typeof entry === 'string' ? kitGear.find(({ id }) => id === entry) : entry));
    const known = fresh.filter((entry) => entry !== undefined);
    return { ...subject, gear: [...subject.gear.filter(({ id }) => known.every((entry) => entry.id !== id)), ...known] };
  };
/** Another piece in a place. */
export const swap = (useId: string, facts: GearFacts | string): Change =>
  changed(gear(facts), use(useId, { gearId: typeof facts === 'string' ? facts : facts.id }));
export const facts =
  (id: string, change: object): Change =>
  (subject) => ({ ...subject, gear: subject.gear.map((entry) => (entry.id === id ? ({ ...entry, ...change } as GearFacts) : entry)) });
export const attributes =
  (id: string, change: object): Change =>
  (subject) => ({
    ...subject,
    gear: subject.gear.map((entry) =>
      entry.id === id ? ({ ...entry, attributes: { ...entry.attributes, ...change } } as GearFacts) : entry,
    ),
  });
export const marks = (id: string, ...texts: readonly string[]): Change => facts(id, { marks: texts.map((text) => mark(text)) });
export const policy =
  (change: (before: Policy) => Partial<Policy>): Change =>
  (subject) => ({ ...subject, policy: { ...subject.policy, ...change(subject.policy) } });
export const answer = (id: string, given: 'yes' | 'no'): Change => rig(({ answers }) => ({ answers: { ...answers, [id]: given } }));
export const person = (id: string, xM: number, yM: number, extra: object = {}): Change =>
  withBody({ id, kind: 'person', label: id, xM, yM, duty: 'operator', practised: true, ...extra } as Body);
