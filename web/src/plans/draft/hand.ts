/** So long after its last move a hand that holds something rests, ms. */
const PAUSE_MS = 200;

let rests = false;
let timer: ReturnType<typeof setTimeout> | undefined;
const waiting = new Set<() => void>();

/** Told of each move of something that is held. */
export function handMoved(): void {
  rests = false;
  clearTimeout(timer);
  timer = setTimeout(() => {
    rests = true;
    for (const act of [...waiting]) act();
  }, PAUSE_MS);
}

/** Whether the hand has paused since its last move: then there is time for all that a slow device leaves undone while it moves. */
export const handRests = (): boolean => rests;

/** Acts each time that the hand pauses, until what is given back is called. */
export function onHandRest(act: () => void): () => void {
  waiting.add(act);
  return () => void waiting.delete(act);
}
