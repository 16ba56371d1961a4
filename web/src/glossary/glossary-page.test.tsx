import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { show } from '../testing/show.tsx';
import { GlossaryPage } from './GlossaryPage.tsx';

afterEach(cleanup);
Element.prototype.scrollIntoView ??= () => undefined;

it('is searched by word and by meaning', async () => {
  const user = show(<GlossaryPage />, { address: '/words' });
  expect(screen.getByText('Working limit')).toBeTruthy();
  await user.type(screen.getByLabelText('Search the words'), 'drags a broken line');
  expect(screen.getAllByRole('term').map(({ textContent }) => textContent)).toEqual(['Damper']);
  await user.type(screen.getByLabelText('Search the words'), ' zz');
  expect(screen.getByText('No word here fits that search.')).toBeTruthy();
});

it('opens at the word in its address', () => {
  show(<GlossaryPage />, { address: '/words#wll' });
  const entry = document.getElementById('wll');
  expect(entry?.textContent).toMatch(/^WLL/);
  expect(entry?.className).toContain('border-l-rope');
  expect(document.getElementById('mbs')?.className).not.toContain('border-l-rope');
});
