import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type Edit, legCalled, readRigFile } from '@wainrope/core';
import { describe, expect, it, vi } from 'vitest';
import beck from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import gate from '../../../../demo/plans/gate-two-winches.json' with { type: 'json' };
import { judge } from '../../testing/judged.ts';
import { press, render } from '../../testing/render.tsx';
import { pathColumns } from '../load-path/load-path-columns.ts';
import { PiecesPanel } from '../pieces/PiecesPanel.tsx';
import { fitView, shownAt } from '../sheet/layout/plan-sheet-layout.ts';
import { sheetLabels } from '../sheet/layout/sheet-labels.ts';
import { StandingFields } from '../site/StandingFields.tsx';
import { FindingsPanel } from './FindingsPanel.tsx';

const caseOf = (file: unknown) => {
  const read = readRigFile(file);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.value.case;
};
const tied = caseOf(beck);
const two = caseOf(gate);
const size = { width: 860, height: 420 };
const figure = () => '1';

describe('a rig of several lines on the plan sheet', () => {
  it('names its legs by what drives them', () => {
    expect(legCalled(two.rig, { lineId: 'from-otter', index: 0 })).toBe('winch leg');
    expect(legCalled(tied.rig, { lineId: 'line', index: 1 })).toBe('return leg');
  });
  it('is not drawn out for people who only stand about; they are shown at the edge with how far off they are', () => {
    const report = judge(tied);
    const view = fitView(tied.rig, report, size);
    const tomas = tied.rig.bodies.find(({ id }) => id === 'tomas');
    if (!tomas) throw new Error('nobody');
    const shown = shownAt(tomas, view, size);
    expect(shown.offM).toBeGreaterThan(10);
    expect(shown.y).toBeLessThan(size.height);
    const labels = sheetLabels({ rig: tied.rig, report, view, size, figure });
    expect(labels.map(({ id }) => id)).not.toContain('isla');
    expect(labels.find(({ id }) => id === 'heron')?.lines.map(({ text }) => text)).toContain('Isla Wrenfell in the cab');
  });
  it('keeps to names and tensions on a narrow sheet', () => {
    const report = judge(tied);
    const narrow = { width: 390, height: 290 };
    const labels = sheetLabels({ rig: tied.rig, report, view: fitView(tied.rig, report, narrow), size: narrow, figure });
    expect(labels.every(({ lines }) => lines.length === 1)).toBe(true);
  });
  it('breaks the load path where another line or a back-anchor begins', () => {
    expect(pathColumns(judge(two)).filter(({ begins }) => begins)).toHaveLength(1);
    expect(pathColumns(judge(tied)).find(({ begins }) => begins)?.worst.part).toBe('back');
  });
});

describe('the panels of a rig of several lines', () => {
  it('offer a damper for every leg of every line, and take one off by its id', async () => {
    const apply = vi.fn<(edits: readonly Edit[]) => void>();
    const box = await render(<PiecesPanel rig={two.rig} pieces={[]} choosePiece={vi.fn()} addDamper={vi.fn()} apply={apply} />);
    for (const whose of ['Heron', 'Otter']) expect(box.textContent).toContain(`Damper on ${whose}’s line`);
    await press(box, 'Take off');
    expect(apply).toHaveBeenCalledWith([{ kind: 'remove', list: 'dampers', id: 'damper-1' }]);
  });
  it('ask what each winching vehicle stands on, not the one that is stuck', async () => {
    const apply = vi.fn<(edits: readonly Edit[]) => void>();
    const box = await render(
      <StandingFields rig={two.rig} report={judge(two)} said={{ person: 'Isla', on: '2026-06-01' }} apply={apply} />,
    );
    expect(box.textContent).toContain('Heron, winching');
    expect(box.textContent).not.toContain('Badger, winching');
    const [ground] = screen.getAllByLabelText('Stands on');
    if (!ground) throw new Error('no choice');
    const user = userEvent.setup();
    await user.click(ground);
    await user.click(screen.getByRole('option', { name: 'ice' }));
    expect(apply.mock.calls[0]?.[0][0]).toMatchObject({
      kind: 'change-body',
      body: { id: 'heron', stance: { ground: 'ice', brakes: 'all' } },
    });
  });
  it('keep the questions together, apart from what was found', async () => {
    const apply = vi.fn<(edits: readonly Edit[]) => void>();
    const box = await render(
      <FindingsPanel report={judge(two)} apply={apply} choosePiece={vi.fn()} hangDampers={vi.fn()} show={vi.fn()} fillIn={vi.fn()} />,
    );
    const asked = box.querySelector<HTMLElement>('[aria-label="To look at before tension comes on"]');
    if (!asked) throw new Error('no questions');
    expect(asked.querySelectorAll('li')).toHaveLength(3);
    await press(asked, 'No');
    expect(apply.mock.calls[0]?.[0][0]).toMatchObject({ kind: 'answer', answer: 'no' });
  });
});
