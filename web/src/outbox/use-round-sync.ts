import type { RoundView } from '@wainrope/contract';
import { useEffect } from 'react';
import { problemOf, useKeepRoundMutation } from '../api/wainrope-api.ts';
import { benchStore, thisDevice } from './bench-store.ts';
import { roundDocument } from './round-document.ts';
import { useLive } from './use-live.ts';

/** What is tapped within so short a time is told together. */
const TOGETHER_MS = 3000;
const AGAIN_MS = 15_000;

/** What the server was told last of each round, so that it is told again only of what changed. */
const told = new Map<string, string>();

/** Tells the server of this person's rounds as they go on here, so that another device can see them and take them over. */
export function useRoundSync(personId: string | undefined): void {
  const [keepRound] = useKeepRoundMutation();
  const state = useLive(() => stateOf(personId), personId ?? '');
  useEffect(() => {
    if (!personId || !state) return;
    const tell = async () => {
      for (const { roundId, text } of await untold(personId)) {
        const { error } = await keepRound({ roundId, roundKeep: JSON.parse(text) });
        if (error === undefined) told.set(roundId, text);
        else await heard(roundId, error);
      }
    };
    const timer = setTimeout(tell, TOGETHER_MS);
    const again = setInterval(tell, AGAIN_MS);
    return () => {
      clearTimeout(timer);
      clearInterval(again);
    };
  }, [personId, state, keepRound]);
}

async function documentsOf(personId: string | undefined, deviceId: string) {
  const rounds = (await benchStore.rounds.toArray()).filter((round) => round.personId === personId && round.takenOverBy === undefined);
  return Promise.all(
    rounds.map(async (round) => {
      const drafts = await benchStore.drafts.where('roundId').equals(round.roundId).sortBy('changedAt');
      return { roundId: round.roundId, text: JSON.stringify(roundDocument(round, drafts, deviceId)) };
    }),
  );
}

/** Changes when a round does; what is followed only reads. */
const stateOf = async (personId: string | undefined) => (await documentsOf(personId, '')).map(({ text }) => text).join();
const untold = async (personId: string) =>
  (await documentsOf(personId, await thisDevice())).filter(({ roundId, text }) => told.get(roundId) !== text);

/** A round that another device has taken over is gone on with no more here; any other trouble passes or shows where it is sent. */
async function heard(roundId: string, error: unknown): Promise<void> {
  const { status, current } = problemOf(error) as { readonly status: number; readonly current?: RoundView };
  if (status === 409 && current) await benchStore.rounds.update(roundId, { takenOverBy: current.by });
}
