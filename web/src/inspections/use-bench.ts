import type { GearView } from '@wainrope/contract';
import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import { type BenchDraft, type BenchRound, benchStore } from '../outbox/bench-store.ts';
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

/**
 * Changes to one piece's draft. Each is written to the device at once and shown at once: a slow device must not take back a letter
 * while it keeps the one before. `kept` says whether the device has all that is shown.
 */
export function useDraft(parts: NewDraft, existing: BenchDraft | undefined) {
  const [fresh] = useState(() => emptyDraft(parts));
  const onDevice = existing ?? fresh;
  const [ahead, setAhead] = useState<BenchDraft>();
  const draft = ahead !== undefined && ahead.changedAt > onDevice.changedAt ? ahead : onDevice;
  const shown = useRef(draft);
  useLayoutEffect(() => {
    shown.current = draft;
  }, [draft]);
  const change = useCallback(
    async (edit: EditDraft) => {
      const changedAt = Math.max(Date.now(), shown.current.changedAt + 1);
      shown.current = tapped(shown.current, edit, changedAt);
      setAhead(shown.current);
      try {
        await benchStore.transaction('rw', benchStore.drafts, async () => {
          const all = await benchStore.drafts.where('roundId').equals(fresh.roundId).toArray();
          await benchStore.drafts.put(tapped(all.find(({ gearId }) => gearId === fresh.gearId) ?? fresh, edit, changedAt));
        });
      } catch (error) {
        // What the device could not keep is not shown as if it had.
        setAhead(undefined);
        throw error;
      }
    },
    [fresh],
  );
  return { draft, change, kept: draft === onDevice };
}
