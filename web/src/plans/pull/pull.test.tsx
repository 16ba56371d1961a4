import { type Case, type Edit, layOnSite, layouts, type Rig, readRigFile, write } from '@wainrope/core';
import { describe, expect, it, vi } from 'vitest';
import badgerFile from '../../../../demo/plans/badger-on-peat-track.json' with { type: 'json' };
import hollowFile from '../../../../demo/plans/sand-hollow-stretch-pull.json' with { type: 'json' };
import { judge, judgeStart } from '../../testing/judged.ts';
import { press, render, type } from '../../testing/render.tsx';
import { byWeakest, pathColumns } from '../load-path/load-path-columns.ts';
import { wayOnMap } from '../sheet/way-on-map.ts';
import { cornersOf, pathOf } from '../site/way-corners.ts';
import { PullPanel } from './PullPanel.tsx';
import { endsEarly, pullRows } from './pull-rows.ts';

const caseOf = (file: unknown): Case => {
  const read = readRigFile(file);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.value.case;
};
const badger = caseOf(badgerFile);
const hollow = caseOf(hollowFile);
const far = (subject: Case, travelM: number): Case => ({ ...subject, rig: { ...subject.rig, load: { ...subject.rig.load, travelM } } });

const panel = (subject: Case, report = judge(subject), apply: (edits: readonly Edit[]) => void = vi.fn()) =>
  render(<PullPanel rig={subject.rig} subject={subject} report={report} apply={apply} show={vi.fn()} locked={false} />);

describe('what happens on the way', () => {
  it('stands in the order of its metres, findings beside events, and leaves out what holds from the start', () => {
    const rows = pullRows(judge(badger));
    expect(rows.map(({ atM }) => atM)).toEqual(rows.map(({ atM }) => atM).sort((a, b) => a - b));
    expect(rows.some(({ finding }) => finding?.code === 'damper-to-move')).toBe(true);
    expect(rows.every(({ atM }) => atM > 0)).toBe(true);
    expect(rows.map(({ words }) => write(words)).join()).not.toContain('undefined');
  });
  it('is told on the panel with the end last, and how much of the way is left where it ends early', async () => {
    const box = await panel(badger);
    expect(box.querySelector('[data-pull-end]')?.textContent).toContain('9.0 m');
    const early = await panel(far(badger, 30));
    expect(early.querySelector('[data-pull-end]')?.getAttribute('data-pull-end')).toBe('reaches-fairlead');
    expect(early.querySelector('[data-pull-end]')?.textContent).toMatch(/Badger would still have 1\d\.\d m to go/);
  });
  it('says of a start alone that it is one, and ends nothing early', async () => {
    const start = judgeStart(badger);
    expect(endsEarly(start)).toBe(false);
    expect((await panel(badger, start)).textContent).toContain('The rest of the way is being worked out.');
    const { travelM: _said, ...load } = badger.rig.load;
    const unsaid = { ...badger, rig: { ...badger.rig, load } };
    expect((await panel(unsaid)).textContent).toContain('say how far the load has to go');
  });
  it('tells the attempts of a run-up with their verdicts, and the step beyond as what not to do', async () => {
    const box = await panel(hollow);
    expect([...box.querySelectorAll('[data-attempt]')].map((entry) => entry.getAttribute('data-attempt'))).toEqual([
      'clear',
      'clear',
      'clear',
      'stop',
    ]);
    expect(box.textContent).toContain('One step beyond: not this');
    expect(box.textContent).toContain('5 minutes');
  });
});

describe('the load path', () => {
  it('shows each piece at its worst, and the start beside it where that is less', () => {
    const report = judge(badger);
    const drum = pathColumns(report).find(({ worst }) => worst.kind === 'drum');
    expect(drum?.planned).toBeGreaterThan(drum?.atStart ?? Number.NaN);
    expect(drum?.worstAtM).toBeCloseTo(9, 6);
    const level = pathColumns(judgeStart(badger));
    expect(level.every(({ atStart }) => atStart === undefined)).toBe(true);
  });
  it('puts the piece that stands worst on the way first when asked', () => {
    const report = judge(badger);
    expect(byWeakest(pathColumns(report))[0]?.worst.id).toBe(report.weakestPlaceId);
  });
});

describe('the way of the load', () => {
  const layout = layouts.find(({ id }) => id === 'single-line-to-a-vehicle');
  if (!layout) throw new Error('no layout');
  const rig: Rig = layOnSite(layout, undefined, {});
  const body = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  if (body === undefined) throw new Error('no load');
  it('said leg by leg gives the corners on the map, and back', () => {
    const legs = [
      { lengthM: 3, bearingDeg: 90 },
      { lengthM: 4, bearingDeg: 180 },
    ];
    const path = pathOf(rig, legs);
    expect(path[0]).toEqual({ xM: expect.closeTo(body.xM + 3, 9), yM: expect.closeTo(body.yM, 9) });
    expect(path[1]).toEqual({ xM: expect.closeTo(body.xM + 3, 9), yM: expect.closeTo(body.yM - 4, 9) });
    const back = cornersOf({ ...rig, load: { ...rig.load, path } });
    expect(back.map(({ lengthM, bearingDeg }) => [Math.round(lengthM * 1e6) / 1e6, Math.round(bearingDeg * 1e6) / 1e6])).toEqual([
      [3, 90],
      [4, 180],
    ]);
  });
  it('is drawn to the metre that it reaches: on the last leg, beyond it, and nowhere at none', () => {
    const led = {
      ...rig,
      load: {
        ...rig.load,
        path: pathOf(rig, [
          { lengthM: 3, bearingDeg: 90 },
          { lengthM: 4, bearingDeg: 180 },
        ]),
      },
    };
    expect(wayOnMap(led, 5).at(-1)).toEqual({ xM: expect.closeTo(body.xM + 3, 9), yM: expect.closeTo(body.yM - 2, 9) });
    expect(wayOnMap(led, 9).at(-1)?.yM).toBeCloseTo(body.yM - 6, 9);
    expect(wayOnMap(led, 2)).toHaveLength(2);
    expect(wayOnMap(led, 0)).toHaveLength(1);
  });
  it('gets a leg by a touch, straight on at first, and loses its path with the last', async () => {
    const apply = vi.fn();
    const box = await panel(badger, judge(badger), apply);
    await press(box, 'Add a leg');
    const [edits] = apply.mock.calls[0] ?? [];
    expect(edits[0].load.path).toHaveLength(1);
    const led = { ...badger, rig: { ...badger.rig, load: edits[0].load } };
    const again = await panel(led, judge(led), apply);
    await press(again, 'Take leg 1 away');
    expect(apply.mock.calls[1]?.[0][0].load).not.toHaveProperty('path');
  });
});

describe('the fields of a run-up', () => {
  it('choose a speed with the slack it asks for, and a number of attempts', async () => {
    const apply = vi.fn();
    const box = await panel(hollow, judge(hollow), apply);
    await type(box, 'Fastest attempt', '9');
    const { drive } = apply.mock.calls[0]?.[0][0].entry ?? {};
    expect(drive.runUp.speedMPerS).toBeCloseTo(2.5, 9);
    expect(drive.runUp.slackM).toBeGreaterThan(0);
    await type(box, 'Attempts, rising', '2');
    expect(apply.mock.calls[1]?.[0][0].entry.drive.attempts).toBe(2);
  });
  it('give the choice back to the proposal', async () => {
    const apply = vi.fn();
    const lines = hollow.rig.lines.map((line) =>
      line.drive.kind === 'tow' ? { ...line, drive: { ...line.drive, runUp: { speedMPerS: 3, slackM: 4 } } } : line,
    );
    const subject = { ...hollow, rig: { ...hollow.rig, lines } };
    const box = await panel(subject, judge(subject), apply);
    await press(box, 'Take the proposal');
    expect(apply.mock.calls[0]?.[0][0].entry.drive).not.toHaveProperty('runUp');
  });
});
