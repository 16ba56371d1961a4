import { add, dot, norm, scale, subtract, type Vec3, ZERO } from '../statics/vec3.ts';

/**
 * The least tension t, newtons, with which a strap that pulls along −u keeps a vehicle that is pushed by D in place: |D − t·u| ≤ H. From
 * |u|²·t² − 2(D·u)·t + |D|² − H² = 0, its smaller root; 0 where it stands without. Undefined where no tension does: the strap leads
 * too far to one side. D and u lie in the plane of the ground, H 0 or more. Source: equilibrium of a body on a rough plane.
 */
export function leastTension(demand: Vec3, u: Vec3, holdN: number): number | undefined {
  const [a, b, c] = [dot(u, u), dot(demand, u), dot(demand, demand) - holdN * holdN];
  if (c <= 0) return 0;
  const inside = b * b - a * c;
  // A strap dead in line with what it has to hold leaves a root of nothing; rounding must not make it one of less than nothing.
  if (!(b > 0) || inside < -1e-12 * b * b) return undefined;
  // The stable form of the smaller root.
  return c / (b + Math.sqrt(Math.max(0, inside)));
}

/** What a vehicle's straps have to hold, newtons, and what is left that pushes it all the same. */
export interface BackAnchored {
  /** For each strap; all 0 where it stands without them. */
  readonly tensionsN: readonly number[];
  /** The least push that the straps can leave on its wheels, whatever their tension. */
  readonly acrossN: number;
}

/**
 * What straps along the ways u_i hold of a push D on a vehicle that its wheels hold with H, or undefined where nobody knows H: then the
 * straps take the whole of D. Several take the tensions of the least sum; those that are not alike are each also reckoned at the least
 * equal tension of all that holds, since nobody can say which of them comes taut first. Vectors in the plane of the ground, newtons.
 */
export function holdBack(demand: Vec3, ways: readonly Vec3[], holdN: number | undefined): BackAnchored {
  const acrossN = leastAcross(demand, ways);
  const sum = ways.reduce(add, ZERO);
  const parts = holdN === undefined ? wholeOf(demand, ways) : leastSum(demand, ways, holdN);
  const equalN = holdN === undefined ? norm(demand) / (norm(sum) || Number.POSITIVE_INFINITY) : leastTension(demand, sum, holdN);
  return { tensionsN: parts.map((own) => (ways.length > 1 && equalN !== undefined ? Math.max(own, equalN) : own)), acrossN };
}

/** The tensions of least sum with |D − Σ tᵢuᵢ| ≤ H; where none do, those that leave the least. In a plane two straps are enough. */
function leastSum(demand: Vec3, ways: readonly Vec3[], holdN: number): readonly number[] {
  let best: readonly number[] | undefined;
  let bestN = Number.POSITIVE_INFINITY;
  const take = (tensions: readonly number[]) => {
    const total = tensions.reduce((all, own) => all + own, 0);
    if (total < bestN) [best, bestN] = [tensions, total];
  };
  ways.forEach((way, index) => {
    const tension = leastTension(demand, way, holdN);
    if (tension !== undefined) take(ways.map((_, other) => (other === index ? tension : 0)));
  });
  for (const pair of pairsOf(ways)) {
    const tensions = pairAt(demand, pair, holdN);
    if (tensions !== undefined) take(ways.map((_, index) => (index === pair.i ? tensions[0] : index === pair.j ? tensions[1] : 0)));
  }
  return best ?? wholeOf(demand, ways);
}

interface Pair {
  readonly i: number;
  readonly j: number;
  readonly u: Vec3;
  readonly v: Vec3;
}

function pairsOf(ways: readonly Vec3[]): readonly Pair[] {
  return ways.flatMap((u, i) => ways.slice(i + 1).map((v, after) => ({ i, j: i + 1 + after, u, v })));
}

/** D = a·u + b·v in the plane of u and v; undefined where they are in line. */
function split(demand: Vec3, u: Vec3, v: Vec3): readonly [number, number] | undefined {
  const [uu, uv, vv] = [dot(u, u), dot(u, v), dot(v, v)];
  const determinant = uu * vv - uv * uv;
  if (!(determinant > 1e-9 * uu * vv)) return undefined;
  const [du, dv] = [dot(demand, u), dot(demand, v)];
  return [(du * vv - dv * uv) / determinant, (dv * uu - du * uv) / determinant];
}

/**
 * Both of a pair pulling, at the least sum: what is left on the wheels, r = D − a·u − b·v with |r| = H, stands alike to both, r·u = r·v,
 * since moving a newton from one to the other may win nothing. Undefined where one of them would push.
 */
function pairAt(demand: Vec3, { u, v }: Pair, holdN: number): readonly [number, number] | undefined {
  const even = evenTo(u, v);
  if (even === undefined) return undefined;
  const tensions = split(subtract(demand, scale(even, holdN)), u, v);
  return tensions !== undefined && tensions[0] >= 0 && tensions[1] >= 0 ? tensions : undefined;
}

/** The unit vector in the plane of u and v that stands alike to both, on their side; undefined where they are in line. */
function evenTo(u: Vec3, v: Vec3): Vec3 | undefined {
  const [uu, uv, vv] = [dot(u, u), dot(u, v), dot(v, v)];
  // n = a·u + b·v with n·u = n·v: (uu − uv)·a = (vv − uv)·b.
  const way = add(scale(u, vv - uv), scale(v, uu - uv));
  const size = norm(way);
  return size > 0 ? scale(way, 1 / size) : undefined;
}

/** Tensions that take the whole of a push: of the two straps between which it lies, else of the one nearest to its way. */
function wholeOf(demand: Vec3, ways: readonly Vec3[]): readonly number[] {
  for (const { i, j, u, v } of pairsOf(ways)) {
    const tensions = split(demand, u, v);
    if (tensions !== undefined && tensions[0] >= 0 && tensions[1] >= 0)
      return ways.map((_, index) => (index === i ? tensions[0] : index === j ? tensions[1] : 0));
  }
  const along = ways.map((way) => dot(demand, way) / (norm(way) || 1));
  const nearest = along.indexOf(Math.max(...along));
  return ways.map((way, index) => (index === nearest ? norm(demand) / (norm(way) || 1) : 0));
}

/** The least that straps can leave of a push, whatever their tension: its distance from all that they can hold together. */
function leastAcross(demand: Vec3, ways: readonly Vec3[]): number {
  let least = norm(demand);
  for (const way of ways) {
    const tension = Math.max(0, dot(demand, way) / (dot(way, way) || 1));
    least = Math.min(least, norm(subtract(demand, scale(way, tension))));
  }
  for (const { u, v } of pairsOf(ways)) {
    const tensions = split(demand, u, v);
    if (tensions !== undefined && tensions[0] >= 0 && tensions[1] >= 0)
      least = Math.min(least, norm(subtract(demand, add(scale(u, tensions[0]), scale(v, tensions[1])))));
  }
  return least;
}
