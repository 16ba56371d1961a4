import { logShare } from './bend-tension.ts';
import type { Columns, Layout, Member } from './members.ts';
import type { Motion } from './network.ts';

/** Spans shorter than this have no direction, metres. */
const LEAST_SPAN_M = 1e-9;

/** A trial: coordinates of all nodes (three each) and tensions of the taut members of given length. */
export interface Trial {
  readonly places: Float64Array;
  readonly tensions: Float64Array;
}

export interface Workspace {
  readonly residual: Float64Array;
  readonly jacobian: Float64Array;
  /** Directions and lengths of the strands of the member at hand: x, y, z, length. */
  readonly spans: Float64Array;
  /** d(ln tension)/d(coordinate) of the strand at hand, three entries a node of its member. */
  readonly slopes: Float64Array;
  /** Tension of every strand of every member relative to the member's first, in walking order. */
  readonly shares: Float64Array;
}

export function workspaceOf({ members, longest }: Layout, { size }: Columns): Workspace {
  return {
    residual: new Float64Array(size),
    jacobian: new Float64Array(size * size),
    spans: new Float64Array(4 * longest),
    slopes: new Float64Array(3 * longest),
    shares: new Float64Array(members.reduce((total, { nodes }) => total + nodes.length - 1, 0)),
  };
}

export interface Assembly {
  readonly layout: Layout;
  readonly columns: Columns;
  readonly motion: Motion;
  readonly slack: ReadonlySet<number>;
  readonly work: Workspace;
}

/**
 * Fills the workspace with the unbalanced force at each free node, the gap of each member of given length, and their exact
 * derivatives. Answers the two nodes of a strand without length where there is one.
 */
export function assemble(assembly: Assembly, trial: Trial): readonly [number, number] | undefined {
  const { layout, columns, slack, work } = assembly;
  work.residual.fill(0);
  work.jacobian.fill(0);
  let firstShare = 0;
  for (let index = 0; index < layout.members.length; index++) {
    const member = layout.members[index] as Member;
    const strands = member.nodes.length - 1;
    if (slack.has(index)) {
      work.shares.fill(0, firstShare, firstShare + strands);
    } else {
      const short = measure(member, trial.places, work.spans);
      if (short >= 0) return [member.nodes[short] as number, member.nodes[short + 1] as number];
      const column = columns.tensionOf[index] as number;
      const tension = column < 0 ? member.drivenTension : (trial.tensions[column - layout.freeNodes.length * 3] as number);
      addMember(assembly, { member, column, tension, firstShare, bent: false, strand: 0, share: 1 });
    }
    firstShare += strands;
  }
  return undefined;
}

/** Directions and lengths of a member's strands; the first strand without length, or −1. */
function measure({ nodes }: Member, places: Float64Array, spans: Float64Array): number {
  for (let strand = 0; strand + 1 < nodes.length; strand++) {
    const a = 3 * (nodes[strand] as number);
    const b = 3 * (nodes[strand + 1] as number);
    const x = (places[b] as number) - (places[a] as number);
    const y = (places[b + 1] as number) - (places[a + 1] as number);
    const z = (places[b + 2] as number) - (places[a + 2] as number);
    const length = Math.sqrt(x * x + y * y + z * z);
    if (!(length > LEAST_SPAN_M)) return strand;
    spans[4 * strand] = x / length;
    spans[4 * strand + 1] = y / length;
    spans[4 * strand + 2] = z / length;
    spans[4 * strand + 3] = length;
  }
  return -1;
}

/** One member as it is walked, strand by strand; made anew for every member, changed in place as the walk goes on. */
interface Walk {
  readonly member: Member;
  /** Column of its tension; −1 where a drive sets it. */
  readonly column: number;
  readonly tension: number;
  readonly firstShare: number;
  /** Whether any bend passed so far answers to moves of the nodes. */
  bent: boolean;
  strand: number;
  /** Tension of the strand at hand per unit of the member's first. */
  share: number;
}

function addMember({ layout, columns, motion, work }: Assembly, walk: Walk): void {
  const { nodes, bends, lengthM } = walk.member;
  work.slopes.fill(0, 0, 3 * nodes.length);
  let logTension = 0;
  let length = 0;
  for (let strand = 0; strand + 1 < nodes.length; strand++) {
    const bend = strand > 0 ? bends[strand - 1] : undefined;
    if (bend !== undefined) {
      const share = logShare(bend, motion, wrapBefore(work.spans, strand));
      logTension += share.value;
      if (share.slope !== 0) {
        walk.bent = true;
        addWrapSlope(work, strand, share.slope);
      }
    }
    walk.strand = strand;
    walk.share = Math.exp(logTension);
    work.shares[walk.firstShare + strand] = walk.share;
    length += work.spans[4 * strand + 3] as number;
    addEnd(layout, columns.size, work, walk, 0);
    addEnd(layout, columns.size, work, walk, 1);
    if (walk.column >= 0) addLengthSlope(layout, columns.size, work, walk);
  }
  if (walk.column >= 0) work.residual[walk.column] = length - lengthM;
}

/** Angle between the strand before and this one, from their unit directions. */
function wrapBefore(spans: Float64Array, strand: number): number {
  const p = 4 * (strand - 1);
  const q = 4 * strand;
  let cosine = 0;
  let square = 0;
  for (let i = 0; i < 3; i++) {
    const j = (i + 1) % 3;
    cosine += (spans[p + i] as number) * (spans[q + i] as number);
    const across = (spans[p + i] as number) * (spans[q + j] as number) - (spans[p + j] as number) * (spans[q + i] as number);
    square += across * across;
  }
  return Math.atan2(Math.sqrt(square), cosine);
}

/** Adds slope × dφ/dx for the three nodes of the bend before a strand. */
function addWrapSlope({ spans, slopes }: Workspace, strand: number, slope: number): void {
  const p = 4 * (strand - 1);
  const q = 4 * strand;
  let cosine = 0;
  for (let i = 0; i < 3; i++) cosine += (spans[p + i] as number) * (spans[q + i] as number);
  const sine = Math.sqrt(Math.max(0, 1 - cosine * cosine));
  if (sine < 1e-9) return;
  const atIn = -slope / (sine * (spans[p + 3] as number));
  const atOut = -slope / (sine * (spans[q + 3] as number));
  const first = 3 * (strand - 1);
  for (let i = 0; i < 3; i++) {
    const into = ((spans[q + i] as number) - cosine * (spans[p + i] as number)) * atIn;
    const out = ((spans[p + i] as number) - cosine * (spans[q + i] as number)) * atOut;
    slopes[first + i] = (slopes[first + i] as number) - into;
    slopes[first + 3 + i] = (slopes[first + 3 + i] as number) + into - out;
    slopes[first + 6 + i] = (slopes[first + 6 + i] as number) + out;
  }
}

/** The pull of the strand at hand on its first (0) or last (1) node, with its derivatives. */
function addEnd(layout: Layout, size: number, { residual, jacobian, spans, slopes }: Workspace, walk: Walk, side: 0 | 1): void {
  const { strand, share, column, member } = walk;
  const row = layout.columnOf[member.nodes[strand + side] as number] as number;
  if (row < 0) return;
  const other = layout.columnOf[member.nodes[strand + 1 - side] as number] as number;
  const sign = side === 0 ? 1 : -1;
  const at = 4 * strand;
  const force = sign * share * walk.tension;
  const stiffness = (share * walk.tension) / (spans[at + 3] as number);
  for (let i = 0; i < 3; i++) {
    const along = spans[at + i] as number;
    const line = (row + i) * size;
    residual[row + i] = (residual[row + i] as number) + force * along;
    if (column >= 0) jacobian[line + column] = (jacobian[line + column] as number) + sign * share * along;
    for (let k = 0; k < 3; k++) {
      const across = stiffness * ((k === i ? 1 : 0) - along * (spans[at + k] as number));
      jacobian[line + row + k] = (jacobian[line + row + k] as number) - across;
      if (other >= 0) jacobian[line + other + k] = (jacobian[line + other + k] as number) + across;
    }
    if (walk.bent) addSlopes(layout, jacobian, slopes, walk, line, force * along);
  }
}

function addSlopes(
  { columnOf }: Layout,
  jacobian: Float64Array,
  slopes: Float64Array,
  { member, strand }: Walk,
  line: number,
  force: number,
): void {
  for (let n = 0; n <= strand + 1; n++) {
    const moved = columnOf[member.nodes[n] as number] as number;
    if (moved < 0) continue;
    for (let k = 0; k < 3; k++) jacobian[line + moved + k] = (jacobian[line + moved + k] as number) + force * (slopes[3 * n + k] as number);
  }
}

function addLengthSlope({ columnOf }: Layout, size: number, { jacobian, spans }: Workspace, { member, strand, column }: Walk): void {
  const a = columnOf[member.nodes[strand] as number] as number;
  const b = columnOf[member.nodes[strand + 1] as number] as number;
  for (let i = 0; i < 3; i++) {
    const along = spans[4 * strand + i] as number;
    if (a >= 0) jacobian[column * size + a + i] = (jacobian[column * size + a + i] as number) - along;
    if (b >= 0) jacobian[column * size + b + i] = (jacobian[column * size + b + i] as number) + along;
  }
}
