// @vitest-environment jsdom
import { act } from 'react';
import { useLocation } from 'react-router';
import { expect, test } from 'vitest';
import { press, render } from '../testing/render.tsx';
import { useAddress } from './use-address.ts';

let late: ReturnType<typeof useAddress>['put'] | undefined;

function Acts() {
  const { put, putAll } = useAddress();
  return (
    <>
      <p>{useLocation().search}</p>
      <button
        type="button"
        onClick={() => {
          late = put;
          put('tag', 'SS-04');
          put('sort', undefined);
          putAll({ kind: 'rope', year: '2021' });
        }}
      >
        Several
      </button>
    </>
  );
}

test('of several acts in one moment none is lost, and one that comes late keeps what stands there', async () => {
  const box = await render(<Acts />, '/gear?sort=age&at=2.00');
  await press(box, 'Several');
  expect(box.querySelector('p')?.textContent).toBe('?at=2.00&tag=SS-04&kind=rope&year=2021');
  await act(async () => late?.('at', '7.00'));
  expect(box.querySelector('p')?.textContent).toBe('?at=7.00&tag=SS-04&kind=rope&year=2021');
});
