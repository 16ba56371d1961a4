import { handMoved } from './hand.ts';
import { MissedFrames } from './missed-frames.ts';

/** Where the pointer holds a body: ahead of the draft, which takes it in as often as that can be judged and drawn. */
export interface HeldAhead {
  readonly id: string;
  readonly xM: number;
  readonly yM: number;
}

let ahead: HeldAhead | undefined;
const followers = new Set<() => void>();

/** How the frames of one hold go. Where too many are late, what is held is moved in every other, so that it has two to be drawn in. */
interface Hold {
  readonly missed: MissedFrames;
  frame: number;
  toldIn: number;
  isWaiting: boolean;
}
let hold: Hold | undefined;
/** Stays so from one hold to the next, until frames have been in time for a good while. */
let isInEveryOther = false;

/** Where the pointer holds this body; undefined where it holds none or another. */
export const heldAhead = (id: string): HeldAhead | undefined => (ahead?.id === id ? ahead : undefined);

/** Tells where the pointer holds a body, or that it holds none any more. */
export function holdAhead(next: HeldAhead | undefined): void {
  ahead = next;
  if (next === undefined) {
    hold = undefined;
    for (const follow of followers) follow();
    return;
  }
  handMoved();
  hold ??= begun();
  hold.isWaiting = true;
  tellIfDue(hold);
}

/** Calls `follow` with each move of the pointer that is shown, until what is given back is called. */
export function followHeld(follow: () => void): () => void {
  followers.add(follow);
  return () => void followers.delete(follow);
}

function begun(): Hold {
  const held: Hold = { missed: new MissedFrames(), frame: 0, toldIn: -2, isWaiting: false };
  requestAnimationFrame(function watch(now) {
    if (hold !== held) return;
    isInEveryOther = held.missed.isTooMany(now) || (isInEveryOther && !held.missed.isSmooth);
    tellIfDue(held);
    held.frame++;
    requestAnimationFrame(watch);
  });
  return held;
}

function tellIfDue(held: Hold): void {
  if (!held.isWaiting || (isInEveryOther && held.frame - held.toldIn < 2)) return;
  held.toldIn = held.frame;
  held.isWaiting = false;
  for (const follow of followers) follow();
}
