/** Where the pointer holds a body: ahead of the draft, which takes it in as often as that can be judged and drawn. */
export interface HeldAhead {
  readonly id: string;
  readonly xM: number;
  readonly yM: number;
}

let ahead: HeldAhead | undefined;
const followers = new Set<() => void>();

/** Where the pointer holds this body; undefined where it holds none or another. */
export const heldAhead = (id: string): HeldAhead | undefined => (ahead?.id === id ? ahead : undefined);

/** Tells where the pointer holds a body, or that it holds none any more. */
export function holdAhead(next: HeldAhead | undefined): void {
  ahead = next;
  for (const follow of followers) follow();
}

/** Calls `follow` with each move of the pointer, until what is given back is called. */
export function followHeld(follow: () => void): () => void {
  followers.add(follow);
  return () => void followers.delete(follow);
}
