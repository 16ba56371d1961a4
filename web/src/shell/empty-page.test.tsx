// @vitest-environment jsdom
import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EmptyPage } from './EmptyPage.tsx';
import { Loading } from './Loading.tsx';

describe('a page on which nothing stands yet', () => {
  it('says so, draws what will stand there for those who see it, and names the next step', () => {
    const { container } = render(
      <EmptyPage of="kits" words="No kit yet.">
        Make one.
      </EmptyPage>,
    );
    expect(screen.getByText('No kit yet.')).toBeDefined();
    expect(screen.getByText('Make one.')).toBeDefined();
    expect(container.querySelector('svg')?.getAttribute('aria-hidden')).toBe('true');
    expect(container.querySelectorAll('svg g')).toHaveLength(3);
  });
});

describe('a page that is being read', () => {
  it('says what is read, also to those who cannot see it', () => {
    render(<Loading what="the kits" />);
    expect(screen.getByRole('status').textContent).toBe('Loading the kits…');
  });
});
