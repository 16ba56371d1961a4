import { useEffect, useState } from 'react';

/** How long a stretch rope still has to rest after its last pull, as minutes and seconds; nothing once it has. */
export function useRest(lastAt: string | undefined, restMin: number | undefined): string | undefined {
  const until = lastAt === undefined || restMin === undefined ? 0 : Date.parse(lastAt) + restMin * 60_000;
  const [now, setNow] = useState(() => Date.now());
  const rests = until > now;
  useEffect(() => {
    if (!rests) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [rests]);
  return restWords((until - now) / 1000);
}

/** Seconds as a clock shows them, rounded up: it never says that a rope has rested before it has. */
export function restWords(seconds: number): string | undefined {
  if (!(seconds > 0)) return undefined;
  const whole = Math.ceil(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')} min`;
}
