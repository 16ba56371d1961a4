import { act, render } from '@testing-library/react';
import type { Body } from '@wainrope/core';
import { afterEach, expect, it } from 'vitest';
import { type HeldAhead, holdAhead } from '../draft/held-ahead.ts';
import { useAhead, useHiddenWhileHeld } from './use-ahead.ts';

const pim = (xM: number): Body => ({ id: 'pim', kind: 'person', label: 'Pim', xM, yM: 2, duty: 'helper' });

function Drawn({ body }: { readonly body: Body }) {
  const { xM, yM, label } = useAhead(body);
  return (
    <p>
      {label} {xM} {yM}
    </p>
  );
}

afterEach(() => act(() => holdAhead(undefined)));

it('goes with the pointer, from wherever it stands, and lets go of it', () => {
  const { container, rerender } = render(<Drawn body={pim(1)} />);
  const hold = (to: HeldAhead | undefined) => act(() => holdAhead(to));
  expect(container.textContent).toBe('Pim 1 2');
  hold({ id: 'pim', xM: 3, yM: 2.5 });
  expect(container.textContent).toBe('Pim 3 2.5');
  rerender(<Drawn body={pim(2.5)} />);
  expect(container.textContent).toBe('Pim 3 2.5');
  hold({ id: 'birch', xM: 9, yM: 9 });
  expect(container.textContent).toBe('Pim 2.5 2');
  hold({ id: 'pim', xM: 2, yM: 1 });
  expect(container.textContent).toBe('Pim 2 1');
  hold(undefined);
  expect(container.textContent).toBe('Pim 2.5 2');
});

function Ring({ isThere }: { readonly isThere: boolean }) {
  const ring = useHiddenWhileHeld<SVGCircleElement>('alder');
  return <svg aria-hidden="true">{isThere && <circle ref={ring} data-ring />}</svg>;
}

it('hides what goes with a body while the pointer holds that body, also where it comes meanwhile', () => {
  const shown = render(<Ring isThere={false} />);
  const visibility = () => shown.container.querySelector<SVGElement>('[data-ring]')?.style.visibility;
  holdAhead({ id: 'alder', xM: 3, yM: 2 });
  shown.rerender(<Ring isThere />);
  expect(visibility()).toBe('hidden');
  holdAhead({ id: 'birch', xM: 3, yM: 2 });
  expect(visibility()).toBe('');
  holdAhead({ id: 'alder', xM: 4, yM: 2 });
  expect(visibility()).toBe('hidden');
  holdAhead(undefined);
  expect(visibility()).toBe('');
});
