import { render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { store } from '../store.ts';

interface Shown {
  /** Where the page stands, as the address has it. */
  readonly address?: string;
  /** The page's own place among addresses, where it reads a part of it. */
  readonly path?: string;
}

/** A page at an address, with the real store and client under it. Where it leads on is told by `leadsTo`. */
export const show = (page: ReactNode, { address = '/', path = '*' }: Shown = {}) =>
  showRoutes(<Route path={path} element={page} />, address);

/** Pages at their addresses, opened at one of them. */
export function showRoutes(routes: ReactNode, address: string) {
  const user = userEvent.setup();
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[address]}>
        <Routes>
          {routes}
          <Route path="*" element={null} />
        </Routes>
        <Where />
      </MemoryRouter>
    </Provider>,
  );
  return user;
}

function Where() {
  const { pathname, search } = useLocation();
  return <span data-testid="where">{`${pathname}${search}`}</span>;
}

export const leadsTo = () => screen.getByTestId('where').textContent;

/** The words of each row of a list by its name, without what is between them. */
export const rowsOf = (name: string) =>
  [...screen.getByRole('list', { name }).querySelectorAll(':scope > li')].map((row) => row.textContent?.replace(/\s+/g, ' ').trim());
