import { describe, expect, it } from 'vitest';
import { layouts } from './layouts.ts';
import { SKETCH_SIZE, type Sketch, sketchOf } from './sketch.ts';

type Point2 = Sketch['joins'][number];

const pictures = layouts.map((layout) => ({ id: layout.id, drawn: sketchOf(layout.build().rig) }));

/** What a picture is made of, by what one sees at once. */
function partsOf({ bodies, ropes, straps, pulleys, joins, grips, lanyards, way, isStretched, spool, deck, downhillDeg }: Sketch): string {
  const kinds = bodies.map(({ kind, isLoad }) => (isLoad ? `${kind}!` : kind)).sort();
  const high = pulleys.filter(({ isHigh }) => isHigh).length;
  return JSON.stringify([
    kinds,
    ropes.map((rope) => rope.length).sort(),
    straps.length,
    [pulleys.length, high],
    joins.length,
    lanyards.map((lanyard) => lanyard.length),
    grips.length,
    way.kind,
    isStretched,
    spool !== undefined,
    deck !== undefined,
    downhillDeg !== undefined,
  ]);
}

/** So far apart one sees that something stands elsewhere, pixels of a picture 168 wide. */
const ELSEWHERE_PX = 14;

const corners = ({ bodies, pulleys, ropes }: Sketch): readonly Point2[] => [...bodies.map(({ at }) => at), ...pulleys, ...ropes.flat()];

/** How far the part that differs most stands elsewhere, and whether something heads another way by 20° or more. */
function differs(a: Sketch, b: Sketch): boolean {
  if (partsOf(a) !== partsOf(b)) return true;
  const [one, other] = [corners(a), corners(b)];
  const moved = one.some(({ x, y }, index) => Math.hypot(x - (other[index]?.x ?? 0), y - (other[index]?.y ?? 0)) >= ELSEWHERE_PX);
  const turned = Math.abs(((a.way.turnDeg - b.way.turnDeg + 540) % 360) - 180) >= 20;
  return moved || turned;
}

describe('the pictures of the layouts', () => {
  it('tell any two apart by a line, an arrow or a body', () => {
    const alike = pictures.flatMap(({ id, drawn }, index) =>
      pictures.slice(index + 1).flatMap((other) => (differs(drawn, other.drawn) ? [] : [`${id} and ${other.id}`])),
    );
    expect(pictures.length).toBeGreaterThanOrEqual(35);
    expect(alike).toEqual([]);
  });
  it('keep every part within the picture', () => {
    for (const { id, drawn } of pictures)
      for (const { x, y } of [...corners(drawn), ...drawn.joins, ...drawn.lanyards.flat()])
        expect([id, x >= 0 && x <= SKETCH_SIZE.width && y >= 0 && y <= SKETCH_SIZE.height]).toEqual([id, true]);
  });
});
