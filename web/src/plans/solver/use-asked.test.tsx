import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { useAsked } from './use-asked.ts';

interface Question {
  readonly of: string;
  readonly answer: (value: string) => void;
  readonly fail: () => void;
}
let asked: Question[] = [];
const questions = new Map<string, () => Promise<string>>();
const questionOf = (of: string) => {
  const ask =
    questions.get(of) ?? (() => new Promise<string>((answer, reject) => asked.push({ of, answer, fail: () => reject(new Error(of)) })));
  questions.set(of, ask);
  return ask;
};

function Probe({ of }: { readonly of: string | undefined }) {
  const { value, isNewest } = useAsked(of === undefined ? undefined : questionOf(of));
  return <p>{`${value ?? 'nothing'}, ${isNewest ? 'newest' : 'older'}`}</p>;
}

let box: HTMLElement;
let root: Root;
const show = (of: string | undefined) => act(async () => root.render(<Probe of={of} />));
const answer = (index: number, value: string) => act(async () => asked[index]?.answer(value));

beforeEach(() => {
  Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
  asked = [];
  questions.clear();
  box = document.createElement('div');
  root = createRoot(box);
});
afterEach(() => act(async () => root.unmount()));

describe('a question to the solver', () => {
  it('keeps its last answer until the next is there', async () => {
    await show('a');
    expect(box.textContent).toBe('nothing, older');
    await answer(0, 'A');
    expect(box.textContent).toBe('A, newest');
    await show('b');
    expect(box.textContent).toBe('A, older');
    await answer(1, 'B');
    expect(box.textContent).toBe('B, newest');
  });
  it('is asked one at a time; of those that come meanwhile only the newest is, and what it overtakes is dropped', async () => {
    for (const of of ['a', 'b', 'c', 'd']) await show(of);
    expect(asked.map(({ of }) => of)).toEqual(['a']);
    await answer(0, 'A');
    expect(asked.map(({ of }) => of)).toEqual(['a', 'd']);
    expect(box.textContent).toBe('nothing, older');
    await answer(1, 'D');
    expect(box.textContent).toBe('D, newest');
  });
  it('that fails has no answer, and the next is asked all the same', async () => {
    await show('a');
    await act(async () => asked[0]?.fail());
    expect(box.textContent).toBe('nothing, newest');
    await show('b');
    await answer(1, 'B');
    expect(box.textContent).toBe('B, newest');
  });
  it('has no answer while there is nothing to ask', async () => {
    await show('a');
    await answer(0, 'A');
    await show(undefined);
    expect(box.textContent).toBe('nothing, newest');
  });
});
