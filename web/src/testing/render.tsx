import type { ReactNode } from 'react';
import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { store } from '../store.ts';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

/** The page before, which would go on listening to the store. */
let shown: Root | undefined;

/** Puts an element on a page of its own, with store and addresses, and gives the page's box back. The page before is taken down. */
export async function render(element: ReactNode, address = '/'): Promise<HTMLElement> {
  const box = document.createElement('div');
  document.body.replaceChildren(box);
  await act(async () => {
    shown?.unmount();
    shown = createRoot(box);
    shown.render(
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
