import { cleanup, render, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ownPage } from './own-page.tsx';

afterEach(cleanup);
const Bench = () => <h1>Bench</h1>;
const shown = (Page: React.ComponentType) =>
  render(
    <Suspense fallback={<p>Loading</p>}>
      <Page />
    </Suspense>,
  );

describe('a page with a script of its own', () => {
  it('is drawn at once where it was fetched ahead, and fetched once', async () => {
    const load = vi.fn(async () => Bench);
    const Page = ownPage(load);
    await Page.fetchAhead();
    shown(Page);
    expect(screen.getByRole('heading').textContent).toBe('Bench');
    expect(load).toHaveBeenCalledTimes(1);
  });
  it('says that it is loading where it was not, and is there after it', async () => {
    const Page = ownPage(async () => Bench);
    shown(Page);
    expect(screen.getByText('Loading')).toBeTruthy();
    expect((await screen.findByRole('heading')).textContent).toBe('Bench');
  });
  it('stays what it was drawn as when its script comes meanwhile', async () => {
    const Page = ownPage(async () => Bench);
    const { rerender } = shown(Page);
    await screen.findByRole('heading');
    const heading = screen.getByRole('heading');
    rerender(
      <Suspense fallback={<p>Loading</p>}>
        <Page />
      </Suspense>,
    );
    expect(screen.getByRole('heading')).toBe(heading);
  });
  it('tells whoever fetches it ahead that it cannot be had', async () => {
    const Page = ownPage(() => Promise.reject(new Error('no signal')));
    await expect(Page.fetchAhead()).rejects.toThrow('no signal');
  });
});
