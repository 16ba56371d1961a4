import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import tiedBack from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import { gotPdfMaker } from '../../kept/connection-slice.ts';
import { store } from '../../store.ts';
import { caseOfFile } from '../../testing/case-of-file.ts';
import { fakeServer } from '../../testing/fake-server.ts';
import { asRole } from '../../testing/sample-team.ts';
import { show } from '../../testing/show.tsx';
import { TakeAway } from './TakeAway.tsx';

/** A device without a signal that was never sent the PDF maker; or one whose maker is still on its way. */
const maker = vi.hoisted(() => ({ arrives: () => Promise.reject(new Error('offline')) as Promise<never> }));
vi.mock('./print-card.ts', () => maker.arrives());
vi.mock('../solver/use-judgement.ts', () => ({ judgedNow: async () => undefined }));

const server = fakeServer();
afterEach(cleanup);
const subject = caseOfFile(tiedBack);
const open = () => {
  server.answers(asRole('coordinator'));
  return show(<TakeAway rig={subject.rig} subject={subject} facts={new Map()} apply={() => undefined} />);
};

describe('printing without the PDF maker', () => {
  it('says that it is not on this device yet, how it comes, and what to take until then', async () => {
    const user = open();
    await user.click(screen.getByRole('button', { name: 'Field card, PDF' }));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toBe(
      'The field card could not be made: the PDF maker, 1.8 MB, is not on this device yet. It comes by itself as soon as there is a signal; until then take the drawing.',
    );
  });
  it('says that it is being fetched while it is, and no more once it is there', async () => {
    maker.arrives = () => new Promise(() => undefined);
    vi.resetModules();
    const user = open();
    await user.click(screen.getByRole('button', { name: 'Field card, PDF' }));
    expect((await screen.findByRole('status')).textContent).toContain('the PDF maker, 1.8 MB, is being fetched first');
    store.dispatch(gotPdfMaker());
    expect((await screen.findByText(/is being made…$/)).textContent).toBe('The field card is being made…');
  });
});
