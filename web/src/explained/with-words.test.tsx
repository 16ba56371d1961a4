// @vitest-environment jsdom
import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { expect, it } from 'vitest';
import { WithWords } from './WithWords.tsx';

it('leads from a word of the trade to what it means, and leaves the sentence as it is', () => {
  const { container } = render(
    <MemoryRouter>
      <WithWords text="Hang a damper on the winch leg." />
    </MemoryRouter>,
  );
  expect(container.textContent).toBe('Hang a damper on the winch leg.');
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(['/words#damper', '/words#winch-leg']);
});
