import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { Rig } from '@wainrope/core';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import plantationFile from '../../../../demo/plans/plantation-ride-self-recovery.json' with { type: 'json' };
import { store } from '../../store.ts';
import { caseOfFile } from '../../testing/case-of-file.ts';
import { edited, planOpened } from './planner-slice.ts';
import { usePlannerShortcuts } from './use-planner-shortcuts.ts';

const { rig } = caseOfFile(plantationFile);
const save = vi.fn();

function Page() {
  usePlannerShortcuts(save);
  return (
    <>
      <label>
        Name
        <input />
      </label>
      <label>
        Comment
        <textarea />
      </label>
      <label>
        Wet
        <input type="checkbox" />
      </label>
    </>
  );
}

const massNow = () => {
  const now: Rig | undefined = store.getState().planner.rig;
  const [body] = now?.bodies ?? [];
  return body?.kind === 'vehicle' ? body.massKg : undefined;
};
const [vehicle] = rig.bodies;
if (vehicle?.kind !== 'vehicle') throw new Error('no vehicle');

beforeEach(() => {
  save.mockClear();
  store.dispatch(planOpened({ planId: 'p', version: 1, name: 'Plantation', rig, dirty: false }));
  store.dispatch(edited({ edits: [{ kind: 'change-body', body: { ...vehicle, massKg: 3333 } }] }));
  render(
    <Provider store={store}>
      <Page />
    </Provider>,
  );
});
afterEach(cleanup);

describe('keys of the planner', () => {
  it('take a step back and forth, and count as changed until it is saved', () => {
    expect(massNow()).toBe(3333);
    fireEvent.keyDown(window, { key: 'z', ctrlKey: true });
    expect(massNow()).toBe(vehicle.massKg);
    fireEvent.keyDown(window, { key: 'Z', ctrlKey: true, shiftKey: true });
    expect(massNow()).toBe(3333);
    fireEvent.keyDown(window, { key: 'z', metaKey: true });
    expect(massNow()).toBe(vehicle.massKg);
    expect(store.getState().planner.dirty).toBe(true);
  });
  it.each(['Name', 'Comment'])('leave what is typed under “%s” to its own field', (label) => {
    fireEvent.keyDown(screen.getByLabelText(label), { key: 'z', ctrlKey: true });
    expect(massNow()).toBe(3333);
  });
  it('act beside a box that is ticked, in which nothing is typed', () => {
    fireEvent.keyDown(screen.getByLabelText('Wet'), { key: 'z', ctrlKey: true });
    expect(massNow()).toBe(vehicle.massKg);
  });
  it('save from anywhere, and do nothing without their modifier', () => {
    fireEvent.keyDown(screen.getByLabelText('Comment'), { key: 's', ctrlKey: true });
    expect(save).toHaveBeenCalledTimes(1);
    fireEvent.keyDown(window, { key: 's' });
    fireEvent.keyDown(window, { key: 'z' });
    expect(save).toHaveBeenCalledTimes(1);
    expect(massNow()).toBe(3333);
  });
});
