import { act, renderHook } from '@testing-library/react';
import { type Rig, readRigFile } from '@wainrope/core';
import { expect, it } from 'vitest';
import bogFile from '../../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { toScreen } from './layout/plan-sheet-layout.ts';
import { useSheetView } from './use-sheet-view.ts';

const size = { width: 800, height: 400 };

function shown(people: Rig['bodies']) {
  const file = readRigFile(bogFile);
  if (!file.ok) throw new Error('the demo plan is not read');
  const { rig } = file.value.case;
  const bodies = [...rig.bodies.filter(({ kind }) => kind !== 'person'), ...people];
  const target = { current: document.createElement('div') };
  const shown = { rig: { ...rig, bodies }, report: undefined, size, covered: { width: 0, height: 0 } };
  return renderHook(() => useSheetView(shown, target)).result;
}

it('fits the rig, once more everybody round it too, and the rig again', () => {
  const result = shown([{ id: 'pim', kind: 'person', label: 'Pim', xM: 90, yM: 0, duty: 'helper' }]);
  const x = () => toScreen(result.current.view, { x: 90, y: 0 }).x;
  const whole = result.current.view;
  expect(x()).toBeGreaterThan(size.width);
  act(() => result.current.fit());
  expect(x()).toBeLessThan(size.width);
  act(() => result.current.fit());
  expect(result.current.view).toEqual(whole);
});

it('goes back to the rig from wherever somebody zoomed to, and stays with it where nobody stands about', () => {
  const result = shown([]);
  const whole = result.current.view;
  act(() => result.current.zoom(2));
  expect(result.current.view.scale).toBeCloseTo(2 * whole.scale, 9);
  act(() => result.current.fit());
  expect(result.current.view).toEqual(whole);
  act(() => result.current.fit());
  expect(result.current.view).toEqual(whole);
});
