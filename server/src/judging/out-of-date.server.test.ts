import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { HttpException, NotFoundException } from '@nestjs/common';
import { type Case, CORE_VERSION, type GearFacts, readRigFile } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { conflict, invalid, notFound, ProblemException, problemOf } from '../http/problem.ts';
import { changesOfPieces, outOfDateReasons } from './out-of-date.ts';

const file = readRigFile(JSON.parse(readFileSync(resolve(import.meta.dirname, '../../../demo/plans/otter-at-the-ford.json'), 'utf8')));
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const saved: Case = file.value.case;
const reasons = (fresh: Case, extra: { policyHash?: string; coreVersion?: string; goodUntil?: string } = {}) =>
  outOfDateReasons(
    {
      policyHash: 'p1',
      coreVersion: extra.coreVersion ?? CORE_VERSION,
      goodUntil: extra.goodUntil,
      piecesChanged: changesOfPieces(saved.gear, new Map(fresh.gear.map((piece) => [piece.id, piece]))),
    },
    { policyHash: extra.policyHash ?? 'p1', today: fresh.asOf },
  );
const withPiece = (tag: string, change: object): Case => ({
  ...saved,
  gear: saved.gear.map((piece) => (piece.tag === tag ? ({ ...piece, ...change } as GearFacts) : piece)),
});

describe('why a saved judgement no longer stands', () => {
  it('stands while nothing judged has moved, whatever the order of the pieces', () => {
    expect(reasons(saved)).toEqual([]);
    expect(reasons({ ...saved, gear: [...saved.gear].reverse() })).toEqual([]);
  });
  it.each([
    ['a state', { state: 'quarantined' }, 'SB-02: was in use, is quarantined.'],
    ['marks', { marks: [] }, 'SB-02: its marks have changed.'],
    ['an inspection', { inspection: { on: '2026-01-14', grade: 'C' } }, 'SB-02: inspected again, grade C.'],
    ['sizes', { attributes: {} }, 'SB-02: its sizes or make-up have changed.'],
    ['anything else judged', { overloadsSinceInspection: 1 }, 'SB-02: its record has changed.'],
  ])('names the piece when %s changes', (_what, change, reason) => {
    expect(reasons(withPiece('SB-02', change))).toEqual([reason]);
  });
  it('names a piece that has gone, a new policy, a new core and a day that has passed', () => {
    expect(reasons({ ...saved, gear: saved.gear.filter(({ tag }) => tag !== 'SB-02') })).toEqual(['SB-02 is no longer in the register.']);
    expect(reasons(saved, { policyHash: 'p2' })).toEqual(['The team’s policy has changed.']);
    expect(reasons(saved, { coreVersion: '0' })).toEqual(['The rules of this program have changed.']);
    expect(reasons({ ...saved, asOf: '2026-10-13' }, { goodUntil: '2026-10-12' })).toEqual(['It was good until 2026-10-12.']);
    expect(reasons({ ...saved, asOf: '2026-10-12' }, { goodUntil: '2026-10-12' })).toEqual([]);
  });
});

describe('any error as a problem', () => {
  it('keeps what a person can act on', () => {
    expect(problemOf(notFound('piece', 'x'))).toEqual({ status: 404, title: 'Not found', detail: 'No piece has the id x.' });
    expect(problemOf(invalid([{ path: 'tag', message: 'taken' }]))).toMatchObject({
      status: 422,
      faults: [{ path: 'tag', message: 'taken' }],
    });
    expect(problemOf(conflict('changed', { version: 2 }))).toMatchObject({ status: 409, current: { version: 2 } });
    expect(problemOf(new NotFoundException())).toMatchObject({ status: 404, detail: 'There is nothing at this address.' });
    expect(problemOf(new HttpException('an id is expected', 400))).toMatchObject({ status: 400, detail: 'an id is expected' });
    expect(problemOf({ type: 'entity.too.large', status: 413 })).toMatchObject({ status: 413, title: 'Too large' });
    expect(problemOf({ type: 'entity.parse.failed', statusCode: 400 })).toMatchObject({ status: 400, title: 'Not understood' });
  });
  it('gives nothing away of a fault of its own', () => {
    for (const error of [new Error('password is secret'), 'secret', null, { status: 200 }]) {
      const problem = problemOf(error ?? {});
      expect(problem.status).toBe(500);
      expect(JSON.stringify(problem)).not.toContain('secret');
    }
    expect(new ProblemException({ status: 418, title: 'x', detail: 'y' }).getStatus()).toBe(418);
  });
});
