import { useEffect } from 'react';
import { baseApi, tagTypes } from '../api/base-api.ts';
import { heard, unheard } from '../kept/connection-slice.ts';
import { isHeard } from '../kept/is-heard.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';

/** Between two looks whether the server can be heard again. */
const AGAIN_MS = 8000;
/** Follows the signal: while there is none, looks for it, and once it is back everything shown is asked again. */
export function useSignal(): void {
  const dispatch = useAppDispatch();
  const gone = useAppSelector(({ connection }) => connection.signal === 'gone');
  useEffect(() => {
    const lost = () => dispatch(unheard());
    window.addEventListener('offline', lost);
    if (!navigator.onLine) lost();
    return () => window.removeEventListener('offline', lost);
  }, [dispatch]);
  useEffect(() => {
    if (!gone) return;
    let over = false;
    const look = async () => {
      if (!(await isHeard()) || over) return;
      dispatch(heard(undefined));
      dispatch(baseApi.util.invalidateTags([...tagTypes]));
    };
    const timer = setInterval(look, AGAIN_MS);
    window.addEventListener('online', look);
    return () => {
      over = true;
      clearInterval(timer);
      window.removeEventListener('online', look);
    };
  }, [gone, dispatch]);
}
