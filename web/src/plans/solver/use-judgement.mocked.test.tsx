import type { Case, Report, ToldReport } from '@wainrope/core';
import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useJudgement } from './use-judgement.ts';

interface Deferred {
  readonly of: string;
  readonly answer: (report: Report | undefined) => void;
  readonly fail: (error: Error) => void;
}
const worker = vi.hoisted(() => ({
  starts: [] as Deferred[],
  wholes: [] as Deferred[],
  sent: [] as string[],
  known: new Map<string, string>(),
  overtaken: 0,
}));

vi.mock('comlink', () => {
  const asked = (list: Deferred[], of: string) =>
    new Promise<Report | undefined>((answer, fail) => {
      list.push({ of, answer, fail });
    });
  return {
    wrap: () => ({
      know: async (name: string, subject: Case) => {
        worker.sent.push(subject.name);
        worker.known.set(name, subject.name);
      },
      forget: async (name: string) => void worker.known.delete(name),
      judgeStart: (name: string) => asked(worker.starts, worker.known.get(name) ?? 'unknown'),
      follow: (name: string) => asked(worker.wholes, worker.known.get(name) ?? 'unknown'),
      overtake: async () => {
        worker.overtaken += 1;
        worker.wholes.at(-1)?.answer(undefined);
      },
    }),
  };
});

const caseOf = (name: string) => ({ name }) as Case;
const start = (words: string) => ({ coreVersion: words, startOnly: 'not-yet-run' }) as Report;
const whole = (words: string) => ({ coreVersion: words }) as Report;

interface ProbeProps {
  readonly subject: Case;
  readonly hurried: boolean;
  readonly told?: ToldReport | undefined;
}

function Probe({ subject, hurried, told }: ProbeProps) {
  const { report, pending, failure } = useJudgement(subject, hurried, told);
  return <p title={report?.coreVersion}>{[failure ?? report?.coreVersion ?? 'nothing yet', pending ? 'pending' : 'settled'].join(', ')}</p>;
}

let box: HTMLElement;
let root: Root;
const show = (name: string, hurried: boolean) => act(async () => root.render(<Probe subject={caseFor(name)} hurried={hurried} />));
/** One object for one name: a case is what changes, not how often it is drawn. */
const cases = new Map<string, Case>();
const caseFor = (name: string) => cases.get(name) ?? (cases.set(name, caseOf(name)).get(name) as Case);
const wait = (ms: number) => act(async () => void (await vi.advanceTimersByTimeAsync(ms)));
const answerStart = (index: number, words: string) => act(async () => worker.starts[index]?.answer(start(words)));
const answerWhole = (index: number, words: string) => act(async () => worker.wholes[index]?.answer(whole(words)));

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('Worker', class {});
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
  Object.assign(worker, { starts: [], wholes: [], sent: [], overtaken: 0 });
  cases.clear();
  box = document.createElement('div');
  root = createRoot(box);
});
afterEach(async () => {
  await act(async () => root.unmount());
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('a case judged as it changes', () => {
  it('shows the whole pull without a flicker of its start where that comes soon', async () => {
    await show('a', false);
    expect(box.textContent).toBe('nothing yet, pending');
    await answerStart(0, 'start of a');
    await wait(349);
    expect(box.textContent).toBe('nothing yet, pending');
    await answerWhole(0, 'whole of a');
    expect(box.textContent).toBe('whole of a, settled');
    await wait(1000);
    expect(box.textContent).toBe('whole of a, settled');
  });
  it('shows the start alone where the whole takes long, and the whole after it', async () => {
    await show('a', false);
    await answerStart(0, 'start of a');
    await wait(350);
    expect(box.textContent).toBe('start of a, settled');
    await answerWhole(0, 'whole of a');
    expect(box.textContent).toBe('whole of a, settled');
  });
  it('asks for nothing more of a start that is all there is', async () => {
    await show('a', false);
    await act(async () => worker.starts[0]?.answer(whole('all of a')));
    expect(box.textContent).toBe('all of a, settled');
    expect(worker.wholes).toHaveLength(0);
  });
  it('gives up a pull that a newer case overtakes, and never shows what was given up', async () => {
    await show('a', false);
    await answerStart(0, 'start of a');
    expect(worker.wholes.map(({ of }) => of)).toEqual(['a']);
    await show('b', false);
    expect(worker.overtaken).toBe(1);
    expect(worker.starts.map(({ of }) => of)).toEqual(['a', 'b']);
    await answerStart(1, 'start of b');
    await answerWhole(1, 'whole of b');
    expect(box.textContent).toBe('whole of b, settled');
  });
  it('judges one at a time, and of what comes meanwhile only the newest', async () => {
    await show('a', false);
    await show('b', false);
    await show('c', false);
    expect(worker.starts).toHaveLength(1);
    await answerStart(0, 'start of a');
    expect(worker.starts.map(({ of }) => of)).toEqual(['a', 'c']);
    expect(worker.wholes).toHaveLength(0);
  });
  it('tells of a failure, and judges the next case all the same', async () => {
    await show('a', false);
    await act(async () => worker.starts[0]?.fail(new Error('no such thing')));
    expect(box.textContent).toBe('no such thing, settled');
    await show('b', false);
    await answerStart(1, 'start of b');
    await answerWhole(0, 'whole of b');
    expect(box.textContent).toBe('whole of b, settled');
  });
});

describe('a case that the server has told of', () => {
  const tell = (name: string, words: string) =>
    act(async () => root.render(<Probe subject={caseFor(name)} hurried={false} told={whole(words) as ToldReport} />));
  it('is shown as it was told, and followed at leisure for what is asked next', async () => {
    await tell('a', 'told of a');
    expect(box.textContent).toBe('told of a, settled');
    expect([worker.starts.length, worker.wholes.length]).toEqual([0, 0]);
    await wait(1000);
    expect(worker.wholes.map(({ of }) => of)).toEqual(['a']);
    await answerWhole(0, 'worked out of a');
    expect(box.textContent).toBe('told of a, settled');
    expect(worker.starts).toHaveLength(0);
  });
  it('stands, as of a moment ago, until what comes after it is judged', async () => {
    await tell('a', 'told of a');
    await show('b', false);
    expect(box.textContent).toBe('told of a, pending');
    // It waits for no leisure.
    expect(worker.starts.map(({ of }) => of)).toEqual(['b']);
    expect(worker.wholes).toHaveLength(0);
    await answerStart(0, 'start of b');
    await answerWhole(0, 'whole of b');
    expect(box.textContent).toBe('whole of b, settled');
  });
  it('is given up in the worker when another comes', async () => {
    await tell('a', 'told of a');
    await wait(1000);
    await show('b', false);
    expect(worker.overtaken).toBe(1);
    expect(worker.starts.map(({ of }) => of)).toEqual(['b']);
  });
  it('takes the place of what was judged before', async () => {
    await show('a', false);
    await answerStart(0, 'start of a');
    await answerWhole(0, 'whole of a');
    await tell('b', 'told of b');
    expect(box.textContent).toBe('told of b, settled');
  });
  it('keeps what was told beside a failure of the worker', async () => {
    await tell('a', 'told of a');
    await wait(1000);
    await act(async () => worker.wholes[0]?.fail(new Error('no such thing')));
    expect(box.textContent).toBe('no such thing, settled');
    expect(box.querySelector('p')?.title).toBe('told of a');
  });
});

describe('a case that crosses to the worker', () => {
  it('is sent once, named from then on, and sent again only after it was forgotten', async () => {
    await show('a', false);
    await answerStart(0, 'start of a');
    await answerWhole(0, 'whole of a');
    expect(worker.sent).toEqual(['a']);
    for (const [index, name] of ['b', 'c', 'd', 'e'].entries()) {
      await show(name, false);
      await answerStart(index + 1, `start of ${name}`);
      await answerWhole(index + 1, `whole of ${name}`);
    }
    expect(worker.sent).toEqual(['a', 'b', 'c', 'd', 'e']);
    expect([...worker.known.values()].slice(-4)).toEqual(['b', 'c', 'd', 'e']);
    await show('c', false);
    expect(worker.sent).toHaveLength(5);
    await answerStart(5, 'start of c');
    await answerWhole(5, 'whole of c');
    await show('a', false);
    expect(worker.sent.at(-1)).toBe('a');
    expect(worker.starts.at(-1)?.of).toBe('a');
  });
});

describe('while something is dragged', () => {
  it('shows each start at once, and the whole only once the hand has rested', async () => {
    await show('a', true);
    await answerStart(0, 'start of a');
    expect(box.textContent).toBe('start of a, settled');
    await wait(119);
    expect(worker.wholes).toHaveLength(0);
    await wait(1);
    expect(worker.wholes.map(({ of }) => of)).toEqual(['a']);
    await answerWhole(0, 'whole of a');
    expect(box.textContent).toBe('whole of a, settled');
  });
  it('does not let what comes next wait for the hand to rest', async () => {
    await show('a', true);
    await answerStart(0, 'start of a');
    await wait(10);
    await show('b', true);
    expect(worker.starts.map(({ of }) => of)).toEqual(['a', 'b']);
    expect(worker.wholes).toHaveLength(0);
    expect(box.textContent).toBe('start of a, pending');
  });
});
