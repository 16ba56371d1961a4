export interface Point2 {
  readonly x: number;
  readonly y: number;
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface Segment {
  readonly from: Point2;
  readonly to: Point2;
}

export interface LabelWish {
  readonly id: string;
  readonly lines: readonly { readonly text: string; readonly strong: boolean }[];
  /** Places for the label's centre, the best first. */
  readonly centres: readonly Point2[];
}

export interface PlacedLabel extends Box {
  readonly id: string;
  readonly lines: LabelWish['lines'];
}

interface Obstacles {
  readonly frame: Box;
  readonly boxes: readonly Box[];
  readonly segments: readonly Segment[];
}

const LINE_HEIGHT = 18;
/** Mean width of a letter of the text face at 15 px. */
const LETTER = 7.1;
const PADDING = 4;

function sizeOf(lines: LabelWish['lines']): { readonly width: number; readonly height: number } {
  const longest = Math.max(...lines.map(({ text, strong }) => text.length * (strong ? LETTER * 1.06 : LETTER)));
  return { width: longest + 2 * PADDING, height: lines.length * LINE_HEIGHT + 2 };
}

function overlap(a: Box, b: Box): number {
  const width = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const height = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return width > 0 && height > 0 ? width * height : 0;
}

/** Length of a segment inside a box, by clipping it to the box's four sides. */
export function lengthInside({ from, to }: Segment, box: Box): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  let [enter, leave] = [0, 1];
  const sides = [
    [-dx, from.x - box.x],
    [dx, box.x + box.width - from.x],
    [-dy, from.y - box.y],
    [dy, box.y + box.height - from.y],
  ] as const;
  for (const [slope, gap] of sides) {
    if (slope === 0 && gap < 0) return 0;
    if (slope < 0) enter = Math.max(enter, gap / slope);
    if (slope > 0) leave = Math.min(leave, gap / slope);
  }
  return leave > enter ? (leave - enter) * Math.hypot(dx, dy) : 0;
}

function outsideFrame(box: Box, frame: Box): number {
  return box.width * box.height - overlap(box, frame);
}

/**
 * Sets labels beside what they name so that they cover neither each other, nor the rig, nor the frame: each takes the first of its
 * places that is free, or the one that covers least. Labels given first choose first.
 */
export function placeLabels(wishes: readonly LabelWish[], { frame, boxes, segments }: Obstacles): readonly PlacedLabel[] {
  const placed: PlacedLabel[] = [];
  for (const { id, lines, centres } of wishes) {
    const size = sizeOf(lines);
    let best: PlacedLabel | undefined;
    let least = Number.POSITIVE_INFINITY;
    for (const [rank, centre] of centres.entries()) {
      const box = { x: centre.x - size.width / 2, y: centre.y - size.height / 2, ...size };
      const covers =
        placed.reduce((sum, other) => sum + 4 * overlap(box, other), 0) +
        boxes.reduce((sum, other) => sum + 2 * overlap(box, other), 0) +
        segments.reduce((sum, segment) => sum + 12 * lengthInside(segment, box), 0) +
        6 * outsideFrame(box, frame) +
        rank * 0.5;
      if (covers < least) {
        least = covers;
        best = { id, lines, ...box };
      }
    }
    if (best) placed.push(best);
  }
  return placed;
}
