import type { ReactNode } from 'react';
import { act } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { store } from '../store.ts';
import { remember, takeDown } from './shown-page.ts';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

/** Puts an element on a page of its own, with store and addresses, and gives the page's box back. The page before is taken down. */
export async function render(element: ReactNode, address = '/'): Promise<HTMLElement> {
  const box = document.createElement('div');
  document.body.replaceChildren(box);
  await act(async () => {
    takeDown();
    const page = createRoot(box);
    remember(page);
    page.render(
      <Provider store={store}>
        <MemoryRouter initialEntries={[address]}>{element}</MemoryRouter>
      </Provider>,
    );
  });
  return box;
}

/** Clicks what a person would: a button by its words. */
export async function press(box: HTMLElement, words: string): Promise<void> {
  const button = [...box.querySelectorAll('button')].find(
    (entry) => entry.textContent?.trim() === words || entry.getAttribute('aria-label') === words,
  );
  if (!button)
    throw new Error(`no button “${words}” among ${[...box.querySelectorAll('button')].map((entry) => entry.textContent).join(', ')}`);
  await act(async () => button.click());
}

/** Types into the field with this label. */
export async function type(box: HTMLElement, label: string, text: string): Promise<void> {
  const field = [...box.querySelectorAll('label')].find((entry) => entry.textContent?.startsWith(label))?.querySelector('input');
  if (!field) throw new Error(`no field “${label}”`);
  await act(async () => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
}
