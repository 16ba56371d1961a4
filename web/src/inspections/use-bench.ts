import type { GearView } from '@wainrope/contract';
import { useCallback, useState } from 'react';
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

/** Changes to one piece's draft, each kept on the device before the next tap. */
export function useDraft(parts: NewDraft, existing: BenchDraft | undefined) {
  const [fresh] = useState(() => emptyDraft(parts));
  const change = useCallback(
    (edit: (draft: BenchDraft) => Partial<BenchDraft>) =>
      benchStore.transaction('rw', benchStore.drafts, async () => {
        const all = await benchStore.drafts.where('roundId').equals(fresh.roundId).toArray();
        const now = all.find(({ gearId }) => gearId === fresh.gearId) ?? fresh;
        if (now.status === 'sent' || now.status === 'queued') return;
        await benchStore.drafts.put({ ...now, status: 'draft', ...edit(now), changedAt: Date.now() });
      }),
    [fresh],
  );
  return { draft: existing ?? fresh, change };
}
