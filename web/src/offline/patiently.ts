const RETRY_MS = 8000;

/** Loads something that no page waits for, again and again until it is there: a weak signal puts it off and takes nothing else along. */
export async function patiently<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
    }
  }
}
