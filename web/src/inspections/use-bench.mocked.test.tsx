import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { GearView } from '@wainrope/contract';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BenchDraft, BenchRound } from '../outbox/bench-store.ts';
import { useDraft } from './use-bench.ts';

/** A device that keeps nothing before it is let. */
const device = vi.hoisted(() => ({
  drafts: [] as { readonly gearId: string }[],
  waiting: [] as { readonly go: () => void; readonly fail: () => void }[],
  heard: (() => undefined) as () => void,
}));
vi.mock('../outbox/bench-store.ts', () => ({
  nextStamp: async () => ({ deviceId: 'this', sequence: 7, clock: '2026-01-15T10:00:00.000Z' }),
  benchStore: {
    device: { get: async () => undefined, put: async () => undefined },
    drafts: {
      where: () => ({ equals: () => ({ toArray: async () => [...device.drafts] }) }),
      put: async (draft: { readonly gearId: string }) => {
        device.drafts = [...device.drafts.filter(({ gearId }) => gearId !== draft.gearId), draft];
      },
    },
    transaction: async (_mode: string, _drafts: unknown, _device: unknown, work: () => Promise<unknown>) => {
      await new Promise<void>((resolve, reject) => device.waiting.push({ go: resolve, fail: () => reject(new Error('full')) }));
      const done = await work();
      device.heard();
      return done;
    },
  },
}));
vi.mock('../outbox/use-live.ts', () => ({ useLive: () => undefined }));

const parts = {
  round: { roundId: 'round', kind: 'calendar' } as unknown as BenchRound,
  piece: { gearId: 'ring' } as unknown as GearView,
  today: '2026-01-15',
};

function Page() {
  const [stored, setStored] = useState<readonly BenchDraft[]>([]);
  device.heard = () => setStored(device.drafts as unknown as readonly BenchDraft[]);
  const { draft, change, kept, trouble } = useDraft(parts, stored[0]);
  const confirm = () => change(() => ({ status: 'queued' }));
  return (
    <>
      <label>
        Note
        <input value={draft.note} onChange={(event) => void change(() => ({ note: event.target.value }))} />
      </label>
      <button type="button" onClick={confirm}>
        Confirm
      </button>
      <p>{`${draft.status}, ${kept ? 'kept' : 'on its way'}`}</p>
      {trouble && <p role="alert">{trouble}</p>}
    </>
  );
}

const note = () => screen.getByLabelText<HTMLInputElement>('Note');
const says = () => screen.getByText(/, (kept|on its way)$/).textContent;
const type = (value: string) => fireEvent.change(note(), { target: { value } });
const let1 = (how: 'go' | 'fail' = 'go') => act(async () => void device.waiting.shift()?.[how]());

beforeEach(() => {
  localStorage.clear();
  Object.assign(device, { drafts: [], waiting: [] });
  render(<Page />);
});
afterEach(cleanup);

describe('what is tapped and typed at the bench', () => {
  it('stands at once, though the device is slow to keep it, and no letter is taken back', async () => {
    type('n');
    expect(note().value).toBe('n');
    type('ni');
    type('nic');
    expect([note().value, says()]).toEqual(['nic', 'draft, on its way']);
    await let1();
    expect([note().value, says()]).toEqual(['nic', 'draft, on its way']);
    await let1();
    await let1();
    expect([note().value, says()]).toEqual(['nic', 'draft, kept']);
    expect(device.drafts).toMatchObject([{ note: 'nic' }]);
  });
  it('is not shown where the device could not keep it', async () => {
    type('n');
    await let1();
    type('ni');
    await let1('fail');
    expect([note().value, says()]).toEqual(['n', 'draft, kept']);
    expect(screen.getByRole('alert').textContent).toContain('This device did not keep the last change: full.');
    type('no');
    await let1();
    expect([note().value, screen.queryByRole('alert')]).toEqual(['no', null]);
  });
  it('is not changed any more once it was confirmed, also while that is on its way', async () => {
    type('n');
    fireEvent.click(screen.getByRole('button', { name: 'Confirm' }));
    type('too late');
    expect([note().value, says()]).toEqual(['n', 'queued, on its way']);
    await let1();
    await let1();
    await let1();
    expect([note().value, says()]).toEqual(['n', 'queued, kept']);
    expect(device.drafts).toMatchObject([{ note: 'n', status: 'queued', stamp: { deviceId: 'this', sequence: 7 } }]);
  });

  it('is there again where the tab was killed before the device had kept it, and what the device has is not laid down twice', async () => {
    type('ni');
    await let1();
    expect(localStorage.length).toBe(0);
    type('nick');
    cleanup();
    device.waiting.length = 0;
    render(<Page />);
    await act(async () => device.heard());
    expect([note().value, says()]).toEqual(['nick', 'draft, on its way']);
    await let1();
    expect([note().value, says()]).toEqual(['nick', 'draft, kept']);
    expect(device.drafts).toMatchObject([{ note: 'nick' }]);
    expect(localStorage.length).toBe(0);
  });
});
