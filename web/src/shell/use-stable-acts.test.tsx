import { renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { useStableActs } from './use-stable-acts.ts';

describe('acts under names that stay', () => {
  it('are the same each time that they are drawn, and do what they do by now', () => {
    const [first, second] = [vi.fn(), vi.fn()];
    const { result, rerender } = renderHook(({ step }) => useStableActs({ step }), { initialProps: { step: first } });
    const before = result.current;
    before.step(1);
    rerender({ step: second });
    expect(result.current).toBe(before);
    before.step(2);
    expect([first.mock.calls, second.mock.calls]).toEqual([[[1]], [[2]]]);
  });
});
