import { screen, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';

/** Chooses by its words what a list or a search offers, as a person does. */
export async function choose(user: UserEvent, label: string | RegExp, words: string | RegExp, box = document.body): Promise<void> {
  const [control] = within(box).getAllByLabelText(label);
  if (!control) throw new Error(`nothing is called ${label}`);
  await user.click(control);
  await user.click(await screen.findByRole('option', { name: words }));
}

/** What a list or a search offers, in words, opened as a person opens it and closed again. */
export async function offeredBy(user: UserEvent, label: string | RegExp): Promise<readonly (string | null)[]> {
  await user.click(screen.getByLabelText(label));
  const words = (await screen.findAllByRole('option')).map(({ textContent }) => textContent);
  await user.keyboard('{Escape}');
  return words;
}
