import { type Edit, readRigFile } from '@wainrope/core';
import { explainPlace, judgedCase } from '@wainrope/core/judging';
import { act } from 'react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import badgerFile from '../../../demo/plans/badger-on-peat-track.json' with { type: 'json' };
import bogFile from '../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { Explained } from '../explained/Explained.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import { unitsChosen } from '../settings/settings-slice.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { VerdictLabel } from '../shell/VerdictMark.tsx';
import { store } from '../store.ts';
import { judge } from '../testing/judged.ts';
import { press, render, type } from '../testing/render.tsx';
import { FindingsPanel } from './findings/FindingsPanel.tsx';
import { LoadPath } from './load-path/LoadPath.tsx';
import { pathColumns } from './load-path/load-path-columns.ts';
import { OutOfDateNote, PlanConflict } from './PlanNotes.tsx';
import { PlannerSentence } from './PlannerHeader.tsx';
import { StatedForce } from './site/StatedForce.tsx';

beforeAll(() => {
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
});

function caseOf(value: unknown) {
  const file = readRigFile(value);
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}
const bog = caseOf(bogFile);
const report = judge(bog);
const questions = judge(caseOf(badgerFile));

describe('findings', () => {
  const actions = () => {
    const done: { edits: Edit[]; chosen: string[]; dampers: string[]; filled: string[] } = {
      edits: [],
      chosen: [],
      dampers: [],
      filled: [],
    };
    return {
      done,
      apply: (edits: readonly Edit[]) => void done.edits.push(...edits),
      choosePiece: (id: string) => void done.chosen.push(id),
      hangDampers: (legs: readonly { lineId: string; strand: number }[]) =>
        void done.dampers.push(...legs.map(({ lineId, strand }) => `${lineId}.${strand}`)),
      show: () => undefined,
      fillIn: ({ code }: { readonly code: string }) => void done.filled.push(code),
    };
  };
  it('stand with what, why and what to do, the worst first, each severity in words', async () => {
    const box = await render(<FindingsPanel report={report} {...actions()} />);
    const items = [...box.querySelectorAll('li')];
    expect(items.map((item) => item.dataset.finding)).toEqual(report.findings.map(({ code }) => code));
    expect(items[0]?.textContent).toContain('Stop: TS-03 Tree strap 2 m × 50 mm, light is over its working limit');
    expect(items[0]?.textContent).toContain('A piece must never carry more than its working load limit');
    expect(items.at(-1)?.textContent).toContain('Note: ');
  });
  it('offer their fix as a button', async () => {
    const { done, ...act } = actions();
    const box = await render(<FindingsPanel report={report} {...act} />);
    await press(box, 'Choose a stronger piece');
    await press(box, 'Hang a damper');
    expect(done).toMatchObject({ chosen: ['tree-strap'], dampers: ['line.1'] });
  });
  it('ask questions with their answers beside them', async () => {
    const { done, ...act } = actions();
    const box = await render(<FindingsPanel report={questions} {...act} />);
    expect(box.textContent).toContain('Question: Is the noose of SS-07 Soft shackle 14 mm seated behind its knot');
    await press(box, 'No');
    expect(done.edits).toEqual([{ kind: 'answer', questionId: 'knot-placement.anchor-connector', answer: 'no' }]);
  });
  it('stand about the piece that was touched first, then about the rest, none lost', async () => {
    const here = report.places.find(({ tag }) => tag === 'TS-03');
    const box = await render(<FindingsPanel report={report} here={here} {...actions()} />);
    const own = [...(box.querySelector('[data-findings-here]')?.querySelectorAll('li') ?? [])];
    expect(own.map(({ dataset }) => dataset.finding)).toContain('over-limit');
    expect(own.length).toBeLessThan(report.findings.length);
    expect(box.querySelectorAll('li[data-finding]')).toHaveLength(report.findings.length);
    expect(box.textContent).toContain('About TS-03');
  });
  it('ask, where nothing is offered, for what is missing', async () => {
    const [asked] = questions.findings.filter(({ undecided }) => undecided);
    if (!asked) throw new Error('no question');
    const { questionId: _none, ...open } = asked;
    const { done, ...act } = actions();
    const box = await render(<FindingsPanel report={{ ...report, findings: [{ ...open, fixes: [] }] }} {...act} />);
    await press(box, 'Fill in what is missing');
    expect(done.filled).toEqual([asked.code]);
  });
  it('say so when there are none', async () => {
    const box = await render(<FindingsPanel report={{ ...report, findings: [] }} {...actions()} />);
    expect(box.textContent).toContain('Keep everyone clear all the same');
  });
});

describe('the load path', () => {
  const rigged = { order: 'rigging', setOrder: () => undefined } as const;
  const columnsIn = (box: Element) => [...box.querySelectorAll('ol button')].map((button) => button.getAttribute('aria-label'));
  it('names every piece with its share of its limit and the weakest in words', async () => {
    const picked: string[] = [];
    const box = await render(<LoadPath report={report} selectedSubjectId="pulley" select={(id) => picked.push(id)} {...rigged} />);
    const labels = columnsIn(box);
    expect(labels).toHaveLength(9);
    expect(labels[4]).toBe('TS-03 Tree strap 2 m × 50 mm, light each leg: 192 % of its working limit, the weakest, finding: stop');
    expect(box.querySelectorAll('ol [aria-pressed="true"]')).toHaveLength(1);
    await press(box, labels[0] ?? '');
    expect(picked).toEqual(['winch:drum']);
  });
  it('turns to the weakest first, and says so to whoever keeps the order', async () => {
    const wanted: string[] = [];
    const setOrder = (order: string) => void wanted.push(order);
    const shared = { report, selectedSubjectId: undefined, select: () => undefined, setOrder };
    const box = await render(<LoadPath {...shared} order="weakest" />);
    expect(columnsIn(box)[0]).toContain('TS-03');
    const shares = pathColumns(report);
    expect(columnsIn(box)).toHaveLength(shares.length);
    await press(box, 'as rigged');
    expect(wanted).toEqual(['rigging']);
  });
  it('says what is missing where nothing can be worked out', async () => {
    const box = await render(
      <LoadPath report={{ ...report, places: [] }} selectedSubjectId={undefined} select={() => undefined} {...rigged} />,
    );
    expect(box.textContent).toContain('The findings say why');
  });
});

describe('figures on the screen', () => {
  it('stand as a sum: causes first, result last, each with its unit and source', async () => {
    const term = explainPlace(judgedCase(bog), 'tree-strap:legs')?.limit;
    if (!term) throw new Error('no explanation');
    const box = await render(<Explained term={term} />);
    const rows = [...box.querySelectorAll('tr')].map((row) => row.textContent);
    expect(rows[0]).toBe('Marked “3 t” basis not stated, taken as breaking strength · label29.4 kN');
    expect(rows.at(-1)).toMatch(/^Working limit7\.4 kN$/);
  });
  it('follow the reader’s unit', async () => {
    await act(async () => void store.dispatch(unitsChosen('lbf')));
    const box = await render(<PlannerSentence report={report} />);
    expect(box.textContent).toMatch(/Two strands pull on TS-03: 3\u202f\d\d0 lbf and 2\u202f\d\d0 lbf add up to 6\u202f\d\d0 lbf/);
    expect(box.textContent).toMatch(/line out \d+\.\d ft/);
    await act(async () => void store.dispatch(unitsChosen('kN')));
  });
  it('tell verdicts apart by word and shape', async () => {
    for (const [verdict, word] of [
      ['clear', 'Clear'],
      ['clear-judged', 'Clear, judged'],
      ['watch', 'Watch'],
      ['stop', 'Stop'],
    ] as const) {
      const box = await render(<VerdictLabel verdict={verdict} />);
      expect(box.textContent).toContain(word);
      expect(box.querySelector('svg')).not.toBeNull();
    }
  });
});

describe('fields', () => {
  it('say what is out of range, and do not take it', async () => {
    const taken: number[] = [];
    const box = await render(
      <NumberField label="Trunk" unit="m" value={0.4} min={0.05} max={3} step={0.01} onChange={(value) => taken.push(value)} />,
    );
    await type(box, 'Trunk', '30');
    expect(box.textContent).toContain('Expected 0.05 to 3 m.');
    await type(box, 'Trunk', '0,52');
    expect(box.textContent).not.toContain('Expected');
    expect(taken).toEqual([0.52]);
  });
  it('a stated figure needs its unit, a person and a reason', async () => {
    const stated: unknown[] = [];
    const box = await render(
      <StatedForce
        summary="Another pull"
        labels={['Pull']}
        withReason
        decimal="."
        actor="Isla"
        standing={undefined}
        state={(value) => stated.push(value)}
        takeBack={() => undefined}
      />,
    );
    await type(box, 'Pull', '30');
    await press(box, 'State it');
    expect(box.querySelector('[role=alert]')?.textContent).toContain('has no unit');
    await type(box, 'Pull', '3 ton');
    await press(box, 'State it');
    expect(box.querySelector('[role=alert]')?.textContent).toContain('Which ton?');
    await type(box, 'Pull', '30 kN');
    await press(box, 'State it');
    expect(box.querySelector('[role=alert]')?.textContent).toBe('Say why, in a few words.');
    await type(box, 'Reason', 'load cell');
    await press(box, 'State it');
    expect(stated).toEqual([{ forcesN: [30_000], person: 'Isla', reason: 'load cell' }]);
  });
});

describe('notes about a plan', () => {
  const plan = {
    planId: 'p',
    name: 'Bog',
    version: 4,
    rig: bog.rig,
    saved: {
      report: { verdict: 'clear' as const, coreVersion: '1', findings: [] },
      asOf: '2026-01-15',
      savedAt: '',
      savedBy: 'Tomas Aldbrook',
      policyHash: '',
      coreVersion: '1',
    },
    state: 'draft' as const,
    overrides: [],
    fresh: { report, caseDigest: '', asOf: '2026-02-01', outOfDate: ['TS-03: was in use, is quarantined.'] },
  };
  it('strike the old verdict through and give the reason and the fresh one', async () => {
    const box = await render(<OutOfDateNote plan={plan} accept={() => undefined} />);
    expect(box.querySelector('.line-through')?.textContent).toContain('Clear');
    expect(box.textContent).toMatch(/TS-03: was in use, is quarantined\. Today:.*Stop/);
  });
  it('leave a conflict to the person', async () => {
    const choices: string[] = [];
    const box = await render(<PlanConflict theirs={plan} settle={(choice) => choices.push(choice)} />);
    expect(box.textContent).toContain('Tomas Aldbrook saved version 4 while you worked.');
    await press(box, 'Open theirs');
    await press(box, 'Keep mine; Save puts it on top');
    expect(choices).toEqual(['theirs', 'mine']);
  });
  it('show a server’s problem with every fault, and what to do when it does not answer', async () => {
    const box = await render(
      <ProblemNote
        error={{
          status: 422,
          data: {
            title: 'Not accepted',
            detail: 'Some fields cannot be accepted.',
            status: 422,
            type: '',
            faults: [{ path: 'tag', message: 'Taken.' }],
          },
        }}
      />,
    );
    expect(box.textContent).toContain('Taken. (tag)');
    const silent = await render(<ProblemNote error={{ status: 'FETCH_ERROR', error: '' }} />);
    expect(silent.textContent).toContain('Check that Wainrope runs');
  });
});
