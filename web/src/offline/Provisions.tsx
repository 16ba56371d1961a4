import { useEffect, useRef } from 'react';
import { gotPdfMaker, tookAlong } from '../kept/connection-slice.ts';
import { atRest } from '../kept/in-motion.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { fetchLater } from './later.ts';
import { takeAlong } from './take-along.ts';

/** The page stands first. */
const FIRST_MS = 2000;
/** After a change others may follow; they are read together. */
const AFTER_CHANGE_MS = 20_000;

interface ProvisionsProps {
  readonly personId: string;
  /** Whether what others changed is shown to the person. */
  readonly seesChanges: boolean;
}

/** Reads, quietly, what the pages will want without a signal, once the first page stands and again after changes. */
export function Provisions({ personId, seesChanges }: ProvisionsProps): null {
  const dispatch = useAppDispatch();
  const there = useAppSelector(({ connection }) => connection.signal === 'there');
  const changes = useAppSelector(({ connection }) => connection.changes);
  const readFor = useRef<string>(undefined);
  useEffect(() => {
    fetchLater()
      .then((fetched) => fetched && dispatch(gotPdfMaker()))
      .catch((error: unknown) => console.warn('The PDF maker is not kept on this device:', error));
  }, [dispatch]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a change that was told is a reason to read again
  useEffect(() => {
    if (!there) return;
    let over = false;
    const read = async () => {
      const began = new Date().toISOString();
      if (!(await takeAlong(plainly, () => over, seesChanges))) return;
      readFor.current = personId;
      dispatch(tookAlong(began));
    };
    const fails = (error: unknown) => console.warn('Not all could be kept for when there is no signal:', error);
    const timer = setTimeout(() => void read().catch(fails), readFor.current === personId ? AFTER_CHANGE_MS : FIRST_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [there, changes, personId, seesChanges, dispatch]);
  return null;
}

/** Asks the server alone, beside what the pages ask, once nothing moves on the page. */
async function plainly(address: string) {
  await atRest();
  try {
    const answer = await fetch(address, { headers: { Accept: 'application/json' } });
    const json = (answer.headers.get('Content-Type') ?? '').includes('json');
    if (!answer.ok || !json) return { error: { status: answer.status, data: undefined } };
    return { data: (await answer.json()) as unknown };
  } catch (error) {
    return { error: { status: 'FETCH_ERROR' as const, error: String(error) } };
  }
}
