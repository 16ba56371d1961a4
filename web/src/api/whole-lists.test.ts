import { describe, expect, it } from 'vitest';
import { type Ask, allPages, wholeRegister } from './whole-lists.ts';

const tagOf = (n: number) => `T-${String(n).padStart(5, '0')}`;

/** A register that answers as the server does, with what was asked of it, and how many requests were on their way at once. */
function register(count: number, change?: (tags: string[], asked: number) => void) {
  const tags = Array.from({ length: count }, (_, n) => tagOf(n));
  const asked: string[] = [];
  const underWay = { now: 0, most: 0 };
  const answerOf = (url: URL) => {
    const after = url.searchParams.get('after') ?? '';
    const upTo = url.searchParams.get('upTo');
    const limit = Number(url.searchParams.get('limit'));
    const behind = tags.filter((tag) => tag > after && (upTo === null || tag <= upTo));
    if (url.pathname.endsWith('/pages'))
      return { starts: [after, ...behind.filter((_tag, index) => (index + 1) % limit === 0 && index + 1 < behind.length)] };
    const items = behind.slice(0, limit).map((tag) => ({ tag }));
    return { items, ...(behind.length > limit && { next: items.at(-1)?.tag }) };
  };
  const ask: Ask = async (path) => {
    asked.push(path);
    change?.(tags, asked.length);
    underWay.now += 1;
    underWay.most = Math.max(underWay.most, underWay.now);
    await Promise.resolve();
    underWay.now -= 1;
    return { data: answerOf(new URL(path, 'http://here')) };
  };
  return { ask, asked, tags, underWay };
}
const tagsOf = (answer: Awaited<ReturnType<typeof wholeRegister>>) => ('data' in answer ? answer.data.map(({ tag }) => tag) : answer.error);

describe('the whole register', () => {
  it.each([
    [0, 1],
    [500, 1],
    [501, 3],
    [1000, 3],
    [1001, 4],
    [20_000, 41],
  ])('of %i pieces is complete after %i requests, in order', async (count, requests) => {
    const { ask, asked, tags } = register(count);
    expect(tagsOf(await wholeRegister(ask))).toEqual(tags);
    expect(asked).toHaveLength(requests);
  });

  it('asks for its pages side by side', async () => {
    const { ask, underWay } = register(20_000);
    await wholeRegister(ask);
    expect(underWay.most).toBe(39);
  });

  it('loses nothing and has nothing twice where pieces are added while it is asked', async () => {
    const { ask, tags } = register(1750, (all, asked) => {
      // After the starts are known, more than a page comes into one part.
      if (asked !== 3) return;
      all.push(...Array.from({ length: 750 }, (_, n) => `${tagOf(750)}-${String(n).padStart(4, '0')}`));
      all.sort();
    });
    expect(tagsOf(await wholeRegister(ask))).toEqual(tags);
  });

  it.each([1, 2, 4])('is an error where request %i fails, never a part of the register', async (failing) => {
    const { ask, asked } = register(2500);
    const error = { status: 503, data: 'busy' } as const;
    const answer = await wholeRegister((url) => (asked.length + 1 === failing && ask(url) ? { error } : ask(url)));
    expect(answer).toEqual({ error });
  });
});

it('a list is followed to its end', async () => {
  const { ask, tags, asked } = register(2500);
  const answer = await allPages<{ tag: string }>('/api/v1/plans', { limit: '1000' }, ask);
  expect('data' in answer && answer.data.map(({ tag }) => tag)).toEqual(tags);
  expect(asked).toHaveLength(3);
});
