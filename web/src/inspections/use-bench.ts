import type { GearView } from '@wainrope/contract';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { type BenchDraft, type BenchRound, benchStore, nextStamp } from '../outbox/bench-store.ts';
import { lastLetters, layDown, takeAway } from '../outbox/last-letters.ts';
import { useLive } from '../outbox/use-live.ts';

/** The round and every draft in it, as they stand on this device. */
export function useRound(roundId: string) {
  const round = useLive(async () => (await benchStore.rounds.get(roundId)) ?? null, roundId);
  const drafts = useLive(() => benchStore.drafts.where('roundId').equals(roundId).toArray(), roundId);
  return { round, drafts };
}

interface NewDraft {
  readonly round: BenchRound;
  readonly piece: GearView;
  readonly today: string;
}

const emptyDraft = ({ round, piece, today }: NewDraft): BenchDraft => ({
  inspectionId: crypto.randomUUID(),
  roundId: round.roundId,
  gearId: piece.gearId,
  kind: round.kind,
  on: today,
  points: {},
  measures: {},
  notes: {},
  nextDue: '',
  note: '',
  returnsToUse: false,
  spoolState: '',
  pullsUsed: '',
  status: 'draft',
  changedAt: Date.now(),
});

type EditDraft = (draft: BenchDraft) => Partial<BenchDraft>;

/** A draft as a tap leaves it; one that was confirmed is not changed any more. */
const tapped = (draft: BenchDraft, edit: EditDraft, changedAt: number): BenchDraft =>
  draft.status === 'sent' || draft.status === 'queued' ? draft : { ...draft, status: 'draft', ...edit(draft), changedAt };

/** Why the device did not keep something, and what to do. */
export function notKept(error: unknown): string {
  const isFull = error instanceof Error && /quota/i.test(`${error.name} ${error.message}`);
  return isFull
    ? 'This device is full: the last change was not kept. Send what waits, put finished rounds away, then try again.'
    : `This device did not keep the last change: ${error instanceof Error ? error.message : 'it did not say why'}. Try again.`;
}

/**
 * Changes to one piece's draft. Each is written to the device at once and shown at once: a slow device must not take back a letter
 * while it keeps the one before. `kept` says whether the device has all that is shown, `trouble` what it could not keep.
 */
export function useDraft(parts: NewDraft, existing: BenchDraft | undefined) {
  const [left] = useState(() => {
    const letters = lastLetters({ roundId: parts.round.roundId, gearId: parts.piece.gearId });
    return letters && letters.changedAt > (existing?.changedAt ?? 0) ? letters : undefined;
  });
  const [fresh] = useState(() => left ?? emptyDraft(parts));
  const onDevice = existing ?? fresh;
  const [ahead, setAhead] = useState<BenchDraft>();
  const [trouble, setTrouble] = useState<string>();
  const draft = ahead !== undefined && ahead.changedAt > onDevice.changedAt ? ahead : onDevice;
  const shown = useRef(draft);
  useLayoutEffect(() => {
    shown.current = draft;
  }, [draft]);
  const change = useCallback(
    async (edit: EditDraft): Promise<boolean> => {
      const changedAt = Math.max(Date.now(), shown.current.changedAt + 1);
      shown.current = tapped(shown.current, edit, changedAt);
      setAhead(shown.current);
      if (shown.current.status === 'draft') layDown(shown.current);
      try {
        const written = await benchStore.transaction('rw', benchStore.drafts, benchStore.device, async () => {
          const all = await benchStore.drafts.where('roundId').equals(fresh.roundId).toArray();
          const before = all.find(({ gearId }) => gearId === fresh.gearId) ?? fresh;
          const after = tapped(before, edit, changedAt);
          const confirmed = after.status === 'queued' && before.status !== 'queued';
          await benchStore.drafts.put(confirmed ? { ...after, stamp: await nextStamp(new Date()) } : after);
          return after;
        });
        takeAway(written);
        setTrouble(undefined);
      } catch (error) {
        // What the device could not keep is not shown as if it had.
        setAhead(undefined);
        setTrouble(notKept(error));
        return false;
      }
      return true;
    },
    [fresh],
  );
  useEffect(() => {
    // What a killed tab left is taken into the store, as it was typed.
    if (left) void change(() => left);
  }, [left, change]);
  return { draft, change, kept: draft === onDevice, trouble };
}
