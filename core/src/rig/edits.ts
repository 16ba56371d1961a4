import type { Situation } from '../effort/situation.ts';
import type { Body, Chain, Line, PieceUse, Rig, RigPoint } from './rig.ts';

/** The one vocabulary in which a rig is changed: by hand, by a fix, by undo. Things are named by id, never by position. */
export type Edit =
  | { readonly kind: 'choose-piece'; readonly useId: string; readonly gearId: string | undefined }
  | { readonly kind: 'change-use'; readonly useId: string; readonly use: PieceUse }
  | { readonly kind: 'move-body'; readonly bodyId: string; readonly xM: number; readonly yM: number }
  | { readonly kind: 'change-body'; readonly body: Body }
  | { readonly kind: 'change-point'; readonly point: RigPoint }
  | { readonly kind: 'change-ground'; readonly ground: Rig['ground'] }
  | { readonly kind: 'change-situation'; readonly situation: Situation }
  | { readonly kind: 'change-load'; readonly load: Rig['load'] }
  | { readonly kind: 'choose-pull'; readonly chosenPull: Rig['chosenPull'] }
  | { readonly kind: 'state-limiter'; readonly limiter: Rig['limiter'] }
  | { readonly kind: 'state-engine'; readonly engine: Rig['engine'] }
  | { readonly kind: 'place-dampers'; readonly dampers: Rig['dampers'] }
  | { readonly kind: 'answer'; readonly questionId: string; readonly answer: 'yes' | 'no' | undefined }
  | { readonly kind: 'set-purpose'; readonly purpose: Rig['purpose'] }
  | { readonly kind: 'state-sharing'; readonly sharing: Rig['sharing'] }
  | { readonly kind: 'choose-tools'; readonly tools: Rig['tools'] }
  | { readonly kind: 'set-origin'; readonly origin: Rig['origin'] }
  /** Puts an entry into a list of the rig, in place of the one of its id or before another; and takes one out. */
  | PutEdit
  | { readonly kind: 'remove'; readonly list: RigList; readonly id: string }
  | { readonly kind: 'lay-lines'; readonly points: readonly RigPoint[]; readonly chains: readonly Chain[]; readonly lines: readonly Line[] }
  | { readonly kind: 'replace-rig'; readonly rig: Rig };

/** The lists of a rig whose entries are named by id. */
export type RigList = 'bodies' | 'points' | 'joints' | 'chains' | 'grips' | 'lines' | 'backAnchors' | 'dampers' | 'lanyards' | 'features';
type Entry<L extends RigList> = NonNullable<Rig[L]>[number];
type PutEdit = {
  [L in RigList]: {
    readonly kind: 'put';
    readonly list: L;
    readonly entry: Entry<L> /** Id of the entry it comes before; at the end without. */;
    readonly before?: string;
  };
}[RigList];

export interface Edited {
  readonly rig: Rig;
  /** The edit that takes this one back. */
  readonly inverse: Edit;
}

/** Applies one edit. An edit that names something that is not there changes nothing and is its own inverse. */
export function applyEdit(rig: Rig, edit: Edit): Edited {
  switch (edit.kind) {
    case 'choose-piece':
      return choosePiece(rig, edit.useId, edit.gearId);
    case 'change-use':
      return changeUse(rig, edit.useId, () => edit.use);
    case 'move-body':
      return changeBody(rig, edit.bodyId, (body) => ({ ...body, xM: edit.xM, yM: edit.yM }));
    case 'change-body':
      return changeBody(rig, edit.body.id, () => edit.body);
    case 'change-point':
      return changePoint(rig, edit.point);
    case 'change-ground':
      return { rig: { ...rig, ground: edit.ground }, inverse: { kind: 'change-ground', ground: rig.ground } };
    case 'change-situation':
      return { rig: { ...rig, situation: edit.situation }, inverse: { kind: 'change-situation', situation: rig.situation } };
    case 'change-load':
      return { rig: { ...rig, load: edit.load }, inverse: { kind: 'change-load', load: rig.load } };
    case 'choose-pull':
      return { rig: setOrDrop(rig, 'chosenPull', edit.chosenPull), inverse: { kind: 'choose-pull', chosenPull: rig.chosenPull } };
    case 'state-limiter':
      return { rig: setOrDrop(rig, 'limiter', edit.limiter), inverse: { kind: 'state-limiter', limiter: rig.limiter } };
    case 'state-engine':
      return { rig: setOrDrop(rig, 'engine', edit.engine), inverse: { kind: 'state-engine', engine: rig.engine } };
    case 'place-dampers':
      return { rig: { ...rig, dampers: edit.dampers }, inverse: { kind: 'place-dampers', dampers: rig.dampers } };
    case 'answer':
      return answer(rig, edit.questionId, edit.answer);
    case 'set-purpose':
      return { rig: setOrDrop(rig, 'purpose', edit.purpose), inverse: { kind: 'set-purpose', purpose: rig.purpose } };
    case 'state-sharing':
      return { rig: setOrDrop(rig, 'sharing', edit.sharing), inverse: { kind: 'state-sharing', sharing: rig.sharing } };
    case 'choose-tools':
      return { rig: setOrDrop(rig, 'tools', edit.tools), inverse: { kind: 'choose-tools', tools: rig.tools } };
    case 'set-origin':
      return { rig: setOrDrop(rig, 'origin', edit.origin), inverse: { kind: 'set-origin', origin: rig.origin } };
    case 'put':
      return put(rig, edit);
    case 'remove':
      return remove(rig, edit.list, edit.id);
    case 'lay-lines':
      return {
        rig: { ...rig, points: edit.points, chains: edit.chains, lines: edit.lines },
        inverse: { kind: 'lay-lines', points: rig.points, chains: rig.chains, lines: rig.lines },
      };
    case 'replace-rig':
      return { rig: edit.rig, inverse: { kind: 'replace-rig', rig } };
    default: {
      const never: never = edit;
      return never;
    }
  }
}

function setOrDrop<K extends 'chosenPull' | 'limiter' | 'engine' | 'purpose' | 'sharing' | 'tools' | 'origin'>(
  rig: Rig,
  key: K,
  value: Rig[K],
): Rig {
  const { [key]: _dropped, ...rest } = rig;
  return (value === undefined ? rest : { ...rest, [key]: value }) as Rig;
}

function choosePiece(rig: Rig, useId: string, gearId: string | undefined): Edited {
  return changeUse(rig, useId, ({ gearId: _before, ...use }) => (gearId === undefined ? use : { ...use, gearId }));
}

function changeUse(rig: Rig, useId: string, change: (use: PieceUse) => PieceUse): Edited {
  let before: PieceUse | undefined;
  const map = (use: PieceUse): PieceUse => {
    if (use.id !== useId) return use;
    before = use;
    return change(use);
  };
  const next: Rig = {
    ...rig,
    lines: rig.lines.map((line) => ({
      ...line,
      drive: line.drive.kind === 'winch' ? { ...line.drive, use: map(line.drive.use) } : line.drive,
      ropes: line.ropes.map(map),
    })),
    chains: rig.chains.map((chain) => ({ ...chain, pieces: chain.pieces.map(map) })),
    ...(rig.backAnchors && { backAnchors: rig.backAnchors.map((anchor) => ({ ...anchor, pieces: anchor.pieces.map(map) })) }),
  };
  return before === undefined
    ? { rig, inverse: { kind: 'replace-rig', rig } }
    : { rig: next, inverse: { kind: 'change-use', useId, use: before } };
}

function changeBody(rig: Rig, bodyId: string, change: (body: Body) => Body): Edited {
  const before = rig.bodies.find(({ id }) => id === bodyId);
  if (before === undefined) return { rig, inverse: { kind: 'replace-rig', rig } };
  return {
    rig: { ...rig, bodies: rig.bodies.map((body) => (body === before ? change(body) : body)) },
    inverse: { kind: 'change-body', body: before },
  };
}

function changePoint(rig: Rig, point: RigPoint): Edited {
  const before = rig.points.find(({ id }) => id === point.id);
  if (before === undefined) return { rig, inverse: { kind: 'replace-rig', rig } };
  return {
    rig: { ...rig, points: rig.points.map((entry) => (entry === before ? point : entry)) },
    inverse: { kind: 'change-point', point: before },
  };
}

function answer(rig: Rig, questionId: string, given: 'yes' | 'no' | undefined): Edited {
  const { [questionId]: before, ...rest } = rig.answers;
  const answers = given === undefined ? rest : { ...rest, [questionId]: given };
  return { rig: { ...rig, answers }, inverse: { kind: 'answer', questionId, answer: before } };
}

type AnyEntry = Entry<RigList>;

/** The list with its entries; a list that has none may be missing from the rig. */
function entriesOf(rig: Rig, list: RigList): readonly AnyEntry[] {
  return rig[list] ?? [];
}

function withEntries(rig: Rig, list: RigList, entries: readonly AnyEntry[], wasMissing: boolean): Rig {
  if (entries.length === 0 && wasMissing) {
    const { [list]: _empty, ...rest } = rig;
    return rest as Rig;
  }
  return { ...rig, [list]: entries };
}

/** Lists that a rig may do without. */
const OPTIONAL: readonly RigList[] = ['joints', 'grips', 'backAnchors', 'lanyards', 'features'];

function put(rig: Rig, { list, entry, before }: PutEdit): Edited {
  const entries = entriesOf(rig, list);
  const old = entries.find(({ id }) => id === entry.id);
  if (old !== undefined) {
    const next = entries.map((other) => (other === old ? entry : other));
    return { rig: withEntries(rig, list, next, false), inverse: { kind: 'put', list, entry: old } as Edit };
  }
  const at = entries.findIndex(({ id }) => id === before);
  const next = at < 0 ? [...entries, entry] : [...entries.slice(0, at), entry, ...entries.slice(at)];
  return { rig: withEntries(rig, list, next, false), inverse: { kind: 'remove', list, id: entry.id } };
}

function remove(rig: Rig, list: RigList, id: string): Edited {
  const entries = entriesOf(rig, list);
  const at = entries.findIndex((entry) => entry.id === id);
  const old = entries[at];
  if (old === undefined) return { rig, inverse: { kind: 'replace-rig', rig } };
  const after = entries[at + 1];
  const next = entries.filter((entry) => entry !== old);
  return {
    rig: withEntries(rig, list, next, OPTIONAL.includes(list)),
    inverse: { kind: 'put', list, entry: old, ...(after && { before: after.id }) } as Edit,
  };
}
