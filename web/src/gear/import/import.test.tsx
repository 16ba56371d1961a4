import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { ImportPreview } from '@wainrope/contract';
import { afterEach, describe, expect, it } from 'vitest';
import { stateWords } from '../../register/gear-words.ts';
import { fakeServer, faulty } from '../../testing/fake-server.ts';
import { asRole } from '../../testing/sample-team.ts';
import { show } from '../../testing/show.tsx';
import { ImportPage } from './ImportPage.tsx';

const server = fakeServer();
afterEach(cleanup);

describe('a gear list', () => {
  const preview = (rows: ImportPreview['rows'], change: Partial<ImportPreview> = {}): ImportPreview => ({
    encoding: 'UTF-8',
    separator: 'comma',
    headingLine: 1,
    questions: [],
    columns: [
      { heading: 'tag', column: 'tag' },
      { heading: 'what', column: 'class' },
    ],
    rows,
    ...change,
  });
  const row = (number: number, outcome: ImportPreview['rows'][number]['outcome'], change: object = {}) => ({
    row: number,
    outcome,
    tag: `T-${number}`,
    changes: [],
    faults: [],
    understood: [],
    ...change,
  });
  const choose = async (rows: ImportPreview['rows'], change: Partial<ImportPreview> = {}) => {
    server.answers({
      ...asRole('gear-keeper'),
      'POST /api/v1/gear/import/preview': preview(rows, change),
      'POST /api/v1/gear/import': { created: 1, changed: 1, unchanged: 1, inspections: 2 },
    });
    const user = show(<ImportPage />);
    const file = new File(['tag,class\nT-2,tree-strap\n'], 'straps.csv', { type: 'text/csv' });
    await user.upload(screen.getByLabelText('Choose a CSV file'), file);
    await screen.findByText(/cells separated by comma/);
    return user;
  };

  it('is read, shown row by row, and brought in without what is faulty once that is set aside', async () => {
    const user = await choose([
      row(2, 'new'),
      row(3, 'changed', { changes: ['length: 2 m → 3 m'] }),
      row(4, 'unchanged'),
      row(5, 'faulty', { faults: [{ column: 'class', message: '“widget” is not a class of the register.' }] }),
      row(6, 'empty'),
    ]);
    expect(server.sent[0]).toMatchObject({ query: expect.stringMatching(/^task=[0-9a-f-]{36}$/), body: { fileName: 'straps.csv' } });
    expect(atob(server.body<{ contentBase64: string }>(0).contentBase64)).toBe('tag,class\nT-2,tree-strap\n');
    // What is faulty is shown first.
    expect(screen.getByText(/“widget” is not a class/)).toBeTruthy();
    expect(screen.queryByText('length: 2 m → 3 m')).toBeNull();
    const bring = screen.getByRole('button', { name: /^Bring in/ });
    expect(bring).toHaveProperty('disabled', true);
    await user.click(screen.getByLabelText('Leave 1 unsettled row out'));
    await user.click(bring);
    expect(await screen.findByText('1 new, 1 changed, 1 as they were.')).toBeTruthy();
    expect(server.body(1)).toMatchObject({ rows: [2, 3, 4], columns: preview([]).columns });
  });

  it('of more than 6 MB is not sent', async () => {
    server.answers(asRole('gear-keeper'));
    show(<ImportPage />);
    const file = new File(['x'], 'all.csv', { type: 'text/csv' });
    Object.defineProperty(file, 'size', { value: 6_000_001 });
    fireEvent.change(screen.getByLabelText('Choose a CSV file'), { target: { files: [file] } });
    expect((await screen.findByRole('alert')).textContent).toBe('all.csv has 6.0 MB; at most 6 MB can be read at once. Split it.');
    expect(server.sent).toEqual([]);
  });

  it('that is none says why', async () => {
    server.answers({ ...asRole('gear-keeper'), 'POST /api/v1/gear/import/preview': faulty('contentBase64', 'The file holds no rows.') });
    const user = show(<ImportPage />);
    await user.upload(screen.getByLabelText('Choose a CSV file'), new File(['\n'], 'none.csv', { type: 'text/csv' }));
    expect((await screen.findByRole('alert')).textContent).toContain('The file holds no rows.');
  });

  const sentLast = () => server.body<Record<string, unknown>>(server.sent.length - 1);
  const question = { choices: [], optional: false, rows: 3, examples: ['Green one', 'Red one'] };

  it('asks once what a word means, and reads the file anew by the answer, which can be taken back', async () => {
    const user = await choose([row(2, 'asked'), row(3, 'new')], {
      questions: [{ ...question, about: 'class', word: 'hammock', choices: ['tree-strap'] }],
    });
    expect(screen.getByText('3 rows: Green one, Red one')).toBeTruthy();
    await user.click(screen.getByRole('combobox', { name: 'What “hammock” is' }));
    // The likeliest stands first; typing finds any other.
    expect(screen.getAllByRole('option')[0]?.textContent).toBe('Tree strap');
    await user.type(screen.getByRole('combobox', { name: 'What “hammock” is' }), 'exten');
    await user.click(screen.getByRole('option', { name: 'Line extension' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(sentLast()).toMatchObject({ meanings: [{ about: 'class', word: 'hammock', meaning: 'line-extension' }] });
    await user.click(screen.getByRole('button', { name: 'Undo the last answer' }));
    await waitFor(() => expect(server.sent).toHaveLength(3));
    expect(sentLast()).not.toHaveProperty('meanings');
  });

  it.each([
    [{ about: 'day-order', word: '05/06/2021' }, 'The month', { dayOrder: 'month-first' }],
    [{ about: 'grade', word: 'good', optional: true }, 'None: note only', { meanings: [{ about: 'grade', word: 'good', meaning: '' }] }],
    [{ about: 'state', word: 'lost' }, stateWords.quarantined, { meanings: [{ about: 'state', word: 'lost', meaning: 'quarantined' }] }],
    [{ about: 'unit', word: 'class' }, 'kN', { columns: [{ heading: 'tag' }, { heading: 'what', column: 'class', unit: 'kN' }] }],
  ] as const)('asks about %o and sends the answer', async (asked, button, sent) => {
    const user = await choose([row(2, 'asked')], { questions: [{ ...question, ...asked }] });
    await user.click(screen.getByRole('button', { name: button }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(sentLast()).toMatchObject(sent);
  });

  it('has its cells mended in place, and a guessed class corrected', async () => {
    const user = await choose([
      row(2, 'faulty', { name: 'Bow shackle', faults: [{ column: 'wll', text: '4,75x', message: '“4,75x” is not understood.' }] }),
      row(3, 'new', { name: 'Strop for trees', kind: 'tree-strap', kindIsGuessed: true, tagIsMade: true, pieces: 2 }),
    ]);
    const cell = screen.getByRole('textbox', { name: 'Mark: WLL, mended' });
    expect(cell).toHaveProperty('value', '4,75x');
    await user.clear(cell);
    await user.type(cell, '4.75 t{Enter}');
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(sentLast()).toMatchObject({ mends: [{ row: 2, column: 'wll', text: '4.75 t' }] });
    await user.click(screen.getByRole('button', { name: 'class by its words 1' }));
    expect(screen.getByText(/One row has no tag: its pieces get the next free tags, as shown/)).toBeTruthy();
    expect(screen.getByText('2 ×')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Something else?' }));
    await user.type(screen.getByRole('combobox', { name: 'Class of line 3' }), 'static');
    await user.click(screen.getByRole('option', { name: 'Static strap' }));
    await waitFor(() => expect(server.sent).toHaveLength(3));
    expect(sentLast()).toMatchObject({
      mends: [
        { row: 2, column: 'wll', text: '4.75 t' },
        { row: 3, column: 'class', text: 'static-strap' },
      ],
    });
    await user.click(screen.getByLabelText('Leave 1 unsettled row out'));
    expect(screen.getByRole('button', { name: 'Bring in 2 pieces' })).toHaveProperty('disabled', false);
  });

  it('can be pasted from a spreadsheet', async () => {
    server.answers({ ...asRole('gear-keeper'), 'POST /api/v1/gear/import/preview': preview([row(2, 'new')]) });
    const user = show(<ImportPage />);
    await user.click(screen.getByLabelText('Or paste rows from a spreadsheet'));
    await user.paste('tag\tclass\nT-2\tchain\n');
    await screen.findByText(/cells separated by comma/);
    expect(server.body(0)).toMatchObject({ fileName: 'Pasted rows', contentBase64: btoa('tag\tclass\nT-2\tchain\n') });
  });

  it('has its columns and letters corrected', async () => {
    const user = await choose([row(2, 'new')]);
    await user.click(screen.getByText(/all 2 understood/));
    await user.clear(screen.getByRole('combobox', { name: 'Column “what”' }));
    await user.type(screen.getByRole('combobox', { name: 'Column “what”' }), 'keep');
    await user.click(screen.getByRole('option', { name: 'Keep in the note' }));
    await waitFor(() => expect(server.sent).toHaveLength(2));
    expect(sentLast()).toMatchObject({
      columns: [
        { heading: 'tag', column: 'tag' },
        { heading: 'what', column: 'note' },
      ],
    });
    await user.click(screen.getByRole('button', { name: /Letters look wrong/ }));
    await user.click(screen.getByRole('option', { name: 'Macintosh' }));
    await waitFor(() => expect(server.sent).toHaveLength(3));
    expect(sentLast()).toMatchObject({ encoding: 'macintosh', columns: [{ column: 'tag' }, { column: 'note' }] });
  });
});
