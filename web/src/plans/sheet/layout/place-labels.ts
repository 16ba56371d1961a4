import type { Mark } from '../../findings/findings-at.ts';

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
  /** What is said against it, before its first line. */
  readonly mark?: Mark | undefined;
  /** What it names, for a stroke to it where the label has to stand far off. */
  readonly about?: Point2 | undefined;
  /** Places for the label's centre, the best first. */
  readonly centres: readonly Point2[];
}

export interface PlacedLabel extends Box {
  readonly id: string;
  readonly lines: LabelWish['lines'];
  readonly mark?: Mark | undefined;
  readonly about?: Point2 | undefined;
}

/** A label further than this from what it names has a stroke to it, pixels. */
const FAR_PX = 58;

/** The stroke from a label that stands far off to what it names. */
export function leaderOf({ x, y, width, height, about }: PlacedLabel): Segment | undefined {
  if (!about) return undefined;
  const from = { x: Math.min(Math.max(about.x, x), x + width), y: Math.min(Math.max(about.y, y), y + height) };
  return Math.hypot(about.x - from.x, about.y - from.y) > FAR_PX ? { from, to: about } : undefined;
}

interface Obstacles {
  readonly frame: Box;
  /** What lies over the sheet: a label under it could not be read. */
  readonly controls?: readonly Box[];
  readonly boxes: readonly Box[];
  readonly segments: readonly Segment[];
  /** Outlines of what is drawn as a body: words on one can be read, but do not look as if they were beside it. */
  readonly outlines?: readonly Segment[];
}

const LINE_HEIGHT = 18;
/** Mean width of a letter of the text face at 15 px. */
const LETTER = 7.1;
/** Room round the words of a label, pixels. */
export const PADDING = 4;

/** Room that a mark takes before the first line, pixels. */
export const MARK_PX = 20;

/** Width of a line of text as it is reckoned with, pixels. */
const textWidth = ({ text, strong }: LabelWish['lines'][number]): number => text.length * (strong ? LETTER * 1.06 : LETTER);

/** Room that a label takes, pixels. */
export function sizeOf({ lines, mark }: Pick<LabelWish, 'lines' | 'mark'>): { readonly width: number; readonly height: number } {
  const longest = Math.max(...lines.map((line, index) => textWidth(line) + (mark && index === 0 ? MARK_PX : 0)));
  return { width: longest + 2 * PADDING, height: lines.length * LINE_HEIGHT + 2 };
}

function overlap(a: Box, b: Box): number {
  const width = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const height = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return width > 0 && height > 0 ? width * height : 0;
}

/** Whether both ends lie beyond the same side of a box: most do, and need no clipping. */
const passesBy = ({ from, to }: Segment, { x, y, width, height }: Box): boolean =>
  (from.x < x && to.x < x) ||
  (from.y < y && to.y < y) ||
  (from.x > x + width && to.x > x + width) ||
  (from.y > y + height && to.y > y + height);

/** Length of a segment inside a box, by clipping it to the box's four sides. */
export function lengthInside({ from, to }: Segment, box: Box): number {
  if (passesBy({ from, to }, box)) return 0;
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

/** A box that reaches a little over the sides of the sheet is moved in; one that would have to go far stays, and is not taken. */
function pushedInside(box: Box, frame: Box): Box {
  const x = Math.min(Math.max(box.x, frame.x), frame.x + frame.width - box.width);
  return Math.abs(x - box.x) <= MOST_PUSHED ? { ...box, x } : box;
}

/** Pixels. */
const MOST_PUSHED = 70;

function outsideFrame(box: Box, frame: Box): number {
  return box.width * box.height - overlap(box, frame);
}

/** How far further out labels may go where it is crowded, as shares of the way from the middle of their places: never so far that they seem to name something else. */
const FURTHER = [1.3, 1.6];
/** Where nothing nearer is free at all. */
const LAST = [2, 2.5];

function middleOf(centres: readonly Point2[]): Point2 {
  const mean = (key: 'x' | 'y') => centres.reduce((sum, point) => sum + point[key], 0) / Math.max(1, centres.length);
  return { x: mean('x'), y: mean('y') };
}

function furtherOut(centres: readonly Point2[], shares: readonly number[] = FURTHER): readonly Point2[] {
  const middle = middleOf(centres);
  return shares.flatMap((far) => centres.map(({ x, y }) => ({ x: middle.x + (x - middle.x) * far, y: middle.y + (y - middle.y) * far })));
}

/** Rings round a point on which a label that finds no room elsewhere looks for it, pixels, the nearest first. */
const RINGS = [48, 70, 95, 120, 150, 185];
const ON_A_RING = 20;

function roundAbout({ x, y }: Point2): readonly Point2[] {
  return RINGS.flatMap((radius) =>
    Array.from({ length: ON_A_RING }, (_, index) => (index * 2 * Math.PI) / ON_A_RING).map((turn) => ({
      x: x + 1.5 * radius * Math.sin(turn),
      y: y - radius * Math.cos(turn),
    })),
  );
}

/** The words of a label, without the room round them. */
export const wordsOf = ({ x, y, width, height }: Box): Box => ({
  x: x + PADDING,
  y: y + 3,
  width: width - 2 * PADDING,
  height: height - 6,
});

/** Whether two boxes cover each other; lines of text may touch. */
export function overlaps(a: Box, b: Box): boolean {
  return a.x + a.width > b.x + 1 && b.x + b.width > a.x + 1 && a.y + a.height > b.y + 4 && b.y + b.height > a.y + 4;
}

interface Choice {
  readonly label: PlacedLabel;
  readonly covers: number;
  /** 1 where it covers no other label and no rope and stays on the sheet; 2 where it lies on no body and no stroke crosses words either. */
  readonly free: 0 | 1 | 2;
}

type Worth = Pick<Choice, 'covers' | 'free'>;

const isBetter = (choice: Worth, than: Worth | undefined): boolean =>
  than === undefined || choice.free > than.free || (choice.free === than.free && choice.covers < than.covers);

/**
 * Sets labels beside what they name so that they cover neither each other, nor the rig, nor the frame: each takes the place that
 * covers least. Where every place would cover another label, a rope or a body it goes further out, or says its first line alone. Labels
 * given first choose first; one whose stroke would then cross another's words chooses before all where that is better for the whole.
 */
export function placeLabels(wishes: readonly LabelWish[], obstacles: Obstacles): readonly PlacedLabel[] {
  const inOrder = placedInTurn(wishes, obstacles);
  const crossing = inOrder.map(({ label }) => label).find((label, _, all) => crosses(label, all));
  if (!crossing) return inOrder.map(({ label }) => label);
  const first = wishes.filter(({ id }) => id === crossing.id);
  const anew = placedInTurn([...first, ...wishes.filter(({ id }) => id !== crossing.id)], obstacles);
  return (isBetter(asWhole(anew), asWhole(inOrder)) ? anew : inOrder).map(({ label }) => label);
}

const asWhole = (choices: readonly Choice[]): Worth => ({
  free: Math.min(...choices.map(({ free }) => free)) as Choice['free'],
  covers: choices.reduce((sum, { covers }) => sum + covers, 0),
});

/** Whether the stroke of a label lies across the words of another. */
export function crosses(label: PlacedLabel, all: readonly PlacedLabel[]): boolean {
  const stroke = leaderOf(label);
  return stroke !== undefined && all.some((other) => other !== label && lengthInside(stroke, wordsOf(other)) > 0);
}

function placedInTurn(wishes: readonly LabelWish[], obstacles: Obstacles): readonly Choice[] {
  const choices: Choice[] = [];
  for (const wish of wishes) {
    const choice = chosenPlace(
      wish,
      choices.map(({ label }) => label),
      obstacles,
    );
    if (choice) choices.push(choice);
  }
  return choices;
}

function chosenPlace(wish: LabelWish, placed: readonly PlacedLabel[], obstacles: Obstacles): Choice | undefined {
  const { centres, about } = wish;
  const first = wish.lines.slice(0, 1);
  const tries = [
    () => [centres, wish.lines] as const,
    () => [furtherOut(centres), wish.lines] as const,
    // Far off, with a stroke to what it names.
    () => [about ? roundAbout(about) : [], wish.lines] as const,
    // Words are left out only for the sake of a freer place.
    () => [centres, first] as const,
    () => [furtherOut(centres), first] as const,
    () => [furtherOut(centres, LAST), first] as const,
    () => [roundAbout(about ?? middleOf(centres)), first] as const,
  ];
  let best: Choice | undefined;
  for (const attempt of tries) {
    if (best?.free === 2) break;
    const [places, lines] = attempt();
    // Once it covers nothing, another place is taken only if it lies on no body either.
    const wanted = best?.free === 1 ? 2 : 0;
    const choice = leastCovering({ ...wish, lines, centres: places }, placed, obstacles, wanted);
    if (choice && isBetter(choice, best)) best = choice;
  }
  return best;
}

function leastCovering(
  { centres, ...label }: LabelWish,
  placed: readonly PlacedLabel[],
  { frame, boxes, segments, outlines = [], controls = [] }: Obstacles,
  wanted: Choice['free'],
): Choice | undefined {
  const size = sizeOf(label);
  const taken: readonly Box[] = [...placed, ...controls];
  const strokes = placed.flatMap((other) => leaderOf(other) ?? []);
  let best: Choice | undefined;
  for (const [rank, centre] of centres.entries()) {
    const box = pushedInside({ x: centre.x - size.width / 2, y: centre.y - size.height / 2, ...size }, frame);
    const words = wordsOf(box);
    const missed = (all: readonly Segment[]) => all.every((segment) => lengthInside(segment, words) === 0);
    const outside = outsideFrame(box, frame);
    const isFree = outside < 1 && !taken.some((other) => overlaps(box, other)) && missed(segments);
    const free = !isFree ? 0 : missed(outlines) && missed(strokes) && !crosses({ ...label, ...box }, placed) ? 2 : 1;
    // What cannot be chosen any more is not measured.
    if (free < wanted || (best && free < best.free)) continue;
    const covers =
      4 * taken.reduce((sum, other) => sum + overlap(box, other), 0) +
      boxes.reduce((sum, other) => sum + 2 * overlap(box, other), 0) +
      segments.reduce((sum, segment) => sum + 12 * lengthInside(segment, box), 0) +
      6 * outside +
      rank * 0.5;
    const choice: Choice = { label: { ...label, ...box }, covers, free };
    if (isBetter(choice, best)) best = choice;
  }
  return best;
}
