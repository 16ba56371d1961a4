import { expect, it } from 'vitest';
import { answered, connectionReducer } from './connection-slice.ts';

it('says since when answers are the device’s own, until the server answers again', () => {
  const kept = connectionReducer(undefined, answered('2026-01-15T10:00:00Z'));
  expect(kept.keptSince).toBe('2026-01-15T10:00:00Z');
  expect(connectionReducer(kept, answered(null)).keptSince).toBeNull();
});
