import { render } from '@testing-library/react';
import type { Body } from '@wainrope/core';
import { afterEach, expect, it } from 'vitest';
import { holdAhead } from '../draft/held-ahead.ts';
import { useAhead, useHiddenWhileHeld } from './use-ahead.ts';

const VIEW = { scale: 20, originX: 400, originY: 300 };
const SIZE = { width: 800, height: 600 };
const tree = (xM: number): Body => ({ id: 'alder', kind: 'tree', label: 'Alder', xM, yM: 2, trunkDiameterM: 0.4 }) as Body;

function Drawn({ body }: { readonly body: Body }) {
  return (
    <svg>
      <title>drawn</title>
      <g ref={useAhead(body, VIEW, SIZE)} data-drawn />
    </svg>
  );
}

afterEach(() => holdAhead(undefined));

it('goes with the pointer, from wherever it was drawn last, and lets go of it', () => {
  const shown = render(<Drawn body={tree(1)} />);
  const style = () => shown.container.querySelector<SVGGElement>('[data-drawn]')?.style;
  expect(style()?.transform).toBe('');
  // Two metres east and half a metre north: 40 px to the right, 10 px up.
  holdAhead({ id: 'alder', xM: 3, yM: 2.5 });
  expect(style()?.transform).toBe('translate(40px, -10px)');
  expect(style()?.willChange).toBe('transform');
  shown.rerender(<Drawn body={tree(2.5)} />);
  expect(style()?.transform).toBe('translate(10px, -10px)');
  holdAhead({ id: 'birch', xM: 9, yM: 9 });
  expect(style()?.transform).toBe('');
  holdAhead({ id: 'alder', xM: 2.5, yM: 2 });
  expect(style()?.transform).toBe('translate(0px, 0px)');
  holdAhead(undefined);
  expect([style()?.transform, style()?.willChange]).toEqual(['', '']);
});

it('holds somebody beyond the edge at the edge', () => {
  const pim: Body = { id: 'pim', kind: 'person', label: 'Pim', xM: 30, yM: 0, duty: 'helper' };
  const shown = render(<Drawn body={pim} />);
  holdAhead({ id: 'pim', xM: 25, yM: 0 });
  expect(shown.container.querySelector<SVGGElement>('[data-drawn]')?.style.transform).toBe('translate(0px, 0px)');
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
