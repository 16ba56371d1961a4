import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { describe, expect, it } from 'vitest';
import { fairShare } from './fair-share.ts';

interface Sent {
  readonly path?: string;
  readonly method?: string;
  readonly bytes?: number;
  readonly session?: string;
  /** Whoever sent it has gone. */
  readonly isGone?: boolean;
}

/** Sends requests one after another, and says which of them are being answered. */
function gate() {
  const handler = fairShare();
  const begun: number[] = [];
  const refused: number[] = [];
  const sent: EventEmitter[] = [];
  const send = ({ path = '/gear', method = 'GET', bytes, session = 'one', isGone = false }: Sent = {}) => {
    const number = sent.length;
    const response = Object.assign(new EventEmitter(), { closed: isGone });
    sent.push(response);
    const request = {
      path,
      method,
      headers: bytes === undefined ? {} : { 'content-length': String(bytes) },
      sessionID: session,
      session: session === 'nobody' ? {} : { signedIn: {} },
      ip: '10.0.0.1',
    };
    handler(request as unknown as Request, response as unknown as Response, (error?: unknown) => (error ? refused : begun).push(number));
    return number;
  };
  return { send, begun, refused, close: (number: number) => sent[number]?.emit('close') };
}

describe('requests take turns', () => {
  it('four of one session at once, the next when one of them is done, in order', () => {
    const { send, begun, close } = gate();
    for (let count = 0; count < 6; count++) send();
    expect(begun).toEqual([0, 1, 2, 3]);
    close(3);
    expect(begun).toEqual([0, 1, 2, 3, 4]);
    close(0);
    expect(begun.at(-1)).toBe(5);
  });

  it('whoever sends many keeps nobody else waiting', () => {
    const { send, begun } = gate();
    for (let count = 0; count < 20; count++) send();
    const other = send({ session: 'other' });
    const nobody = send({ session: 'nobody' });
    expect(begun.slice(-2)).toEqual([other, nobody]);
  });

  it.each<[string, Sent, Sent, boolean]>([
    ['of a light one, a second', {}, {}, true],
    ['of a body of 64,000 bytes, a second', { method: 'POST', bytes: 64_000 }, { method: 'POST', bytes: 64_000 }, true],
    ['of a body of 64,001 bytes, none', { method: 'POST', bytes: 64_001 }, { method: 'POST', bytes: 64_001 }, false],
    ['of a team’s file, none', { path: '/bundle' }, { path: '/bundle' }, false],
    ['of a register file, no other heavy one', { path: '/gear/import', method: 'POST', bytes: 10 }, { path: '/bundle' }, false],
    ['of a heavy one, a light one', { path: '/bundle' }, {}, true],
    ['of streams, any number', { path: '/events' }, { path: '/events' }, true],
  ])('beside one %s', (_what, first, second, isBegun) => {
    const { send, begun } = gate();
    send(first);
    const later = send(second);
    expect(begun.includes(later)).toBe(isBegun);
  });

  it('a stream takes no turn from anything', () => {
    const { send, begun } = gate();
    for (let count = 0; count < 30; count++) send({ path: '/events' });
    expect(begun).toHaveLength(30);
    expect(begun).toContain(send());
  });

  it('whoever leaves while waiting is forgotten, and gives no turn away', () => {
    const { send, begun, close } = gate();
    for (let count = 0; count < 6; count++) send();
    close(4);
    close(0);
    expect(begun).toEqual([0, 1, 2, 3, 5]);
    for (const number of [1, 2, 3, 5]) close(number);
    expect(begun).not.toContain(4);
    for (let count = 0; count < 4; count++) send();
    expect(begun).toHaveLength(9);
  });

  it('two hundred wait; the next is told so', () => {
    const { send, refused, close, begun } = gate();
    for (let count = 0; count < 204; count++) send();
    expect(refused).toEqual([]);
    const late = send();
    expect(refused).toEqual([late]);
    close(0);
    expect(begun).toHaveLength(5);
    send();
    expect(refused).toEqual([late]);
  });
});

it('whoever goes before it is known whose the request is keeps no turn: their answer closes no more', () => {
  const { send, begun } = gate();
  for (let count = 0; count < 5; count++) send({ isGone: true });
  expect(begun).toEqual([]);
  const last = send();
  expect(begun).toEqual([last]);
});
