/** A look that takes longer found nobody. */
const LOOK_MS = 6000;

/** Whether the server answers now. */
export async function isHeard(): Promise<boolean> {
  try {
    const answer = await fetch('/api/v1/health/live', { cache: 'no-store', signal: AbortSignal.timeout(LOOK_MS) });
    return answer.ok && (answer.headers.get('Content-Type') ?? '').includes('json');
  } catch {
    return false;
  }
}
